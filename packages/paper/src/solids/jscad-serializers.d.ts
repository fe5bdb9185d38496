declare module '@jscad/stl-serializer' {
  const stl: {
    /** @returns what the file consists of, in order. */
    readonly serialize: (options: { readonly binary: true }, ...solids: readonly object[]) => ArrayBuffer[];
  };
  export default stl;
}

declare module '@jscad/3mf-serializer' {
  const threeMf: {
    readonly serialize: (
      options: { readonly unit: 'millimeter'; readonly metadata: boolean },
      ...solids: readonly object[]
    ) => ArrayBuffer[];
  };
  export default threeMf;
}

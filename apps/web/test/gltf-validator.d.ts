declare module 'gltf-validator' {
  /** What the format's own judge says of a file; severity 0 is an error, 1 a warning. */
  export interface Report {
    readonly issues: {
      readonly messages: readonly { readonly severity: number; readonly message: string }[];
    };
    readonly info: { readonly animationCount: number; readonly totalTriangleCount: number };
  }
  export function validateBytes(bytes: Uint8Array): Promise<Report>;
}

declare module 'dxf' {
  /** A line of a drawing as it stands there; what a name holds depends on its type. */
  interface Entity {
    readonly type: string;
    readonly transforms: readonly unknown[];
    readonly x?: number;
    readonly y?: number;
    readonly r?: number;
    readonly startAngle?: number;
    readonly endAngle?: number;
    readonly closed?: boolean;
    readonly vertices?: readonly { readonly x: number; readonly y: number; readonly bulge?: number }[];
  }

  /** A drawing as it was read, and its lines in the units that it tells. */
  export class Helper {
    constructor(text: string);
    readonly parsed: { readonly header: { readonly insUnits?: number } };
    /** Entities, those of blocks that are put in with how they are moved there. */
    readonly denormalised: readonly Entity[];
    /** The same, each as corners in its place. */
    toPolylines(): {
      readonly polylines: readonly { readonly vertices: readonly (readonly [number, number])[] }[];
    };
  }
}

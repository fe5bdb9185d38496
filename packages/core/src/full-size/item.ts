import type { Vec2 } from '../solids';

/** What a line of a template stands for: saw to it, look at it, drill there. */
export type Layer = 'cut' | 'mark' | 'drill';

/** A line of a template, mm, x to the right, y up; angles in degrees, anticlockwise from the right. */
export type Shape =
  | {
      readonly kind: 'line';
      readonly layer: Layer;
      readonly points: readonly Vec2[];
      readonly closed: boolean;
    }
  | {
      readonly kind: 'arc';
      readonly layer: Layer;
      readonly centre: Vec2;
      readonly radiusMm: number;
      readonly fromDeg: number;
      readonly toDeg: number;
    }
  | { readonly kind: 'circle'; readonly layer: Layer; readonly centre: Vec2; readonly radiusMm: number };

/** What is written at a point of a template. */
export interface ShapeLabel {
  readonly at: Vec2;
  readonly highMm: number;
  readonly says:
    | { readonly code: 'length'; readonly mm: number }
    /** Over the base line. */
    | { readonly code: 'high'; readonly mm: number }
    /** Of a clamp, session by session. */
    | { readonly code: 'openings'; readonly mm: readonly number[] }
    | { readonly code: 'name'; readonly name: string }
    | { readonly code: 'clamp'; readonly number: number; readonly side: 'above' | 'below' }
    /** Of a slot, and of a blade over its table. */
    | { readonly code: 'deep' | 'blade'; readonly mm: number }
    | { readonly code: 'caul' | 'trim' | 'end' | 'tongue' };
}

/** What is made from a template. */
export type FullSizeKind =
  'caul-crown' | 'clamp-strip' | 'block' | 'u-block' | 'bend-form' | 'story-stick' | 'peg-strip' | 'key-jig';

/** A template at full size: lines to cut, mark and drill, and what to make of it. */
export interface FullSizeItem {
  readonly id: string;
  readonly kind: FullSizeKind;
  /** How many are made alike. */
  readonly count: number;
  /** Of the stuff that it is cut from; null for a strip of paper or an edge to plane. */
  readonly thicknessMm: number | null;
  /** Corners of what is sawn out through and through; left out for what is no block of one thickness. */
  readonly outline?: readonly Vec2[];
  readonly shapes: readonly Shape[];
  readonly labels: readonly ShapeLabel[];
}

/** A template that is a block, sawn through and through out of one thickness. */
export type PrintableItem = FullSizeItem & {
  readonly outline: NonNullable<FullSizeItem['outline']>;
  readonly thicknessMm: number;
};

/** Whether a template can be printed in three dimensions instead of sawn. */
export const isPrintable = (item: FullSizeItem): item is PrintableItem =>
  item.outline !== undefined && item.thicknessMm !== null;

export const mark = (points: readonly Vec2[]): Shape => ({
  kind: 'line',
  layer: 'mark',
  points,
  closed: false,
});
export const cut = (points: readonly Vec2[], closed = false): Shape => ({
  kind: 'line',
  layer: 'cut',
  points,
  closed,
});
export const lengthAt = (at: Vec2, mm: number, highMm = 4): ShapeLabel => ({
  at,
  highMm,
  says: { code: 'length', mm },
});

/** Points that a shape spans: ends and, for arcs, the outermost of it. */
export function shapePoints(shape: Shape): readonly Vec2[] {
  if (shape.kind === 'line') return shape.points;
  const { centre, radiusMm } = shape;
  const at = (deg: number): Vec2 => {
    const angle = (deg * Math.PI) / 180;
    return [centre[0] + radiusMm * Math.cos(angle), centre[1] + radiusMm * Math.sin(angle)];
  };
  if (shape.kind === 'circle') return [0, 90, 180, 270].map(at);
  const { fromDeg, toDeg } = shape;
  const first = Math.ceil(fromDeg / 90);
  const quarters = Array.from(
    { length: Math.max(0, Math.floor(toDeg / 90) - first + 1) },
    (_, i) => (first + i) * 90,
  );
  return [fromDeg, ...quarters, toDeg].map(at);
}

import type { Static, TSchema } from '@sinclair/typebox';
import type { Calculation } from '../../calculations/calculation';
import type { Vec2 } from '../../solids';

/** What a line of a figure stands for; interfaces choose its colour and width. */
export type FigureInk = 'wood' | 'lit' | 'edge' | 'thin' | 'ghost' | 'glue' | 'force' | 'mark';

/** A line, an outline, or an arrow toward its last point. */
export interface FigurePath {
  readonly points: readonly Vec2[];
  readonly ink: FigureInk;
  readonly closed: boolean;
  readonly arrow: boolean;
  /** Cut out of an outline. */
  readonly holes?: readonly (readonly Vec2[])[];
  /** How far it lies in the shade, 0 to 1. */
  readonly shade?: number;
}

/** A number, or a short word, at a point of the figure. */
export interface FigureLabel {
  readonly at: Vec2;
  /** On which side of the point it stands. */
  readonly side: 'above' | 'below' | 'left' | 'right';
  /** Field whose unit the number has; null where `text` says it all. */
  readonly field: string | null;
  readonly value: number | null;
  readonly text: string;
}

/** A small drawing of a calculation: x to the right, y up, in units of its own. */
export interface Figure {
  readonly paths: readonly FigurePath[];
  readonly labels: readonly FigureLabel[];
  /** How many times larger than life deviations are drawn; 1 for to scale. */
  readonly enlarged: number;
}

/** Draws a calculation from its input and its answer. */
export type Draw<In extends TSchema, Out extends TSchema> = (
  input: Static<In>,
  answer: Static<Out>,
) => Partial<Figure> & Pick<Figure, 'paths'>;

/** A drawing whose input and answer have yet to be matched with its calculation. */
export type AnyDraw = (input: never, answer: never) => Figure;

/** Ties a drawing to the calculation that it shows. */
export function drawn<In extends TSchema, Out extends TSchema>(
  calculation: Calculation<In, Out>,
  draw: Draw<In, Out>,
): readonly [string, AnyDraw] {
  const full = (input: Static<In>, answer: Static<Out>): Figure => ({
    labels: [],
    enlarged: 1,
    ...draw(input, answer),
  });
  return [calculation.name, full];
}

export const line = (points: readonly Vec2[], ink: FigureInk = 'edge'): FigurePath => ({
  points,
  ink,
  closed: false,
  arrow: false,
});
export const outline = (points: readonly Vec2[], ink: FigureInk = 'wood'): FigurePath => ({
  points,
  ink,
  closed: true,
  arrow: false,
});
export const arrow = (from: Vec2, to: Vec2, ink: FigureInk = 'force'): FigurePath => ({
  points: [from, to],
  ink,
  closed: false,
  arrow: true,
});
export const box = (x: number, y: number, width: number, height: number, ink: FigureInk = 'wood') =>
  outline(
    [
      [x, y],
      [x + width, y],
      [x + width, y + height],
      [x, y + height],
    ],
    ink,
  );

/** A number in the unit of a field, with a name before it if one helps. */
export const number = (
  at: Vec2,
  side: FigureLabel['side'],
  field: string,
  value: number,
  text = '',
): FigureLabel => ({ at, side, field, value, text });
export const word = (at: Vec2, side: FigureLabel['side'], text: string): FigureLabel => ({
  at,
  side,
  field: null,
  value: null,
  text,
});

/** A point at a distance and an angle (degrees, counter-clockwise from the right) from another. */
export function polar(from: Vec2, angleDeg: number, distance: number): Vec2 {
  const angle = (angleDeg * Math.PI) / 180;
  return [from[0] + distance * Math.cos(angle), from[1] + distance * Math.sin(angle)];
}

/** Points of an arc. */
export const arc = (centre: Vec2, radius: number, fromDeg: number, toDeg: number, steps = 40): Vec2[] =>
  Array.from({ length: steps + 1 }, (_, i) =>
    polar(centre, fromDeg + ((toDeg - fromDeg) * i) / steps, radius),
  );

/** The largest round factor that keeps a deviation within a share of the size it belongs to. */
export function enlarge(deviation: number, size: number, share = 0.15): number {
  const most = (share * size) / Math.max(Math.abs(deviation), 1e-9);
  const steps = [1, 2, 5, 10, 20, 50, 100, 200, 500];
  return [...steps].reverse().find((step) => step <= most) ?? 1;
}

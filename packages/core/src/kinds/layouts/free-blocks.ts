import type { FreePart } from '../../formats';
import { MAIN_AXES, type Vec3 } from '../../solids';

/** x, y and z by their place in a point. */
export type AxisIndex = 0 | 1 | 2;
export const AXIS_INDEXES: readonly AxisIndex[] = [0, 1, 2];
export const AXIS_NAMES = ['x', 'y', 'z'] as const;

/** From where to where a part reaches along a main direction, mm. */
export const span = (part: FreePart, axis: AxisIndex): readonly [number, number] => [
  part.atMm[axis] ?? 0,
  (part.atMm[axis] ?? 0) + (part.sizeMm[axis] ?? 0),
];

/** How far two parts lie beside each other along a main direction, mm; negative where there is room between them. */
export function shared(a: FreePart, b: FreePart, axis: AxisIndex): number {
  const [p, q] = [span(a, axis), span(b, axis)];
  return Math.min(p[1], q[1]) - Math.max(p[0], q[0]);
}

/** Parts that reach into each other by less than this only touch, mm. */
export const TOUCH_MM = 0.05;

/** Whether two parts are in one place. */
export const overlap = (a: FreePart, b: FreePart): boolean =>
  AXIS_INDEXES.every((axis) => shared(a, b, axis) > TOUCH_MM);

/** Direction in which two parts touch: the one in which they overlap least. */
export const touchAxis = (a: FreePart, b: FreePart): AxisIndex =>
  AXIS_INDEXES.reduce((least, axis) => (shared(a, b, axis) < shared(a, b, least) ? axis : least));

/** Main direction of a part's grain. */
export const grainAxis = ({ grain }: FreePart): AxisIndex => AXIS_NAMES.indexOf(grain) as AxisIndex;
export const grainOf = (part: FreePart): Vec3 => MAIN_AXES[grainAxis(part)];

/** The two directions square to one. */
export const others = (axis: AxisIndex): readonly [AxisIndex, AxisIndex] =>
  AXIS_INDEXES.filter((each) => each !== axis) as unknown as readonly [AxisIndex, AxisIndex];

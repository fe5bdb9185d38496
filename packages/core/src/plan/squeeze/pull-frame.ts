import type { AssemblyFacts, Pull } from '../../assembly';
import { add, cross, dot, MAIN_AXES, reach, scale, solidPoints, unit, type Vec3 } from '../../solids';
import { footOf, pointsOf, jointsOf } from '../pulls/lines-of-pull';

/** Where a clamp stands on what it presses, square to its pull, mm. */
export interface ClampPlace {
  readonly alongMm: number;
  readonly acrossMm: number;
}

/** Two directions square to a pull, and how far what it presses reaches in them. */
export interface PullFrame {
  /** Along the grain of a stack; else along the joints, where they reach furthest. */
  readonly along: Vec3;
  readonly across: Vec3;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly placeOf: (at: Vec3) => ClampPlace;
  /** The point of a place in the plane through the origin square to the pull. */
  readonly at: (place: ClampPlace) => Vec3;
}

/** The frame in which the clamps of a pull are placed. */
export function pullFrame(pull: Pull, facts: AssemblyFacts): PullFrame {
  const joints = jointsOf(pull, facts);
  const ids = new Set(joints.flatMap(({ joint }) => [joint.a, joint.b]));
  const parts = facts.parts.filter(({ part }) => ids.has(part.id));
  const body = parts.flatMap(({ part }) => solidPoints(part.solid));
  const [one, other] = squareTo(pull.axis, joints.flatMap(pointsOf));
  const alongGrain = pull.stacked && parts.every(({ part }) => Math.abs(dot(other, part.grain)) > 0.9);
  const [along, across] = alongGrain ? [other, one] : [one, other];
  const [start, end] = reach(body, along);
  const [near, far] = reach(body, across);
  return {
    along,
    across,
    lengthMm: end - start,
    widthMm: far - near,
    placeOf: (at) => ({ alongMm: dot(at, along) - start, acrossMm: dot(at, across) - near }),
    at: ({ alongMm, acrossMm }) => add(scale(along, start + alongMm), scale(across, near + acrossMm)),
  };
}

/** A clamp's bar stands off the face that it lies on, mm. */
const BAR_OFF_MM = 14;

/** Where the i-th clamp of a stack stands across it: bars on its faces above and below in turn, jaws over its middle, in one row or two. */
export function acrossInTurn(
  { openingMm }: Pull,
  { widthMm }: PullFrame,
  i: number,
  rows: 1 | 2 = 1,
): number {
  const turn = i % 2 === 0 ? 1 : -1;
  if (openingMm > 2 * widthMm) return turn > 0 ? widthMm + BAR_OFF_MM : -BAR_OFF_MM;
  return widthMm / 2 + (rows === 2 ? (turn * widthMm) / 4 : 0);
}

/** Two directions square to an axis and to each other, as near to the main ones as can be; points reach further in the first. */
function squareTo(axis: Vec3, points: readonly Vec3[]): readonly [Vec3, Vec3] {
  const extent = (direction: Vec3) => {
    const [low, high] = reach(points, direction);
    return high - low;
  };
  // The main direction most along the pull is the one that it takes the place of.
  const [, ...others] = [...MAIN_AXES].sort((a, b) => Math.abs(dot(b, axis)) - Math.abs(dot(a, axis)));
  const [main = MAIN_AXES[2]] = others.sort((a, b) => Math.abs(dot(a, axis)) - Math.abs(dot(b, axis)));
  const one = unit(footOf(main, axis));
  const square = cross(axis, one);
  const other = square.reduce((sum, value) => sum + value, 0) < 0 ? scale(square, -1) : square;
  return extent(other) > extent(one) ? [other, one] : [one, other];
}

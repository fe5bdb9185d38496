import { MAIN_AXES, type Vec3 } from '../solids';

/** Parts may reach past each other by this much and still lie one behind the other, mm. */
const TOUCHING_MM = 0.05;

/** Something drawn as a whole, with how far its largest block reaches along x, y and z. */
export interface Layer {
  readonly reachMm: readonly (readonly [number, number])[];
  /** Distance of its middle towards the eye, mm. */
  readonly depthMm: number;
}

/** Everything in an order in which what is drawn later is never behind; cycles are cut at the furthest. */
export function fromBehind<T extends Layer>(all: readonly T[], towards: Vec3): T[] {
  const waiting = [...all].sort((a, b) => a.depthMm - b.depthMm);
  const ordered: T[] = [];
  while (waiting.length > 0) {
    const free = waiting.findIndex((one) =>
      waiting.every((other) => one === other || !hides(one, other, towards)),
    );
    ordered.push(...waiting.splice(Math.max(0, free), 1));
  }
  return ordered;
}

/** Whether `one` may hide some of `other` and not the other way round, by a main direction that parts them. */
function hides(one: Layer, other: Layer, towards: Vec3): boolean {
  // +1 where `one` lies on the near side of a main direction, −1 where `other` does, 0 where they overlap.
  const nearer = MAIN_AXES.map((_, axis) => {
    const slant = Math.sign(towards[axis] ?? 0);
    const [p, q] = [one.reachMm[axis] ?? [0, 0], other.reachMm[axis] ?? [0, 0]];
    if (p[0] >= q[1] - TOUCHING_MM) return slant;
    return q[0] >= p[1] - TOUCHING_MM ? -slant : 0;
  });
  return nearer.includes(1) && !nearer.includes(-1);
}

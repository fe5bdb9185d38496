import type { JointFacts } from '../../assembly';
import { evenPositions } from '../../clamps';
import { dot, middleOf, subtract, type Vec3 } from '../../solids';

/** A place on a bend where a clamp stands, and the way square to it, away from the form. */
export interface CurvePlace {
  readonly at: Vec3;
  readonly outward: Vec3;
}

/** Normals of a joint that differ by more than this lie on a curve. */
const STRAIGHT_COSINE = 0.98;

/** Whether the faces of a joint turn, as those of a bend do. */
export function isCurved({ contacts }: JointFacts): boolean {
  const [first] = contacts;
  return first !== undefined && contacts.some(({ normal }) => dot(normal, first.normal) < STRAIGHT_COSINE);
}

/**
 * Places evenly along the arc of a joint, clamps square to it there; or, where clamps were placed, on the stretch that lies nearest to
 * each of them along a direction. Source: plane geometry of the stretches that a curve is drawn with.
 */
export function onCurve(
  { contacts }: JointFacts,
  count: number,
  placed: readonly Vec3[],
  along: Vec3,
): CurvePlace[] {
  const stretches = contacts.map(({ loops, normal }) => ({ at: middleOf(loops.flat()), outward: normal }));
  if (placed.length > 0) {
    return placed.flatMap((spot) => {
      const away = ({ at }: CurvePlace) => Math.abs(dot(subtract(at, spot), along));
      return stretches.reduce((best, each) => (away(each) < away(best) ? each : best));
    });
  }
  const from = stretches.map(({ at }, i) =>
    i === 0 ? 0 : Math.hypot(...subtract(at, stretches[i - 1]?.at ?? at)),
  );
  const atMm = from.map((_, i) => from.slice(0, i + 1).reduce((sum, each) => sum + each, 0));
  return evenPositions(count, atMm.at(-1) ?? 0).flatMap((mm) => {
    const next = atMm.findIndex((each) => each >= mm - 1e-9);
    return stretches[Math.max(0, next)] ?? [];
  });
}

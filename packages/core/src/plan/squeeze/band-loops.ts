import type { AssemblyFacts, JointFacts } from '../../assembly';
import { evenPositions } from '../../clamps';
import {
  add,
  convexHull,
  cross,
  dot,
  MAIN_AXES,
  reach,
  scale,
  solidPoints,
  unit,
  type Vec3,
} from '../../solids';

/** Bands right round, where they were placed or else evenly along the direction that no mitre faces, kept off the ends. */
export function bandLoops(
  facts: AssemblyFacts,
  joints: readonly JointFacts[],
  count: number,
  placedMm: readonly number[],
): { readonly loop: readonly Vec3[]; readonly alongMm: number }[] {
  const normals = joints.flatMap(({ contacts }) => contacts.map(({ normal }) => normal));
  const [first] = normals;
  const other = normals.find((normal) => first !== undefined && Math.abs(dot(normal, first)) < 0.98);
  const axis = first === undefined || other === undefined ? MAIN_AXES[2] : unit(cross(first, other));
  const points = facts.parts.flatMap(({ part }) => solidPoints(part.solid));
  const [low, high] = reach(points, axis);
  const u = unit(cross(axis, Math.abs(axis[2]) < 0.9 ? MAIN_AXES[2] : MAIN_AXES[0]));
  const v = cross(axis, u);
  const hull = convexHull(points.map((point) => [dot(point, u), dot(point, v)] as const));
  const alongMm = placedMm.length > 0 ? placedMm : evenPositions(count, high - low);
  return alongMm.map((offset) => ({
    loop: hull.map(([a, b]) => add(add(scale(u, a), scale(v, b)), scale(axis, low + offset))),
    alongMm: offset,
  }));
}

import type { AssemblyFacts, JointFacts, Pull } from '../../assembly';
import { add, dot, middleOf, scale, type Vec3 } from '../../solids';

/** Joints whose middles lie this near to one line of pull share a clamp, mm. */
const ONE_LINE_MM = 20;

/** A line along which one clamp closes one or more joints. */
export interface LineOfPull {
  /** Where it passes through the plane square to the pull. */
  readonly at: Vec3;
  readonly joints: readonly JointFacts[];
}

/** The joints that a pull closes, in the order of the assembly. */
export const jointsOf = ({ joints }: Pull, facts: Pick<AssemblyFacts, 'joints'>): JointFacts[] =>
  facts.joints.filter(({ joint }) => joints.includes(joint.id));

/** Corners of what touches at a joint. */
export const pointsOf = (joint: JointFacts): Vec3[] => joint.contacts.flatMap(({ loops }) => loops.flat());

/** Drops what lies along a direction, so that only the place square to it is left. */
export const footOf = (at: Vec3, axis: Vec3): Vec3 => add(at, scale(axis, -dot(at, axis)));

/** Lines of a pull, joints that lie behind each other drawn together. */
export function linesOfPull({ axis }: Pull, joints: readonly JointFacts[]): LineOfPull[] {
  const lines: { at: Vec3; joints: JointFacts[] }[] = [];
  for (const joint of joints) {
    const foot = footOf(middleOf(pointsOf(joint)), axis);
    const near = lines.find(({ at }) => distance(at, foot) < ONE_LINE_MM);
    if (near === undefined) lines.push({ at: foot, joints: [joint] });
    else near.joints.push(joint);
  }
  return lines;
}

/** Which of some lines is nearest to a point; null where there are none. */
export const nearestLine = (lines: readonly Pick<LineOfPull, 'at'>[], at: Vec3): number | null =>
  lines.reduce<number | null>(
    (best, line, i) =>
      best === null || distance(line.at, at) < distance(lines[best]?.at ?? line.at, at) ? i : best,
    null,
  );

const distance = (a: Vec3, b: Vec3): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

/** Shares clamps out over lines: one each, then as many as they want at least, then where each has most to do; null where they are too few. */
export function shareOut(
  lines: readonly { readonly least: number; readonly weight: number }[],
  count: number,
): number[] | null {
  if (count < lines.length) return null;
  const counts = lines.map(() => 1);
  const doesMost = (line: number, other: number) => loadOf(other) - loadOf(line);
  const loadOf = (line: number) => (lines[line]?.weight ?? 0) / (counts[line] ?? 1);
  for (let left = count - lines.length; left > 0; left--) {
    const all = lines.map((_, line) => line);
    const wanting = all.filter((line) => (counts[line] ?? 0) < (lines[line]?.least ?? 0));
    const [next = 0] = (wanting.length > 0 ? wanting : all).sort(doesMost);
    counts[next] = (counts[next] ?? 0) + 1;
  }
  return counts;
}

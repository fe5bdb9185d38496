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
    const near = lines.find(
      ({ at }) => Math.hypot(...[0, 1, 2].map((k) => (at[k] ?? 0) - (foot[k] ?? 0))) < ONE_LINE_MM,
    );
    if (near === undefined) lines.push({ at: foot, joints: [joint] });
    else near.joints.push(joint);
  }
  return lines;
}

import type { PlannedJoint } from '../joints/planned-joint';
import type { PlannedOperation } from './planned-operation';

/** A joint's fuse in a session: the operations that light it, close it and put it out, and its windows. */
export interface PlannedFuse {
  readonly joint: string;
  readonly lit: string;
  readonly closed: string;
  readonly out: string;
  /** Unfavourable ends of its windows, min. */
  readonly openMin: number;
  readonly closedMin: number;
  readonly totalMin: number;
}

/** Whether an operation must be done before a joint's fuse is out: whatever works on it but the readings. */
export const holdsFuse = ({ asks, joints }: PlannedOperation, joint: string): boolean =>
  asks === null && joints.includes(joint);

/** The fuse of a joint among the operations of its session; null where it is left dry or the glue has no window. */
export function fuseOf(
  { facts, window: { openMin, closedMin, totalMin } }: PlannedJoint,
  operations: readonly PlannedOperation[],
): PlannedFuse | null {
  const joint = facts.joint.id;
  if (facts.gluedMm2 === 0 || openMin === null || closedMin === null || totalMin === null) return null;
  const own = operations.filter((operation) => holdsFuse(operation, joint));
  const firstOf = (...wanted: PlannedOperation['kind'][]) =>
    own.find(({ kind }) => wanted.includes(kind))?.id ?? '';
  const lastEndMin = Math.max(...own.map(({ endMin }) => endMin));
  return {
    joint,
    lit: firstOf('spread', 'coat'),
    closed: firstOf('close', 'iron'),
    out: own.findLast(({ endMin }) => endMin === lastEndMin)?.id ?? firstOf('close', 'iron'),
    openMin: openMin.low,
    closedMin: closedMin.low,
    totalMin: totalMin.low,
  };
}

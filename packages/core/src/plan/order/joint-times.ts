import type { SessionOperation } from '../../sequence';

/** Minutes at which one joint was spread, closed and under full pressure. */
export interface JointTimes {
  readonly spreadStartMin: number;
  readonly closedAtMin: number;
  readonly pressedAtMin: number;
}

/** What is done to a joint: the first operation of a kind that names it. */
export function byJoint(
  operations: readonly SessionOperation[],
): (kind: SessionOperation['kind'], joint: string) => SessionOperation | undefined {
  const found = new Map<string, Map<string, SessionOperation>>();
  for (const operation of operations) {
    const ofKind = found.get(operation.kind) ?? new Map<string, SessionOperation>();
    found.set(operation.kind, ofKind);
    for (const joint of operation.joints) if (!ofKind.has(joint)) ofKind.set(joint, operation);
  }
  return (kind, joint) => found.get(kind)?.get(joint);
}

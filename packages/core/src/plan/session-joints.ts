import type { PlanParts } from './plan';

type WithJoints = Pick<PlanParts, 'joints'>;

/** A plan with some of its joints alone; whatever else it has stays as it is. */
export const withJoints = <P extends WithJoints>(plan: P, ids: readonly string[]): P => ({
  ...plan,
  joints: plan.joints.filter(({ facts }) => ids.includes(facts.joint.id)),
});

/** A plan with the joints of one of its sessions alone; all of them where it has no such session. */
export function ofSession<P extends WithJoints & Pick<PlanParts, 'order'>>(plan: P, session: number): P {
  const ordered = plan.order?.sessions[session];
  return ordered === undefined ? plan : withJoints(plan, ordered.joints);
}

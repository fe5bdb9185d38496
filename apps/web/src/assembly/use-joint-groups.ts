import type { Plan } from '@lean-clasp/core/plan';
import { useMemo } from 'react';
import { groupJoints, type JointGroup } from './groups';

/** Joints of a plan that are alike; none before there is a plan. */
export function useJointGroups(plan: Plan | null): readonly JointGroup[] {
  return useMemo(() => {
    if (plan === null) return [];
    const roles = new Map(plan.facts.parts.map(({ part }) => [part.id, part.role]));
    return groupJoints(plan.joints, (id) => roles.get(id) ?? '');
  }, [plan]);
}

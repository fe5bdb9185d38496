import type { Plan } from '@lean-clasp/core/plan';

/** Joints that close together, in order over all sessions; in one go they close as they are listed. */
export function closingOrder({
  facts,
  order,
}: Pick<Plan, 'facts' | 'order'>): readonly (readonly string[])[] {
  if (order === null || order.impossible !== null) return facts.joints.map(({ joint }) => [joint.id]);
  return order.sessions.flatMap(({ closings }) => closings.map(({ joints }) => joints));
}

/** Names of the joints by their ids. */
export function jointLabels({ joints }: Pick<Plan, 'joints'>): ReadonlyMap<string, string> {
  return new Map(joints.map(({ facts }) => [facts.joint.id, facts.label]));
}

/** "Left stile – Top rail, Left stile – Bottom rail and 3 more". */
export function closingWords(joints: readonly string[], labels: ReadonlyMap<string, string>): string {
  const named = joints.slice(0, 2).map((id) => labels.get(id) ?? id);
  const rest = joints.length - named.length;
  return `${named.join(', ')}${rest > 0 ? ` and ${rest} more` : ''}`;
}

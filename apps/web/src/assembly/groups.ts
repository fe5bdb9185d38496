import type { AssemblyFacts } from '@lean-clasp/core/assembly';
import type { PlannedJoint } from '@lean-clasp/core/plan';

type PartFacts = AssemblyFacts['parts'][number];

/** Parts that are cut alike, as one line of the cutting list. */
export interface PartGroup {
  /** The first part's: what is entered must not give the line another identity while it is typed. */
  readonly key: string;
  readonly parts: readonly PartFacts[];
}

/** What the parts of a line are called: by their places where there are two, else by what they all are. */
export function nameOfGroup({ parts }: PartGroup): string {
  const labels = parts.map(({ part }) => part.label);
  const [first = ''] = labels;
  const bare = (label: string) => label.replace(/ \d+$/, '');
  if (labels.every((label) => bare(label) === bare(first))) return parts.length > 1 ? bare(first) : first;
  if (labels.length === 2) return [...labels].sort().join(', ');
  // "bottom rail", "top rail": their last word.
  return first.split(' ').at(-1) ?? first;
}

/** Joints that are alike. */
export interface JointGroup {
  readonly key: string;
  readonly joints: readonly PlannedJoint[];
}

/** The cutting list: parts of one role, size, wood and state together, in the order of the assembly. */
export function groupParts(parts: readonly PartFacts[]): PartGroup[] {
  return grouped(parts, ({ part }) =>
    [
      part.role,
      part.role === 'part' ? part.id : '',
      part.species,
      part.mcPct ?? '',
      part.condition,
      ...part.blankMm.map((mm) => mm.toFixed(1)),
    ].join('|'),
  ).map(([, own]) => ({ key: own[0]?.part.id ?? '', parts: own }));
}

/** Joints of one kind between parts of the same roles with the same area together. */
export function groupJoints(joints: readonly PlannedJoint[], roleOf: (id: string) => string): JointGroup[] {
  return grouped(joints, ({ facts: { joint, contactMm2, pairing } }) =>
    [joint.kind, roleOf(joint.a), roleOf(joint.b), pairing, contactMm2.toFixed(0), joint.reinforcement].join(
      '|',
    ),
  ).map(([, own]) => ({ key: own[0]?.facts.joint.id ?? '', joints: own }));
}

function grouped<T>(items: readonly T[], keyOf: (item: T) => string): [string, T[]][] {
  const groups = new Map<string, T[]>();
  for (const item of items) {
    const key = keyOf(item);
    const group = groups.get(key);
    if (group === undefined) groups.set(key, [item]);
    else group.push(item);
  }
  return [...groups];
}

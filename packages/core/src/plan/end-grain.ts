import type { JointFacts, JointKind } from '../assembly';

/** Joints that end grain itself holds; tenons, housings and bands are held by the long grain beside it. */
const HELD_BY_ENDS: readonly JointKind[] = ['mitre', 'butt', 'scarf'];

/** Contact in which end grain holds, and the faces of it that drink, mm²; the slope of a scarf drinks however flat it is. */
export function endGrainOf({ joint, contacts }: JointFacts): {
  readonly contactMm2: number;
  readonly drinksMm2: number;
} {
  if (!HELD_BY_ENDS.includes(joint.kind)) return { contactMm2: 0, drinksMm2: 0 };
  const own = contacts.filter(
    ({ pairing }) => joint.kind === 'scarf' || pairing === 'long-end' || pairing === 'end-end',
  );
  const sum = (facesOf: (pairing: (typeof own)[number]['pairing']) => number) =>
    own.reduce((total, { areaMm2, pairing }) => total + facesOf(pairing) * areaMm2, 0);
  return {
    contactMm2: sum(() => 1),
    drinksMm2: joint.gluedShare * sum((pairing) => (pairing === 'long-end' ? 1 : 2)),
  };
}

import type { Corner } from '../assembly';
import type { Plan } from './plan';

/** The corner of a flat frame that has least to glue, and the mitres that are held like it. */
export interface MitredCorner {
  readonly joints: readonly string[];
  readonly corner: Corner;
  /** Long grain on long grain of the glued mitre, mm². */
  readonly longGrainMm2: number;
}

/** What reinforcements of a mitred frame are sized by; null for plans that are no flat frame, or have no mitres. */
export function mitredCorner(plan: Pick<Plan, 'facts' | 'joints'>): MitredCorner | null {
  const { square, flat } = plan.facts.assembly;
  const mitres = plan.joints.filter(({ facts }) => facts.joint.kind === 'mitre');
  const [first] = mitres;
  if (first === undefined || square.kind === 'none' || flat.kind !== 'wind') return null;
  const { facts } = mitres.reduce((least, each) =>
    each.facts.contactMm2 < least.facts.contactMm2 ? each : least,
  );
  const thicknessMm = plan.facts.toMm[2] - plan.facts.fromMm[2];
  return {
    joints: mitres.map(({ facts: { joint } }) => joint.id),
    corner: {
      faceMm: facts.contactMm2 / thicknessMm,
      thicknessMm,
      angleDeg: facts.joint.angleDeg ?? 90,
    },
    longGrainMm2: facts.longGrainMm2,
  };
}

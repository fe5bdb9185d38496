import { Type } from '@sinclair/typebox';
import { findAdhesive } from '../adhesives';
import { InputError } from '../basics/checks';
import { clampNeed as computeNeed, findClampKind } from '../clamps';
import { bounded, strictObject } from '../formats';
import { LIMITS } from '../basics/limits';
import { resolveSpecies } from '../materials';
import { calculation } from './calculation';
import { CatalogueId, optional, SpeciesSchema, UsedSchema } from './shared-schemas';

/** The kind that is meant when nobody says. */
const USUAL_KIND = 'parallel-jaw';

/** Force and clamps for one long-grain line. */
export const clampNeed = calculation({
  name: 'clamp-need',
  doc: 'Pressure wanted on a long-grain line, the force that gives it, and how many clamps that takes.',
  input: strictObject({
    species: Type.Array(SpeciesSchema, { minItems: 1, maxItems: 8 }),
    adhesive: CatalogueId,
    lengthMm: bounded(LIMITS.lineLengthMm),
    heightMm: bounded(LIMITS.lineHeightMm),
    clampKind: optional(CatalogueId),
    clampForceN: optional(bounded(LIMITS.clampForceN)),
  }),
  output: strictObject({
    targetMPa: strictObject({ low: Type.Number(), high: Type.Number() }),
    forceN: strictObject({ low: Type.Number(), high: Type.Number() }),
    clamps: strictObject({ min: Type.Integer(), recommended: Type.Integer() }),
    maxSpacingMm: Type.Number(),
    padAreaMm2: Type.Number(),
    used: UsedSchema,
  }),
  example: {
    species: ['hard-maple'],
    adhesive: 'pva-interior',
    lengthMm: 1000,
    heightMm: 20,
    clampKind: 't-bar',
  },
  compute: ({ species, adhesive, lengthMm, heightMm, clampKind, clampForceN }) => {
    const woods = species.map((wood, i) => resolveSpecies(wood, `species.${i}`).properties);
    const kind = findClampKind(clampKind ?? USUAL_KIND);
    const forceN = clampForceN ?? kind.forceN;
    if (forceN === null) {
      throw new InputError(
        'inconsistent',
        'clampKind',
        `A ${kind.name} gives a pressure, not a force per clamp.`,
        'a kind with a force, or clampForceN',
      );
    }
    const need = computeNeed({
      woods,
      adhesive: findAdhesive(adhesive),
      lengthMm,
      heightMm,
      clampForceN: forceN,
    });
    return {
      targetMPa: { low: need.target.lowMPa, high: need.target.highMPa },
      forceN: { low: need.forceLowN, high: need.forceHighN },
      clamps: { min: need.clampsMin, recommended: need.clampsRecommended },
      maxSpacingMm: need.maxSpacingMm,
      padAreaMm2: need.padAreaMm2,
      used: {
        clampForceN: forceN,
        clampKind: clampForceN === undefined ? kind.id : 'force given',
        sg: Math.min(...woods.map((wood) => wood.sg)),
        compPerpMPa: Math.min(...woods.map((wood) => wood.compPerpMPa)),
      },
    };
  },
});

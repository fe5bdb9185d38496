import { Type } from '../basics/type';
import { findAdhesive } from '../adhesives';
import { InputError } from '../basics/checks';
import { clampNeed as computeNeed, findClampKind, handCalibration as calibrate, N_PER_KG } from '../clamps';
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

/** A clamp measured by turns past snug, on a scale under a lever. */
export const handCalibration = calculation({
  name: 'hand-calibration',
  doc: 'Pull that one turn of a clamp adds past snug, from readings of a scale under a lever.',
  input: strictObject({
    readings: Type.Array(
      strictObject({
        turns: bounded({ min: 0, max: 20, unit: 'turns' }),
        kg: bounded({ min: 0, max: 2000, unit: 'kg' }),
      }),
      { minItems: 2, maxItems: 40 },
    ),
    /** Pull between the jaws over what the scale shows; 1 without a lever. */
    lever: bounded({ min: 0.1, max: 50, unit: '' }),
  }),
  output: strictObject({
    perTurnN: Type.Number(),
    perTurnErrorN: Type.Union([Type.Number(), Type.Null()]),
    mostErrorN: Type.Union([Type.Number(), Type.Null()]),
    snugN: Type.Number(),
    mostN: Type.Number(),
    offLineN: Type.Number(),
    straight: Type.Boolean(),
  }),
  example: {
    readings: [
      { turns: 0, kg: 12 },
      { turns: 0.5, kg: 41 },
      { turns: 1, kg: 68 },
      { turns: 1.5, kg: 97 },
    ],
    lever: 3,
  },
  compute: ({ readings, lever }) => ({
    ...calibrate(readings.map(({ turns, kg }) => ({ turns, forceN: kg * N_PER_KG * lever }))),
  }),
});

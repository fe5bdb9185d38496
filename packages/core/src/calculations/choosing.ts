import { Type } from '../basics/type';
import {
  adhesiveWindow as computeWindow,
  findAdhesive,
  HAZARDS,
  SERVICES,
  strengthAt,
  strengthCurve,
} from '../adhesives';
import { PLAIN_JOB, rankAdhesives } from '../choice';
import { bounded, FINISHES, oneOf, orNull, strictObject } from '../formats';
import { LIMITS } from '../basics/limits';
import { inBalancePct, PLAIN_TRAITS, resolveSpecies } from '../materials';
import { calculation } from './calculation';
import {
  CatalogueId,
  FacesSchema,
  NumberOrNull,
  optional,
  RangeOrNull,
  SpeciesSchema,
  UsedSchema,
} from './shared-schemas';

/** Strength of a joint as it sets. */
export const strength = calculation({
  name: 'strength',
  doc: 'Share of its full strength that a joint has some time after clamping, as a range; estimated, not measured.',
  input: strictObject({
    adhesive: CatalogueId,
    tempC: bounded(LIMITS.tempC),
    rhPct: bounded(LIMITS.relativeHumidityPct),
    mcPct: optional(bounded(LIMITS.moisturePct)),
    lineMm: optional(bounded({ min: 0.01, max: 5, unit: 'mm' })),
    afterMin: Type.Array(bounded({ min: 0, max: 100000, unit: 'min' }), { minItems: 1, maxItems: 200 }),
  }),
  output: strictObject({
    points: Type.Array(
      strictObject({
        afterMin: Type.Number(),
        lowPct: Type.Number(),
        likelyPct: Type.Number(),
        highPct: Type.Number(),
      }),
    ),
    clampMin: RangeOrNull,
    machineMin: NumberOrNull,
    fullCureMin: NumberOrNull,
    used: UsedSchema,
  }),
  example: { adhesive: 'pva-interior', tempC: 18, rhPct: 45, afterMin: [15, 45, 120, 480, 1440] },
  compute: ({ adhesive, tempC, rhPct, mcPct, lineMm, afterMin }) => {
    const family = findAdhesive(adhesive);
    const traits = PLAIN_TRAITS;
    const window = computeWindow(family, { tempC, rhPct, mcPct, faces: 1, traits });
    const curve = strengthCurve(family, window, lineMm);
    return {
      points: afterMin.map((minutes) => {
        const { low, likely, high } = strengthAt(curve, minutes);
        return { afterMin: minutes, lowPct: 100 * low, likelyPct: 100 * likely, highPct: 100 * high };
      }),
      clampMin: window.clampMin,
      machineMin: window.machineMin,
      fullCureMin: window.fullCureMin,
      used: {
        k: curve.k,
        tauLowMin: curve.tauMin.low,
        tauLikelyMin: curve.tauMin.likely,
        tauHighMin: curve.tauMin.high,
      },
    };
  },
});

const flag = () => optional(Type.Boolean());

/** Glues for a described job, best first. */
export const adhesiveRank = calculation({
  name: 'adhesive-rank',
  doc: 'Which glue for a job: what is refused and why, and reasons for and against the rest with their weights.',
  input: strictObject({
    service: oneOf(SERVICES),
    tempC: bounded(LIMITS.tempC),
    rhPct: bounded(LIMITS.relativeHumidityPct),
    species: SpeciesSchema,
    openNeedMin: bounded({ min: 0, max: 600, unit: 'min' }),
    closedNeedMin: bounded({ min: 0, max: 600, unit: 'min' }),
    mcPct: optional(bounded(LIMITS.moisturePct)),
    woodTempC: optional(bounded(LIMITS.tempC)),
    faces: optional(FacesSchema),
    gapMm: optional(bounded({ min: 0, max: LIMITS.gapMm.max, unit: 'mm' })),
    areaMm2: optional(bounded(LIMITS.areaMm2)),
    endGrainPct: optional(bounded({ min: 0, max: 100, unit: '%' })),
    veneer: optional(oneOf(['none', 'sheet', 'iron-on'])),
    finish: optional(oneOf(FINISHES)),
    oldGlue: optional(oneOf(['none', 'hide', 'other'])),
    lastingLoad: flag(),
    repairable: flag(),
    paleWood: flag(),
    warmC: optional(bounded({ min: 20, max: 120, unit: '°C' })),
    clampsOffWithinMin: optional(bounded(LIMITS.minutes)),
    avoid: optional(Type.Array(oneOf(HAZARDS), { maxItems: HAZARDS.length })),
  }),
  output: strictObject({
    glues: Type.Array(
      strictObject({
        adhesive: Type.String(),
        refused: Type.Boolean(),
        why: Type.Array(
          strictObject({
            code: Type.String(),
            weight: Type.Number(),
            values: UsedSchema,
          }),
        ),
      }),
    ),
    best: orNull(Type.String()),
    deciding: orNull(Type.String()),
  }),
  example: {
    service: 'dry',
    tempC: 18,
    rhPct: 45,
    species: 'hard-maple',
    openNeedMin: 3,
    closedNeedMin: 3,
    finish: 'clear',
  },
  compute: ({ species, endGrainPct, ...asked }) => {
    const { properties, traits } = resolveSpecies(species);
    const given = Object.fromEntries(Object.entries(asked).filter(([, value]) => value !== undefined));
    const { glues, deciding } = rankAdhesives({
      ...PLAIN_JOB,
      ...given,
      sg: properties.sg,
      traits,
      endGrainShare: (endGrainPct ?? 0) / 100,
      mcPct: asked.mcPct ?? inBalancePct(asked),
    });
    const first = glues.find(({ refusals }) => refusals.length === 0);
    return {
      glues: glues.map(({ adhesive, refusals, reasons }) => ({
        adhesive: adhesive.id,
        refused: refusals.length > 0,
        why: (refusals.length > 0 ? refusals.map((refusal) => ({ ...refusal, weight: 0 })) : reasons).map(
          ({ code, weight, values }) => ({ code, weight, values: { ...values } }),
        ),
      })),
      best: first?.adhesive.id ?? null,
      deciding: deciding?.reason.code ?? null,
    };
  },
});

import { Type } from '../basics/type';
import { bounded, oneOf, strictObject } from '../formats';
import { LIMITS } from '../basics/limits';
import { cupSagittaMm, equilibriumMoisturePct, movementMm, resolveSpecies } from '../materials';
import { calculation } from './calculation';
import { SpeciesSchema, UsedSchema } from './shared-schemas';

const widthMm = bounded({ min: 1, max: 5000, unit: 'mm' });

/** Equilibrium moisture content of wood. */
export const emc = calculation({
  name: 'emc',
  doc: 'Moisture content that wood settles at in air of a given temperature and humidity.',
  input: strictObject({ tempC: bounded(LIMITS.tempC), rhPct: bounded(LIMITS.relativeHumidityPct) }),
  output: strictObject({ emcPct: Type.Number() }),
  example: { tempC: 18, rhPct: 45 },
  compute: ({ tempC, rhPct }) => ({ emcPct: equilibriumMoisturePct(tempC, rhPct) }),
});

/** Seasonal movement across a board. */
export const movement = calculation({
  name: 'movement',
  doc: 'How much wider (+) or narrower (−) a board gets between two moisture contents.',
  input: strictObject({
    species: SpeciesSchema,
    widthMm,
    cut: oneOf(['flat', 'quarter', 'rift']),
    mcFromPct: bounded(LIMITS.moisturePct),
    mcToPct: bounded(LIMITS.moisturePct),
  }),
  output: strictObject({ changeMm: Type.Number(), used: UsedSchema }),
  example: { species: 'hard-maple', widthMm: 600, cut: 'flat', mcFromPct: 6, mcToPct: 10 },
  compute: ({ species, ...change }) => {
    const { properties } = resolveSpecies(species);
    return {
      changeMm: movementMm({ ...change, wood: properties }),
      used: { cR: properties.cR, cT: properties.cT },
    };
  },
});

/** Cup of a flat-sawn board. */
export const cup = calculation({
  name: 'cup',
  doc: 'How far a flat-sawn board cups between two moisture contents; + when the bark face turns hollow.',
  input: strictObject({
    species: SpeciesSchema,
    widthMm,
    ringRadiusMm: bounded(LIMITS.ringRadiusMm),
    mcFromPct: bounded(LIMITS.moisturePct),
    mcToPct: bounded(LIMITS.moisturePct),
  }),
  output: strictObject({ sagittaMm: Type.Number(), used: UsedSchema }),
  example: { species: 'hard-maple', widthMm: 200, ringRadiusMm: 150, mcFromPct: 10, mcToPct: 6 },
  compute: ({ species, ...change }) => {
    const { properties } = resolveSpecies(species);
    return {
      sagittaMm: cupSagittaMm({ ...change, wood: properties }),
      used: { cR: properties.cR, cT: properties.cT },
    };
  },
});

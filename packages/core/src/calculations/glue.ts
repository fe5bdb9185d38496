import { Type } from '../basics/type';
import { adhesiveWindow as computeWindow, findAdhesive } from '../adhesives';
import { bounded, strictObject } from '../formats';
import { LIMITS } from '../basics/limits';
import { resolveSpecies } from '../materials';
import { findSpreadMethod, spread as computeSpread } from '../spread';
import { calculation } from './calculation';
import {
  CatalogueId,
  FacesSchema,
  FindingsSchema,
  NumberOrNull,
  optional,
  RangeOrNull,
  SpeciesSchema,
  UsedSchema,
} from './shared-schemas';

/** Working and waiting times of an adhesive family. */
export const adhesiveWindow = calculation({
  name: 'adhesive-window',
  doc: 'Open, closed and total assembly time and waiting times of an adhesive family in a given climate.',
  input: strictObject({
    adhesive: CatalogueId,
    tempC: bounded(LIMITS.tempC),
    rhPct: bounded(LIMITS.relativeHumidityPct),
    faces: FacesSchema,
    species: SpeciesSchema,
    mcPct: optional(bounded(LIMITS.moisturePct)),
    woodTempC: optional(bounded(LIMITS.tempC)),
    glueTempC: optional(bounded(LIMITS.tempC)),
  }),
  output: strictObject({
    refused: Type.Boolean(),
    openMin: RangeOrNull,
    closedMin: RangeOrNull,
    totalMin: RangeOrNull,
    clampMin: RangeOrNull,
    machineMin: NumberOrNull,
    fullCureMin: NumberOrNull,
    findings: FindingsSchema,
    used: UsedSchema,
  }),
  example: { adhesive: 'pva-interior', tempC: 18, rhPct: 45, faces: 1, species: 'hard-maple' },
  compute: ({ adhesive, species, ...conditions }) => {
    const { traits, properties } = resolveSpecies(species);
    const window = computeWindow(findAdhesive(adhesive), { ...conditions, traits, sg: properties.sg });
    return { ...window, findings: [...window.findings], used: { ...window.used } };
  },
});

/** Glue and minutes to spread a line. */
export const spread = calculation({
  name: 'spread',
  doc: 'Amount of glue, minutes to spread it and cups of mixed resin for an area.',
  input: strictObject({
    areaMm2: bounded(LIMITS.areaMm2),
    lengthMm: optional(bounded(LIMITS.lineLengthMm)),
    faces: FacesSchema,
    openMm: optional(bounded({ ...LIMITS.gapMm, min: 0 })),
    adhesive: CatalogueId,
    method: CatalogueId,
    hands: optional(bounded(LIMITS.hands)),
  }),
  output: strictObject({
    volumeMl: Type.Number(),
    massG: Type.Number(),
    minutes: Type.Number(),
    batches: Type.Array(strictObject({ massG: Type.Number(), useWithinMin: Type.Number() })),
    used: UsedSchema,
  }),
  example: { areaMm2: 20000, faces: 1, adhesive: 'pva-interior', method: 'card' },
  compute: ({ adhesive, method, ...job }) => {
    const answer = computeSpread({
      ...job,
      adhesive: findAdhesive(adhesive),
      method: findSpreadMethod(method),
    });
    return { ...answer, batches: [...answer.batches], used: { ...answer.used } };
  },
});

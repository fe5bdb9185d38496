import { Type } from '../basics/type';
import { bend as computeBend } from '../bending';
import { bounded, oneOf, strictObject } from '../formats';
import { LIMITS } from '../basics/limits';
import { breadboardSlot as computeSlot, resolveSpecies } from '../materials';
import { calculation } from './calculation';
import { optional, SpeciesSchema, UsedSchema } from './shared-schemas';

/** Plies of a bent lamination. */
export const bend = calculation({
  name: 'bend',
  doc: 'How many plies a bend wants, how thick, and how much tighter its form must be.',
  input: strictObject({
    radiusMm: bounded({ min: 5, max: 20000, unit: 'mm' }),
    thicknessMm: bounded({ min: 1, max: 300, unit: 'mm' }),
    species: SpeciesSchema,
    pliesMin: optional(Type.Integer({ minimum: 2, maximum: 200 })),
  }),
  output: strictObject({
    plies: Type.Integer(),
    plyMm: Type.Number(),
    strainPct: Type.Number(),
    springbackPct: Type.Number(),
    formRadiusMm: Type.Number(),
    used: UsedSchema,
  }),
  example: { radiusMm: 600, thicknessMm: 36, species: 'white-ash' },
  compute: ({ species, ...job }) => {
    // The strain limit is one judgement for all woods so far; the id is still checked.
    const { name } = resolveSpecies(species);
    const { strainLimitPct, ...answer } = computeBend(job);
    return { ...answer, used: { strainLimitPct, species: name } };
  },
});

/** Slot of a breadboard peg. */
export const breadboardSlot = calculation({
  name: 'breadboard-slot',
  doc: 'How far a breadboard’s peg hole must be elongated, outward and inward, for the year’s movement.',
  input: strictObject({
    species: SpeciesSchema,
    cut: oneOf(['flat', 'quarter', 'rift']),
    distanceMm: bounded({ min: 1, max: 5000, unit: 'mm' }),
    mcNowPct: bounded(LIMITS.moisturePct),
    mcLowPct: bounded(LIMITS.moisturePct),
    mcHighPct: bounded(LIMITS.moisturePct),
    clearanceMm: bounded({ min: 0, max: 10, unit: 'mm' }),
  }),
  output: strictObject({
    outwardMm: Type.Number(),
    inwardMm: Type.Number(),
    slotMm: Type.Number(),
    used: UsedSchema,
  }),
  example: {
    species: 'hard-maple',
    cut: 'flat',
    distanceMm: 250,
    mcNowPct: 8.5,
    mcLowPct: 7,
    mcHighPct: 10,
    clearanceMm: 0.5,
  },
  compute: ({ species, ...peg }) => {
    const { properties } = resolveSpecies(species);
    return { ...computeSlot({ ...peg, wood: properties }), used: { cR: properties.cR, cT: properties.cT } };
  },
});

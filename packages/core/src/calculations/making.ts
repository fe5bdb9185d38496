import { Type } from '../basics/type';
import { coatDriesMin, DRIED_COATS, IRON_WITHIN_MIN } from '../adhesives';
import { resawList as computeResaw } from '../bending';
import { LIMITS } from '../basics/limits';
import { bounded, strictObject } from '../formats';
import { glassAndBack as computeGlass, vacuumBag as computeBag } from '../geometry';
import { drawboreMm, resolveSpecies, roughSize } from '../materials';
import { calculation } from './calculation';
import { RangeSchema, SpeciesSchema, UsedSchema } from './shared-schemas';

const size = bounded({ min: 1, max: 10000, unit: 'mm' });
const small = bounded({ min: 0, max: 50, unit: 'mm' });

/** Drying of thinned coats before an iron. */
export const dryingCoats = calculation({
  name: 'drying-coats',
  doc: 'How long thinned coats for an iron take to be dry to the touch in this air, and until when they can be ironed.',
  input: strictObject({
    coats: Type.Integer({ minimum: 1, maximum: 10 }),
    tempC: bounded(LIMITS.tempC),
    rhPct: bounded(LIMITS.relativeHumidityPct),
  }),
  output: strictObject({ eachMin: RangeSchema, inAllMin: RangeSchema, ironWithinMin: Type.Number() }),
  example: { coats: DRIED_COATS, tempC: 18, rhPct: 45 },
  compute: ({ coats, ...air }) => {
    const { low, likely, high } = coatDriesMin(air);
    return {
      eachMin: { low, likely, high },
      inAllMin: { low: coats * low, likely: coats * likely, high: coats * high },
      ironWithinMin: IRON_WITHIN_MIN,
    };
  },
});

/** Glass, picture and back of a rebated frame. */
export const glassAndBack = calculation({
  name: 'glass-and-back',
  doc: 'Sizes of glass, picture and back for a rebated frame, with clearance on every side.',
  input: strictObject({ openWideMm: size, openHighMm: size, rebateMm: small, clearanceMm: small }),
  output: strictObject({ wideMm: Type.Number(), highMm: Type.Number() }),
  example: { openWideMm: 324, openHighMm: 464, rebateMm: 8, clearanceMm: 1.5 },
  compute: computeGlass,
});

/** Strips for the plies of a bend. */
export const resawList = calculation({
  name: 'resaw-list',
  doc: 'Strips to saw for the plies of a bend: how thick, how many from a rough board, how many boards.',
  input: strictObject({
    plies: Type.Integer({ minimum: 1, maximum: 200 }),
    spare: Type.Integer({ minimum: 0, maximum: 20 }),
    plyMm: bounded({ min: 0.4, max: 30, unit: 'mm' }),
    boardMm: bounded({ min: 1, max: 200, unit: 'mm' }),
    kerfMm: bounded({ min: 0, max: 10, unit: 'mm' }),
    planedMm: bounded({ min: 0, max: 5, unit: 'mm' }),
  }),
  output: strictObject({
    stripMm: Type.Number(),
    stripsPerBoard: Type.Integer(),
    boards: Type.Integer(),
    lostShare: Type.Number(),
  }),
  example: { plies: 8, spare: 2, plyMm: 3.5, boardMm: 52, kerfMm: 3, planedMm: 0.5 },
  compute: (job) => ({ ...computeResaw(job) }),
});

/** Rough size for a finished one. */
export const millingAllowance = calculation({
  name: 'milling-allowance',
  doc: 'Rough size to saw for a finished board, with what its cup, bow and twist cost.',
  input: strictObject({
    lengthMm: size,
    widthMm: size,
    thicknessMm: bounded({ min: 1, max: 300, unit: 'mm' }),
    cupMm: small,
    bowMm: small,
    twistMm: small,
  }),
  output: strictObject({ lengthMm: Type.Number(), widthMm: Type.Number(), thicknessMm: Type.Number() }),
  example: { lengthMm: 1000, widthMm: 120, thicknessMm: 20, cupMm: 0.5, bowMm: 1, twistMm: 0.5 },
  compute: roughSize,
});

/** Offset of a drawbored peg. */
export const drawbore = calculation({
  name: 'drawbore',
  doc: 'How far the hole in a tenon or tongue is offset towards the shoulder, so that its peg draws the joint home.',
  input: strictObject({ species: SpeciesSchema }),
  output: strictObject({ offsetMm: Type.Number(), used: UsedSchema }),
  example: { species: 'white-oak' },
  compute: ({ species }) => {
    const { sg } = resolveSpecies(species).properties;
    return { offsetMm: drawboreMm(sg), used: { sg } };
  },
});

/** Size of a bag for a sheet. */
export const vacuumBag = calculation({
  name: 'vacuum-bag',
  doc: 'Inside of the bag that a sheet goes into, with room to seal it.',
  input: strictObject({
    lengthMm: size,
    widthMm: size,
    thicknessMm: bounded({ min: 1, max: 300, unit: 'mm' }),
  }),
  output: strictObject({ insideLengthMm: Type.Number(), insideWidthMm: Type.Number() }),
  example: { lengthMm: 1256, widthMm: 776, thicknessMm: 13.4 },
  compute: computeBag,
});

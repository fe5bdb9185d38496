import { Type } from '../basics/type';
import { InputError } from '../basics/checks';
import { BETWEEN_JAWS_MM } from '../clamps';
import { finding } from '../findings';
import { bounded, oneOf, strictObject } from '../formats';
import { LIMITS } from '../basics/limits';
import { resolveSpecies } from '../materials';
import { layerPressure } from '../mechanics';
import { placeClamps as place } from '../placing';
import { calculation } from './calculation';
import { FindingsSchema, optional, SpeciesSchema } from './shared-schemas';

const force = Type.Number({ minimum: 0, maximum: LIMITS.clampForceN.max });
const Name = Type.String({ minLength: 1, maxLength: 40 });
const Maple = { widthMm: 120, species: 'hard-maple', cut: 'flat' as const };

/** Places are tried this far apart unless they are given, mm; on long panels no more than so many. */
const STEP_MM = 10;
const MOST_PLACES = 95;

/** Fewest clamps, and their places, that press a panel everywhere. */
export const placeClamps = calculation({
  name: 'place-clamps',
  doc: 'Fewest clamps from a rack, and their places, that bring every line of a panel to the pressure wanted everywhere.',
  input: strictObject({
    boards: Type.Array(
      strictObject({
        widthMm: bounded(LIMITS.boardWidthMm),
        species: SpeciesSchema,
        cut: oneOf(['flat', 'quarter', 'rift']),
      }),
      { minItems: 2, maxItems: 40 },
    ),
    lengthMm: bounded(LIMITS.boardLengthMm),
    thicknessMm: bounded(LIMITS.boardThicknessMm),
    targetMPa: Type.Number({ exclusiveMinimum: 0, maximum: 10 }),
    rack: Type.Array(
      strictObject({
        id: Name,
        count: Type.Integer({ minimum: 0, maximum: LIMITS.clampCount.max }),
        forceN: force,
        padMm: bounded(LIMITS.padSideMm),
      }),
      { maxItems: 20 },
    ),
    /** Where clamps may stand; every 10 mm unless given. Up to five are all tried. */
    placesMm: optional(Type.Array(bounded(LIMITS.clampPositionMm), { maxItems: 200 })),
    pinned: optional(
      Type.Array(strictObject({ lotId: Name, xMm: bounded(LIMITS.clampPositionMm) }), { maxItems: 60 }),
    ),
  }),
  output: strictObject({
    clamps: Type.Array(strictObject({ lotId: Name, xMm: Type.Number(), forceN: Type.Number() })),
    lowestMPa: Type.Number(),
    lowestLine: Type.Integer(),
    lowestAtMm: Type.Number(),
    meets: Type.Boolean(),
    status: oneOf(['proven', 'best-found']),
    tried: Type.Integer(),
    findings: FindingsSchema,
  }),
  example: {
    boards: [Maple, Maple, Maple, Maple, Maple],
    lengthMm: 1000,
    thicknessMm: 20,
    targetMPa: 0.9,
    rack: [
      { id: 'long', count: 6, forceN: 5400, padMm: 40 },
      { id: 'pipe', count: 4, forceN: 4800, padMm: 45 },
    ],
  },
  compute: ({ boards, lengthMm, thicknessMm, targetMPa, rack, placesMm, pinned = [] }) => {
    pinned.forEach(({ lotId }, i) => {
      if (rack.every(({ id }) => id !== lotId)) {
        throw new InputError(
          'unknown-id',
          `pinned.${i}.lotId`,
          `The rack holds no "${lotId}".`,
          rack.map(({ id }) => id).join(', '),
        );
      }
    });
    const left = rack.map((lot) => ({
      ...lot,
      count: Math.max(0, lot.count - pinned.filter(({ lotId }) => lotId === lot.id).length),
    }));
    const placing = place({
      panel: {
        boards: boards.map(({ widthMm, species, cut }, i) => ({
          widthMm,
          cut,
          thicknessMm,
          wood: resolveSpecies(species, `boards.${i}.species`).properties,
        })),
        lengthMm,
      },
      targetMPa: boards.slice(1).map(() => targetMPa),
      lots: left,
      placesMm: placesMm ?? everywhere(lengthMm),
      pinned,
      mostClamps: 60,
      betweenMm: BETWEEN_JAWS_MM,
    });
    const meets = placing.lowestShare >= 1 - 1e-9;
    return {
      clamps: placing.clamps.map(({ lotId, xMm }) => ({
        lotId,
        xMm,
        forceN: rack.find(({ id }) => id === lotId)?.forceN ?? 0,
      })),
      lowestMPa: placing.lowestShare * targetMPa,
      lowestLine: placing.lowestLine,
      lowestAtMm: placing.lowestAtMm,
      meets,
      status: placing.status,
      tried: placing.tried,
      findings: meets
        ? []
        : [finding('rack-falls-short', 'refuses', { sharePct: 100 * placing.lowestShare })],
    };
  },
});

function everywhere(lengthMm: number): number[] {
  const step = Math.max(STEP_MM, lengthMm / MOST_PLACES);
  const count = Math.floor(lengthMm / step);
  const rest = (lengthMm - count * step) / 2;
  return Array.from({ length: count + 1 }, (_, i) => Math.round(rest + i * step));
}

/** Pressure under a platen or a caul on something soft. */
export const platen = calculation({
  name: 'platen',
  doc: 'Pressure under a platen or a caul that presses a layer, such as veneer on its core, by forces along it.',
  input: strictObject({
    lengthMm: bounded({ min: 20, max: 6000, unit: 'mm' }),
    widthMm: bounded({ min: 5, max: 3000, unit: 'mm' }),
    stripMm: bounded({ min: 1, max: 300, unit: 'mm' }),
    stripSpecies: SpeciesSchema,
    layerMm: bounded({ min: 0.2, max: 300, unit: 'mm' }),
    layerSpecies: SpeciesSchema,
    pushes: Type.Array(strictObject({ xMm: bounded(LIMITS.clampPositionMm), forceN: force }), {
      minItems: 1,
      maxItems: 60,
    }),
    crownMm: optional(bounded(LIMITS.crownMm)),
  }),
  output: strictObject({
    pressureMPa: Type.Array(Type.Number()),
    minMPa: Type.Number(),
    meanMPa: Type.Number(),
    maxMPa: Type.Number(),
    lifts: Type.Boolean(),
    findings: FindingsSchema,
  }),
  example: {
    lengthMm: 600,
    widthMm: 320,
    stripMm: 60,
    stripSpecies: 'birch-plywood',
    layerMm: 12,
    layerSpecies: 'eastern-white-pine',
    pushes: [50, 150, 250, 350, 450, 550].map((xMm) => ({ xMm, forceN: 6000 })),
  },
  compute: ({ stripSpecies, layerSpecies, pushes, lengthMm, ...size }) => {
    pushes.forEach(({ xMm }, i) => {
      if (!(xMm >= 0 && xMm <= lengthMm)) {
        throw new InputError(
          'out-of-range',
          `pushes.${i}.xMm`,
          `Push ${i + 1} at ${xMm} mm is off the platen.`,
          `0 to ${lengthMm} mm`,
        );
      }
    });
    const { pressureMPa, minMPa, meanMPa, maxMPa, lifts } = layerPressure({
      ...size,
      lengthMm,
      pushes,
      stripMPa: resolveSpecies(stripSpecies, 'stripSpecies').properties.eLMPa,
      layerMPa: resolveSpecies(layerSpecies, 'layerSpecies').properties.eTMPa,
    });
    return {
      pressureMPa: [...pressureMPa],
      minMPa,
      meanMPa,
      maxMPa,
      lifts,
      findings: lifts ? [{ ...finding('platen-lifts', 'warns'), values: {} }] : [],
    };
  },
});

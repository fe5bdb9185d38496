import type { Static } from '@sinclair/typebox';
import { Type } from '../basics/type';
import { CONDITIONS, GLUED_REGIONS, JOINT_KINDS, REINFORCEMENTS } from '../assembly/assembly';
import { LIMITS } from '../basics/limits';
import { MOST_READINGS } from './most';
import { bounded, Id, oneOf, orNull, ShortText, strictObject } from './schema';

const point = (min: number) =>
  Type.Array(Type.Number({ minimum: min, maximum: 6000 }), { minItems: 3, maxItems: 3 });

export const FreePartSchema = strictObject({
  id: Id,
  name: Type.String({ minLength: 1, maxLength: 60 }),
  species: ShortText,
  atMm: point(-6000),
  sizeMm: point(0.5),
  grain: oneOf(['x', 'y', 'z']),
});

export const FreeJointSchema = strictObject({
  id: Id,
  kind: oneOf(JOINT_KINDS),
  a: Id,
  b: Id,
  /** How deep a tenon or a housing goes; left out for the usual share. */
  deepMm: Type.Optional(bounded({ min: 1, max: 1000, unit: 'mm' })),
});

/** How a board may be sawn out of the log. */
const CUTS = ['flat', 'quarter', 'rift'] as const;

/** A board that a person lays into a row, listed from one clamped edge to the other. */
export const BoardSchema = strictObject({
  id: Id,
  species: ShortText,
  widthMm: bounded(LIMITS.boardWidthMm),
  thicknessMm: bounded(LIMITS.boardThicknessMm),
  lengthMm: bounded(LIMITS.boardLengthMm),
  cut: oneOf(CUTS),
  /** Which face the heart of the tree is on. */
  heart: oneOf(['up', 'down']),
  ringRadiusMm: bounded(LIMITS.ringRadiusMm),
  /** Metered moisture content; null means in balance with the shop. */
  mcPct: orNull(bounded(LIMITS.moisturePct)),
});

/** Air of a place or an hour. */
export const ClimateSchema = strictObject({
  tempC: bounded(LIMITS.tempC),
  rhPct: bounded(LIMITS.relativeHumidityPct),
});

/** What a person has changed about a part that its kind laid out. */
export const PartNoteSchema = strictObject({
  id: Id,
  species: orNull(ShortText),
  mcPct: orNull(bounded(LIMITS.moisturePct)),
  condition: oneOf(CONDITIONS),
  /** Rough board that it is milled from: length, width, thickness; left out where nobody has measured it. */
  roughMm: Type.Optional(
    Type.Array(Type.Number({ minimum: 1, maximum: 7000 }), { minItems: 3, maxItems: 3 }),
  ),
  /** Face mark, or edge mark, on the opposite side. Documents from before marks leave them out. */
  faceTurned: Type.Optional(Type.Boolean()),
  edgeTurned: Type.Optional(Type.Boolean()),
  /** How a board of a row was sawn and which way round it lies; left out: as its kind lays it. */
  cut: Type.Optional(oneOf(CUTS)),
  heart: Type.Optional(oneOf(['up', 'down'])),
  ringRadiusMm: Type.Optional(bounded(LIMITS.ringRadiusMm)),
});

/** What a person has read or chosen at a joint. */
export const JointNoteSchema = strictObject({
  id: Type.String({ minLength: 1, maxLength: 130, pattern: '^[A-Za-z0-9_-]+$' }),
  /** One reading that stands for the whole joint. */
  gapMm: orNull(bounded(LIMITS.gapMm)),
  /** Readings at equal steps along it; they come before `gapMm`. */
  gapsMm: Type.Optional(Type.Array(bounded(LIMITS.gapMm), { maxItems: MOST_READINGS })),
  /** Where it gets glue; left out as the kind lays it out. */
  glued: Type.Optional(oneOf(GLUED_REGIONS)),
  /** How it is spread, where not as the rest of the build. */
  spread: Type.Optional(
    strictObject({ method: ShortText, faces: Type.Union([Type.Literal(1), Type.Literal(2)]) }),
  ),
  reinforcement: oneOf(REINFORCEMENTS),
});

/** A clamp of a pull where the person, or a search, has put it. */
export const PulledClampSchema = strictObject({
  id: Id,
  pull: ShortText,
  rackId: Id,
  /** From the near end of what is pressed, along it. */
  alongMm: bounded(LIMITS.clampPositionMm),
  /** From its near side, across it. */
  acrossMm: bounded(LIMITS.clampPositionMm),
  /** Stays where it is when the rest is placed anew. */
  pinned: Type.Optional(Type.Boolean()),
  /** Pulled no harder than this; left out: as hard as it goes. */
  mostN: Type.Optional(bounded(LIMITS.clampForceN)),
});

export type Board = Static<typeof BoardSchema>;
export type Climate = Static<typeof ClimateSchema>;
export type FreePart = Static<typeof FreePartSchema>;
export type FreeJoint = Static<typeof FreeJointSchema>;
export type PulledClamp = Static<typeof PulledClampSchema>;

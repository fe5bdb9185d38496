import { type Static, Type } from '@sinclair/typebox';
import { SERVICES } from '../adhesives';
import { LIMITS } from '../limits';
import { WishesSchema } from './wishes';
import { bounded, Id, oneOf, orNull, ShortText, strictObject, wholeBounded } from './schema';

/** A board of an edge-glued panel, listed from one clamped edge to the other. */
export const BoardSchema = strictObject({
  id: Id,
  species: ShortText,
  widthMm: bounded(LIMITS.boardWidthMm),
  thicknessMm: bounded(LIMITS.boardThicknessMm),
  lengthMm: bounded(LIMITS.boardLengthMm),
  cut: oneOf(['flat', 'quarter', 'rift']),
  /** Which face the heart of the tree is on. */
  heart: oneOf(['up', 'down']),
  ringRadiusMm: bounded(LIMITS.ringRadiusMm),
  /** Metered moisture content; null means in balance with the shop. */
  mcPct: orNull(bounded(LIMITS.moisturePct)),
});

/** A clamp placed on the panel, taken from a lot on the shop's rack. */
export const PlacedClampSchema = strictObject({
  id: Id,
  rackId: Id,
  xMm: bounded(LIMITS.clampPositionMm),
  side: oneOf(['above', 'below']),
  /** Clamped edge at which its handle stands; left out: the last one. */
  handle: Type.Optional(oneOf(['first', 'last'])),
  /** Stays where it is when clamps are placed anew. */
  pinned: Type.Optional(Type.Boolean()),
  /** Pulled no harder than this; left out: as hard as it goes. */
  mostN: Type.Optional(bounded(LIMITS.clampForceN)),
});

/** An opening read with feelers at the dry fit: + hollow (open in the middle), − proud (open at the ends). */
const GapReadingSchema = strictObject({
  line: Type.Integer({ minimum: 0, maximum: 60 }),
  gapMm: bounded(LIMITS.gapMm),
});

/** Air of a place or an hour. */
export const ClimateSchema = strictObject({
  tempC: bounded(LIMITS.tempC),
  rhPct: bounded(LIMITS.relativeHumidityPct),
});

/** Most boards that one panel may have. */
export const MOST_BOARDS = 40;
/** Most clamps that one panel may carry. */
export const MOST_CLAMPS = 60;

/** Everything that a person decides about one edge-glued panel. Version 1. */
export const PanelBuildSchema = strictObject({
  format: Type.Literal('lean-clasp/build'),
  version: Type.Literal(1),
  name: Type.String({ minLength: 1, maxLength: 120 }),
  project: ShortText,
  template: Type.Literal('edge-panel'),
  service: oneOf(SERVICES),
  boards: Type.Array(BoardSchema, { minItems: 2, maxItems: MOST_BOARDS }),
  /** What is still good enough for this piece. */
  goals: strictObject({
    flatMm: bounded(LIMITS.allowanceMm),
    squareMm: bounded(LIMITS.allowanceMm),
  }),
  /** Null: whatever the shop is now. */
  climate: orNull(ClimateSchema),
  crew: wholeBounded(LIMITS.crew),
  glue: strictObject({
    adhesive: ShortText,
    method: ShortText,
    faces: Type.Union([Type.Literal(1), Type.Literal(2)]),
    /** Lines that are spread otherwise than the rest. */
    lines: Type.Optional(
      Type.Array(
        strictObject({
          line: Type.Integer({ minimum: 0, maximum: MOST_BOARDS }),
          method: ShortText,
          faces: Type.Union([Type.Literal(1), Type.Literal(2)]),
        }),
        { maxItems: MOST_BOARDS },
      ),
    ),
  }),
  clamps: Type.Array(PlacedClampSchema, { maxItems: MOST_CLAMPS }),
  /** How hard the clamps are pulled, as a share of what they can give. */
  pullPct: Type.Number({ minimum: 1, maximum: 100 }),
  /** Where tightening begins; left out: at the widest gap that was read, else in the centre. */
  firstClamp: Type.Optional(oneOf(['centre', 'end', 'worst-gap'])),
  /** How hard lines are meant to be pressed; left out: as their wood wants it. */
  school: Type.Optional(oneOf(['matched', 'light'])),
  /** Line of pull from mid-thickness, toward the side on which the bar lies. */
  pullOffsetMm: bounded({ min: 0, max: LIMITS.lineOfPullOffsetMm.max, unit: 'mm' }),
  edge: strictObject({
    kind: oneOf(['bare', 'blocks', 'battens']),
    /** Size of the block or batten in the direction of the pull. */
    thicknessMm: bounded(LIMITS.padThicknessMm),
  }),
  holding: strictObject({
    /** Bars lie against the faces, so that the panel cannot pop between them. */
    barsTouch: Type.Boolean(),
    barClearanceMm: bounded({ min: 0, max: 10, unit: 'mm' }),
    caulPairs: wholeBounded(LIMITS.cauls),
    /** Lot of cauls that is taken; left out: the first of the shop that is long enough. */
    caulLot: Type.Optional(Id),
    endStops: Type.Boolean(),
    /** Clamps opened to size and laid out before the first bead. */
    preSet: Type.Boolean(),
    /** Breadboard ends, battens or a frame will hold the panel flat in use. */
    heldFlatLater: Type.Boolean(),
  }),
  /** Left long at each end, to be cut off after the glue-up. */
  trimMm: bounded(LIMITS.trimMm),
  dryFit: strictObject({
    gaps: Type.Array(GapReadingSchema, { maxItems: MOST_BOARDS }),
    acMm: orNull(bounded(LIMITS.diagonalMm)),
    bdMm: orNull(bounded(LIMITS.diagonalMm)),
    bowMm: orNull(bounded(LIMITS.deviationMm)),
    twistMm: orNull(bounded(LIMITS.deviationMm)),
  }),
  /** Moisture content that the piece will see through the year. */
  /** Left out by documents from before wishes. */
  wishes: Type.Optional(WishesSchema),
  mcInUse: strictObject({
    lowPct: bounded(LIMITS.moisturePct),
    highPct: bounded(LIMITS.moisturePct),
  }),
});

export type Board = Static<typeof BoardSchema>;
export type PlacedClamp = Static<typeof PlacedClampSchema>;
export type Climate = Static<typeof ClimateSchema>;
export type PanelBuild = Static<typeof PanelBuildSchema>;

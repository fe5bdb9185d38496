import type { Static } from '@sinclair/typebox';
import { Type } from '../basics/type';
import { LIMITS } from '../basics/limits';
import { MOST_CLAMPS } from './most';
import { bounded, Id, oneOf, strictObject, wholeBounded } from './schema';

/** A clamp placed on a row of boards, taken from a lot on the shop's rack. */
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

/** How boards side by side are pulled together, held flat and sawn to length afterwards. */
export const RowSchema = strictObject({
  /** Empty: worked out from the rack. */
  clamps: Type.Array(PlacedClampSchema, { maxItems: MOST_CLAMPS }),
  /** How hard the clamps are pulled, as a share of what they can give. */
  pullPct: Type.Number({ minimum: 1, maximum: 100 }),
  /** Where tightening begins; left out: at the widest gap that was read, else in the centre. */
  firstClamp: Type.Optional(oneOf(['centre', 'end', 'worst-gap'])),
  /** How hard lines are meant to be pressed; left out: as their wood wants it. */
  school: Type.Optional(oneOf(['matched', 'light'])),
  /** Line of pull from mid-thickness, toward the side on which the bar lies; left out: as a careful worker manages. */
  pullOffsetMm: Type.Optional(bounded({ min: 0, max: LIMITS.lineOfPullOffsetMm.max, unit: 'mm' })),
  edge: strictObject({
    kind: oneOf(['bare', 'blocks', 'battens']),
    /** Size of the block or batten in the direction of the pull. */
    thicknessMm: bounded(LIMITS.padThicknessMm),
  }),
  holding: strictObject({
    /** Bars lie against the faces, so that the row cannot pop between them. */
    barsTouch: Type.Boolean(),
    barClearanceMm: bounded({ min: 0, max: 10, unit: 'mm' }),
    caulPairs: wholeBounded(LIMITS.cauls),
    /** Lot of cauls that is taken; left out: the first of the shop that is long enough. */
    caulLot: Type.Optional(Id),
    endStops: Type.Boolean(),
    /** A light clamp over film, or a weight, brings the faces level at each line; left out means no. */
    flushed: Type.Optional(Type.Boolean()),
    /** Breadboard ends, battens or a frame will hold it flat in use. */
    heldFlatLater: Type.Boolean(),
  }),
  /** Left long at each end, to be cut off after the glue-up. */
  trimMm: bounded(LIMITS.trimMm),
});

export type PlacedClamp = Static<typeof PlacedClampSchema>;
export type RowSection = Static<typeof RowSchema>;

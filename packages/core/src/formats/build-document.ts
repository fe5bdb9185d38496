import type { Static } from '@sinclair/typebox';
import { Type } from '../basics/type';
import { SERVICES } from '../adhesives';
import { LIMITS } from '../basics/limits';
import {
  BoardSchema,
  ClimateSchema,
  FreeJointSchema,
  FreePartSchema,
  JointNoteSchema,
  PartNoteSchema,
  PulledClampSchema,
} from './build-sections';
import { MOST_BOARDS, MOST_FREE_PARTS, MOST_PULLED } from './most';
import { RowSchema } from './row';
import { bounded, oneOf, orNull, ShortText, strictObject, wholeBounded } from './schema';
import { WishesSchema } from './wishes-schema';

/** Version of build documents that this program writes; older ones are brought up to it when they are read. */
export const BUILD_VERSION = 2;

/** Answers to what a kind asks: numbers, words, or a list of either. */
export const AnswersSchema = Type.Record(
  Type.String({ minLength: 1, maxLength: 40 }),
  Type.Union([
    Type.Number(),
    ShortText,
    Type.Array(Type.Number(), { maxItems: 24 }),
    Type.Array(ShortText, { maxItems: 12 }),
  ]),
);

/** Everything that a person decides about one glue-up, whatever its kind. Version 2. */
export const BuildDocumentSchema = strictObject({
  format: Type.Literal('lean-clasp/build'),
  version: Type.Literal(BUILD_VERSION),
  name: Type.String({ minLength: 1, maxLength: 120 }),
  project: ShortText,
  /** Id of a kind, or "free". */
  template: Type.String({ minLength: 1, maxLength: 40 }),
  /** What the kind asked; checked by the kind itself. */
  answers: AnswersSchema,
  free: strictObject({
    parts: Type.Array(FreePartSchema, { maxItems: MOST_FREE_PARTS }),
    joints: Type.Array(FreeJointSchema, { maxItems: 2 * MOST_FREE_PARTS }),
  }),
  /** A person's own boards, for kinds that are laid out from them; left out: from the answers. */
  boards: Type.Optional(Type.Array(BoardSchema, { minItems: 2, maxItems: MOST_BOARDS })),
  /** How a row of boards is pulled together; only kinds that lay boards side by side have it. */
  row: Type.Optional(RowSchema),
  partNotes: Type.Array(PartNoteSchema, { maxItems: 400 }),
  jointNotes: Type.Array(JointNoteSchema, { maxItems: 600 }),
  service: oneOf(SERVICES),
  goals: strictObject({ flatMm: bounded(LIMITS.allowanceMm), squareMm: bounded(LIMITS.allowanceMm) }),
  climate: orNull(ClimateSchema),
  crew: wholeBounded(LIMITS.crew),
  glue: strictObject({
    adhesive: ShortText,
    method: ShortText,
    faces: Type.Union([Type.Literal(1), Type.Literal(2)]),
  }),
  dryFit: strictObject({
    acMm: orNull(bounded(LIMITS.diagonalMm)),
    bdMm: orNull(bounded(LIMITS.diagonalMm)),
    bowMm: orNull(bounded(LIMITS.deviationMm)),
    twistMm: orNull(bounded(LIMITS.deviationMm)),
  }),
  /** Preparation that is done. */
  prepared: Type.Array(ShortText, { maxItems: 60 }),
  /** Left out by documents from before wishes. */
  wishes: Type.Optional(WishesSchema),
  /** Joints by the session in which they are glued; left out while everything is glued in one go. */
  order: Type.Optional(
    strictObject({
      sessions: Type.Array(Type.Array(ShortText, { maxItems: 600 }), { maxItems: 60 }),
      /** Joints that stay in their session when the rest is arranged anew. */
      pinned: Type.Array(ShortText, { maxItems: 600 }),
      /** Earlier sessions are glued inside the rest, put together dry; left out means no. */
      dryJig: Type.Optional(Type.Boolean()),
    }),
  ),
  /** How it is squeezed, where not in the usual way. */
  squeeze: Type.Optional(
    strictObject({
      /** What lies under the jaws; left out: blocks. Cauls run the whole length, on both sides. */
      packing: Type.Optional(
        strictObject({
          kind: oneOf(['bare', 'blocks', 'cauls']),
          thicknessMm: bounded(LIMITS.padThicknessMm),
        }),
      ),
      /** How hard long-grain joints of no row are pressed; left out: as the wood wants. */
      school: Type.Optional(oneOf(['matched', 'light'])),
      /** How sheets are pressed; left out: in the bag. */
      press: Type.Optional(oneOf(['bag', 'cauls'])),
      /** Waxed paper, corner pieces or rollers under bands, so that they slip round corners. */
      slip: Type.Optional(Type.Boolean()),
      /** Clamped down to a flat base, opposite corners in turn. */
      clampedDown: Type.Optional(Type.Boolean()),
      /** How true mitres are cut, as set up and tried, degrees. */
      cutErrorDeg: Type.Optional(Type.Number({ minimum: 0, maximum: 2 })),
      /** Pulls that take another number of clamps than is worked out. */
      counts: Type.Optional(
        Type.Array(
          strictObject({ pull: ShortText, count: wholeBounded({ min: 1, max: 99, unit: 'clamps' }) }),
          { maxItems: 60 },
        ),
      ),
      /** Clamps placed one by one: a pull with any of these takes them alone, others are worked out. */
      clamps: Type.Optional(Type.Array(PulledClampSchema, { maxItems: MOST_PULLED })),
    }),
  ),
  /** Whether clamps are opened to size and laid out before the first bead; left out means yes. */
  preSet: Type.Optional(Type.Boolean()),
  mcInUse: strictObject({ lowPct: bounded(LIMITS.moisturePct), highPct: bounded(LIMITS.moisturePct) }),
});

export type BuildDocument = Static<typeof BuildDocumentSchema>;

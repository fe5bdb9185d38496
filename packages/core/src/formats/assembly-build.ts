import { type Static, Type } from '@sinclair/typebox';
import { SERVICES } from '../adhesives';
import { CONDITIONS, GLUED_REGIONS, JOINT_KINDS, REINFORCEMENTS } from '../assembly/assembly';
import { LIMITS } from '../limits';
import { ClimateSchema } from './panel-build';
import { WishesSchema } from './wishes';
import { bounded, Id, oneOf, orNull, ShortText, strictObject, wholeBounded } from './schema';

/** Most feeler readings along one joint. */
export const MOST_READINGS = 9;

/** Most parts and joints of a free assembly. */
export const MOST_FREE_PARTS = 40;

const point = (min: number) =>
  Type.Array(Type.Number({ minimum: min, maximum: 6000 }), { minItems: 3, maxItems: 3 });

const FreePartSchema = strictObject({
  id: Id,
  name: Type.String({ minLength: 1, maxLength: 60 }),
  species: ShortText,
  atMm: point(-6000),
  sizeMm: point(0.5),
  grain: oneOf(['x', 'y', 'z']),
});

const FreeJointSchema = strictObject({ id: Id, kind: oneOf(JOINT_KINDS), a: Id, b: Id });

/** What a person has changed about a part that its kind laid out. */
const PartNoteSchema = strictObject({
  id: Id,
  species: orNull(ShortText),
  mcPct: orNull(bounded(LIMITS.moisturePct)),
  condition: oneOf(CONDITIONS),
  /** Face mark, or edge mark, on the opposite side. Documents from before marks leave them out. */
  faceTurned: Type.Optional(Type.Boolean()),
  edgeTurned: Type.Optional(Type.Boolean()),
});

/** What a person has read or chosen at a joint. */
const JointNoteSchema = strictObject({
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

/** Most clamps that may be placed one by one on an assembly. */
const MOST_PULLED = 400;

/** A clamp of a pull where the person, or a search, has put it. */
const PulledClampSchema = strictObject({
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

/** Everything that a person decides about a glue-up of any other kind than the edge-glued panel. Version 1. */
export const AssemblyBuildSchema = strictObject({
  format: Type.Literal('lean-clasp/build'),
  version: Type.Literal(1),
  name: Type.String({ minLength: 1, maxLength: 120 }),
  project: ShortText,
  /** Id of a kind, or "free". */
  template: Type.String({ minLength: 1, maxLength: 40 }),
  /** What the kind asked; checked by the kind itself. */
  answers: Type.Record(
    Type.String({ minLength: 1, maxLength: 40 }),
    Type.Union([Type.Number(), ShortText, Type.Array(Type.Number(), { maxItems: 12 })]),
  ),
  free: strictObject({
    parts: Type.Array(FreePartSchema, { maxItems: MOST_FREE_PARTS }),
    joints: Type.Array(FreeJointSchema, { maxItems: 2 * MOST_FREE_PARTS }),
  }),
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

export type AssemblyBuild = Static<typeof AssemblyBuildSchema>;
export type FreePart = Static<typeof FreePartSchema>;
export type FreeJoint = Static<typeof FreeJointSchema>;
export type PulledClamp = Static<typeof PulledClampSchema>;

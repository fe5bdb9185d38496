import type { Static } from '@sinclair/typebox';
import { Type } from '../basics/type';
import { LIMITS } from '../basics/limits';
import type { Finding } from '../findings';
import { RunPromiseSchema } from './run-promise';
import { bounded, Id, oneOf, orNull, ShortText, strictObject } from './schema';

/** Wall-clock instant in milliseconds since 1970, as browsers count; nothing was run before 2020 or will be after 2100. */
const Instant = Type.Integer({ minimum: 1_577_836_800_000, maximum: 4_102_444_800_000 });

/** Most steps of one session, and most events of one run. */
const MOST_STEPS = 500;
const MOST_EVENTS = 5000;

/** What was read and seen after the glue-up; null where nobody looked. */
export const RunRecordSchema = strictObject({
  squeezeOut: orNull(oneOf(['even', 'patchy', 'none', 'too-much'])),
  /** Largest gap left under a straightedge laid across the panel. */
  flatnessMm: orNull(bounded({ min: 0, max: LIMITS.deviationMm.max, unit: 'mm' })),
  /** Difference between the two diagonals. */
  diagonalDifferenceMm: orNull(bounded({ min: 0, max: LIMITS.deviationMm.max, unit: 'mm' })),
  /** Widest gap left in any line. */
  widestGapMm: orNull(bounded({ min: 0, max: LIMITS.gapMm.max, unit: 'mm' })),
  /** Glue that it took, weighed before and after, g. */
  glueG: orNull(bounded(LIMITS.glueTakenG)),
  note: Type.String({ maxLength: 4000 }),
});

/** What can happen at the bench, or to a run afterwards. */
export const RUN_EVENT_KINDS = [
  'done',
  'back',
  'wait-over',
  'mishap',
  'fresh-bead',
  'reading',
  'correction',
  'helper-in',
  'helper-out',
  'clamps-off',
  'machined',
  'note',
  'finish',
  'abandon',
  'taken-over',
  'clock-set',
  'left-out',
  'order',
] as const;

/** Id of an operation of the script, made of what it is and of joints or clamps. */
const OperationId = Type.String({ minLength: 1, maxLength: 300 });

/** Pairs of hands, 0 is whoever holds the device. */
const Hands = Type.Array(Type.Integer({ minimum: 0, maximum: LIMITS.crew.max - 1 }), {
  maxItems: LIMITS.crew.max,
});

const JointId = Type.String({ minLength: 1, maxLength: 140 });

/** How a glue line looks once the clamps are off, and where along it; a joint without stretches is a fine bead all along. */
export const STRETCH_LOOKS = ['starved', 'open', 'ridge', 'runs'] as const;
/** Where along a joint, as it is drawn: rows from the left. */
export const STRETCH_PLACES = ['all', 'start', 'middle', 'end'] as const;

const StretchSchema = strictObject({
  look: oneOf(STRETCH_LOOKS),
  where: oneOf(STRETCH_PLACES),
  /** Width of an open stretch; null where nobody measured. */
  gapMm: orNull(bounded({ min: 0, max: LIMITS.gapMm.max, unit: 'mm' })),
});

/** How glue was when a joint was closed: wet and sliding, tacky, or skinned over. */
export const CLOSED_AS = ['wet', 'tacky', 'skinned'] as const;

/** When a glued piece is looked at once more. */
export const RECHECKS = ['week', 'season'] as const;
/** What is found then; the last ends the asking where the piece is out of reach. */
export const RECHECK_FINDINGS = ['sound', 'line-shows', 'opened', 'moved', 'out-of-reach'] as const;

/** Something that happened. Events are only ever added; device and number tell each from every other. */
export const RunEventSchema = strictObject({
  /** `device-seq`. */
  id: Type.String({ minLength: 3, maxLength: 80 }),
  /** Page on which it was noted, and its count there. */
  device: Id,
  seq: Type.Integer({ minimum: 0, maximum: 1_000_000 }),
  atMs: Instant,
  /** Pair of hands, 0 is the one that holds the device. */
  hand: Type.Integer({ minimum: 0, maximum: LIMITS.crew.max - 1 }),
  kind: oneOf(RUN_EVENT_KINDS),
  operation: Type.Optional(OperationId),
  joint: Type.Optional(JointId),
  payload: Type.Optional(
    strictObject({
      record: Type.Optional(Type.Partial(RunRecordSchema, { additionalProperties: false })),
      text: Type.Optional(Type.String({ maxLength: 4000 })),
      /** What was read: of which check, field by field, and whether it will do. */
      reading: Type.Optional(
        strictObject({
          check: Type.String({ minLength: 1, maxLength: 40 }),
          values: Type.Record(
            Type.String({ maxLength: 60 }),
            Type.Union([Type.Number({ minimum: -1e6, maximum: 1e6 }), Type.String({ maxLength: 60 })]),
          ),
          accepted: Type.Boolean(),
        }),
      ),
      /** What went wrong, and what was done about it. */
      mishap: Type.Optional(strictObject({ what: ShortText, answer: orNull(ShortText) })),
      // What is noted once the piece is left alone: marks on its joints, a coupon, pictures, later looks.
      /** Stretches of the joint that the event names, all of them: those noted before are gone. */
      stretches: Type.Optional(Type.Array(StretchSchema, { maxItems: 12 })),
      /** How the glue was when the joint that the event names was closed. */
      closed: Type.Optional(oneOf(CLOSED_AS)),
      /** A pair of offcuts glued along, and how much of the break was in the wood once it was broken, per cent; null before. */
      coupon: Type.Optional(
        strictObject({ woodFailurePct: orNull(bounded({ min: 0, max: 100, unit: '%' })) }),
      ),
      /** A picture by its id; `gone` takes it out of the record. */
      picture: Type.Optional(
        strictObject({ id: Id, caption: Type.String({ maxLength: 200 }), gone: Type.Boolean() }),
      ),
      /** What went wrong and what it was put down to; null where that is taken back. */
      cause: Type.Optional(orNull(strictObject({ symptom: ShortText, cause: ShortText }))),
      /** What somebody saw who looked for the cause. */
      look: Type.Optional(strictObject({ at: ShortText, seen: ShortText })),
      recheck: Type.Optional(strictObject({ due: oneOf(RECHECKS), found: oneOf(RECHECK_FINDINGS) })),
      /** What is left, in the order in which it is begun from here, and by whose hands. */
      order: Type.Optional(
        Type.Array(strictObject({ operation: OperationId, hands: Hands }), { maxItems: MOST_STEPS }),
      ),
      /** By how much a clock was set. */
      byMs: Type.Optional(Type.Integer({ minimum: -4e12, maximum: 4e12 })),
    }),
  ),
});

/** A finding as data: its code, how grave it is, its values. */
const FrozenFinding = Type.Unsafe<Finding>(
  strictObject({
    code: Type.String({ minLength: 1, maxLength: 60 }),
    severity: oneOf(['refuses', 'warns', 'informs']),
    values: Type.Record(
      Type.String({ maxLength: 60 }),
      Type.Union([Type.Number(), Type.String({ maxLength: 4000 })]),
    ),
  }),
);
const Minutes = Type.Number({ minimum: -1e6, maximum: 1e6 });
const Joints = Type.Array(JointId, { maxItems: MOST_STEPS });

/** What a session is run through, as planned when it began. */
export const ScriptSchema = strictObject({
  operations: Type.Array(
    strictObject({
      id: OperationId,
      kind: Type.String({ minLength: 1, maxLength: 40 }),
      instruction: FrozenFinding,
      joints: Joints,
      clamps: Type.Array(Type.Integer({ minimum: 0, maximum: 10_000 }), { maxItems: MOST_STEPS }),
      hands: Hands,
      /** From the first bead. */
      startMin: Minutes,
      endMin: Minutes,
      /** Those that must be done before it may begin. */
      after: Type.Array(OperationId, { maxItems: MOST_STEPS }),
      /** A wait that it begins with. */
      wait: orNull(strictObject({ min: Minutes, until: oneOf(['drags', 'rubbery', 'dry']) })),
      /** What is read there. */
      asks: orNull(Type.String({ minLength: 1, maxLength: 40 })),
    }),
    { maxItems: MOST_STEPS },
  ),
  fuses: Type.Array(
    strictObject({
      joint: JointId,
      label: ShortText,
      lit: OperationId,
      closed: OperationId,
      /** All that must be done before it is out. */
      holds: Type.Array(OperationId, { maxItems: MOST_STEPS }),
      openMin: Minutes,
      closedMin: Minutes,
      totalMin: Minutes,
    }),
    { maxItems: 1000 },
  ),
  plannedMin: Minutes,
});

const StepIndex = Type.Integer({ minimum: -1, maximum: MOST_STEPS });

/** What runs were begun with before scripts named joints and hands: steps one after the other, by their places. */
const StepsOfBeforeSchema = strictObject({
  steps: Type.Array(
    strictObject({
      index: StepIndex,
      operation: OperationId,
      instruction: FrozenFinding,
      lines: Type.Array(Type.Integer({ minimum: -1, maximum: 10_000 }), { maxItems: MOST_STEPS }),
      clamp: orNull(Type.Integer({ minimum: 0, maximum: 10_000 })),
      plannedEndMin: Minutes,
    }),
    { maxItems: MOST_STEPS },
  ),
  fuses: Type.Array(
    strictObject({
      line: Type.Integer({ minimum: -1, maximum: 10_000 }),
      label: ShortText,
      litByStep: StepIndex,
      closedByStep: StepIndex,
      outByStep: StepIndex,
      openMin: Minutes,
      closedMin: Minutes,
      totalMin: Minutes,
    }),
    { maxItems: 1000 },
  ),
  plannedMin: Minutes,
});

/** Version that this program writes. */
export const RUN_VERSION = 2;

/** One glue-up as it was run: what was frozen when it began, and what happened since. */
export const RunDocumentSchema = strictObject({
  format: Type.Literal('lean-clasp/run'),
  version: Type.Literal(RUN_VERSION),
  id: Id,
  buildId: Id,
  buildName: Type.String({ minLength: 1, maxLength: 120 }),
  /** Edits behind the build when it began; null where nobody knows. */
  buildRevision: orNull(Type.Integer({ minimum: 0 })),
  /** Which of the sessions of the build, from 0, and which piece of a set. */
  session: Type.Integer({ minimum: 0, maximum: 100 }),
  piece: Type.Integer({ minimum: 0, maximum: 1000 }),
  startedAtMs: Instant,
  /** Null for runs of before, which kept none. */
  script: orNull(Type.Union([ScriptSchema, StepsOfBeforeSchema])),
  promise: RunPromiseSchema,
  events: Type.Array(RunEventSchema, { maxItems: MOST_EVENTS }),
});

export type RunEvent = Static<typeof RunEventSchema>;
export type Stretch = Static<typeof StretchSchema>;
export type ClosedAs = (typeof CLOSED_AS)[number];
export type Recheck = (typeof RECHECKS)[number];
export type RecheckFinding = (typeof RECHECK_FINDINGS)[number];
export type RunRecord = Static<typeof RunRecordSchema>;
export type RunDocument = Static<typeof RunDocumentSchema>;
/** A run without what happened. */
export type RunHead = Omit<RunDocument, 'events'>;
export type Script = Static<typeof ScriptSchema>;
export type ScriptOfBefore = Static<typeof StepsOfBeforeSchema>;

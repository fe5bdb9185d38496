import { type Static, Type } from '@sinclair/typebox';
import { LIMITS } from '../basics/limits';
import { ClimateSchema } from './build-sections';
import { bounded, Id, oneOf, orNull, ShortText, strictObject } from './schema';

/** Wall-clock instant in milliseconds since 1970, as browsers count. */
const Instant = Type.Integer({ minimum: 0, maximum: 8.64e15 });

/** Something that happened at the bench: going on, going back, ending. */
export const RunEventSchema = strictObject({
  kind: oneOf(['next', 'back', 'trouble', 'finish', 'abandon']),
  atMs: Instant,
  step: Type.Integer({ minimum: 0, maximum: 500 }),
});

/** What was read and seen after the glue-up; null where nobody looked. */
export const RunRecordSchema = strictObject({
  squeezeOut: orNull(oneOf(['even', 'patchy', 'none', 'too-much'])),
  /** Largest gap left under a straightedge laid across the panel. */
  flatnessMm: orNull(bounded({ min: 0, max: LIMITS.deviationMm.max, unit: 'mm' })),
  /** Difference between the two diagonals. */
  diagonalDifferenceMm: orNull(bounded({ min: 0, max: LIMITS.deviationMm.max, unit: 'mm' })),
  /** Widest gap left in any line. */
  widestGapMm: orNull(bounded({ min: 0, max: LIMITS.gapMm.max, unit: 'mm' })),
  note: Type.String({ maxLength: 4000 }),
});

/** What the plan promised when the run began, so that later edits of the build cannot rewrite history. */
export const RunPromiseSchema = strictObject({
  adhesive: ShortText,
  climate: ClimateSchema,
  crew: Type.Integer({ minimum: 1, maximum: LIMITS.crew.max }),
  clamps: Type.Integer({ minimum: 0, maximum: 9999 }),
  /** How many of which lot of the rack; left out by runs from before. */
  lots: Type.Optional(
    Type.Array(strictObject({ rackId: Id, count: Type.Integer({ minimum: 1, maximum: 99 }) }), {
      maxItems: 60,
    }),
  ),
  handsOnMin: Type.Number({ minimum: 0 }),
  windowMin: orNull(Type.Number({ minimum: 0 })),
  lowestMPa: Type.Number({ minimum: 0 }),
  flatMm: orNull(Type.Number()),
  clampMin: orNull(Type.Number({ minimum: 0 })),
  machineMin: orNull(Type.Number({ minimum: 0 })),
});

/** One glue-up as it was run. Version 1. */
export const RunDocumentSchema = strictObject({
  format: Type.Literal('lean-clasp/run'),
  version: Type.Literal(1),
  id: Id,
  buildId: Id,
  buildName: Type.String({ minLength: 1, maxLength: 120 }),
  state: oneOf(['running', 'clamped', 'abandoned']),
  startedAtMs: Instant,
  /** When the last step was done and the clamps were left alone. */
  clampedAtMs: orNull(Instant),
  events: Type.Array(RunEventSchema, { maxItems: 2000 }),
  promise: RunPromiseSchema,
  record: RunRecordSchema,
});

export type RunEvent = Static<typeof RunEventSchema>;
export type RunRecord = Static<typeof RunRecordSchema>;
export type RunPromise = Static<typeof RunPromiseSchema>;
export type RunDocument = Static<typeof RunDocumentSchema>;

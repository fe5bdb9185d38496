import type { Static } from '@sinclair/typebox';
import { Type } from '../basics/type';
import { ASPECTS, STATES } from '../basics/aspects';
import { LIMITS } from '../basics/limits';
import { ClimateSchema } from './build-sections';
import { WORKS } from './learned';
import { LESSON_MOMENTS } from './lesson';
import { Day, Id, oneOf, orNull, ShortText, strictObject } from './schema';

const Share = Type.Number({ minimum: 0, maximum: 1 });
const Amount = Type.Number({ minimum: 0, maximum: 1e9 });

/** What was known of joints, glue and clamps when a run began: what later looks at its cause go by. */
const JobSchema = strictObject({
  template: Type.String({ minLength: 1, maxLength: 40 }),
  method: ShortText,
  gluedM2: Amount,
  glueG: Amount,
  /** Widest gap that was read; null where nobody read any. */
  gapMm: orNull(Amount),
  /** Wettest part, and the driest. */
  mcPct: Type.Array(Amount, { minItems: 2, maxItems: 2 }),
  endGrainPct: Amount,
  /** Age of the bottle; null where nobody wrote down when it was opened. */
  bottlePct: orNull(Amount),
  /** Least pressure that joints want, and the most that any gets. */
  wantedMPa: Amount,
  mostMPa: Amount,
});

const LessonSaidSchema = strictObject({
  lesson: Id,
  title: Type.String({ maxLength: 120 }),
  change: Type.String({ maxLength: 400 }),
  at: oneOf(LESSON_MOMENTS),
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
  /** The four words as they were given. Runs from before leave these out. */
  verdicts: Type.Optional(
    Type.Array(
      strictObject({ aspect: oneOf(ASPECTS), state: oneOf(STATES), figure: orNull(Type.Number()) }),
      {
        maxItems: 4,
      },
    ),
  ),
  /** Pace of each work that its minutes were planned by, over the built-in one. */
  paces: Type.Optional(Type.Array(strictObject({ work: oneOf(WORKS), factor: Amount }), { maxItems: 20 })),
  /** Open time of the plan over the catalogue's, and the likely end of each window over the unfavourable one that fuses go by. */
  window: Type.Optional(strictObject({ factor: Amount, open: Amount, closed: Amount, total: Amount })),
  /** How likely every window was to hold; null where it was not worked out. */
  likely: Type.Optional(orNull(Share)),
  job: Type.Optional(JobSchema),
  /** Glue that the session takes out of its bottle, ml; left out by runs from before the shelf was kept. */
  glueMl: Type.Optional(Amount),
  /** The bottle that it is taken out of first; null where the shelf holds none of it. Left out by runs from before. */
  bottle: Type.Optional(orNull(strictObject({ id: Id, openedOn: orNull(Day) }))),
  /** Lessons that were told, with their words as they were. */
  lessons: Type.Optional(Type.Array(LessonSaidSchema, { maxItems: 60 })),
  /** Who stands at it, whoever holds the device first. */
  people: Type.Optional(Type.Array(ShortText, { maxItems: LIMITS.crew.max })),
});

export type RunPromise = Static<typeof RunPromiseSchema>;
export type LessonSaid = Static<typeof LessonSaidSchema>;
export type RunJob = Static<typeof JobSchema>;

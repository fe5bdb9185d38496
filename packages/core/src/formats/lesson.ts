import type { Static } from '@sinclair/typebox';
import { Type } from '../basics/type';
import { Day, Id, oneOf, orNull, ShortText, strictObject } from './schema';

/** What a trigger asks of a plan as an amount; units stand with each name. */
export const AMOUNT_TRAITS = [
  'opening-spare-mm',
  'clear-between-clamps-mm',
  'alike-parts',
  'caul-pairs',
  'bead-only-width-mm',
  'work-min',
  'left-today-min',
  'parts-between',
  'pull-ways',
  'off-square-mm',
  'bow-mm',
  'pull-off-centre-pct',
  'end-grain-pct',
  'above-coldest-c',
  'bottle-age-pct',
  'bare-jaw-pct',
  'mixed-ml',
  'heaviest-kg',
  'largest-face-m2',
  'crew',
  'joints',
  'spare-min',
] as const;

/** What it asks in words: a plan has none, one or several of each. */
export const WORD_TRAITS = [
  'kind',
  'glue',
  'chemistry',
  'joint',
  'clamp',
  'finish',
  'squeeze-out',
  'prepared',
  'one-sided',
  'touches-glue',
] as const;

const Amount = Type.Number({ minimum: -1e6, maximum: 1e6 });
const Word = Type.String({ minLength: 1, maxLength: 60 });

/** One thing that has to be so. An amount that nobody knows is neither above nor below anything. */
const ConditionSchema = Type.Union([
  strictObject({ trait: oneOf(AMOUNT_TRAITS), above: Amount }),
  strictObject({ trait: oneOf(AMOUNT_TRAITS), below: Amount }),
  strictObject({ trait: oneOf(WORD_TRAITS), any: Type.Array(Word, { minItems: 1, maxItems: 40 }) }),
  strictObject({ trait: oneOf(WORD_TRAITS), none: Type.Array(Word, { minItems: 1, maxItems: 40 }) }),
]);

/** When at the bench a lesson is said: before the first bead, with the first step of its kind, or once the clamps are left alone. */
export const LESSON_MOMENTS = ['before', 'spread', 'close', 'press', 'check', 'after'] as const;

const Sentence = Type.String({ maxLength: 400 });

/** Something that was paid for once, and the plans in which it comes back. */
export const LessonSchema = strictObject({
  id: Id,
  title: Type.String({ minLength: 1, maxLength: 120 }),
  happened: Sentence,
  cause: Sentence,
  /** What it cost, as the person tells it. */
  cost: Sentence,
  /** The tool, the jig or the rule that keeps it from happening again. */
  change: Sentence,
  /** All of these have to be so. */
  when: Type.Array(ConditionSchema, { minItems: 1, maxItems: 6 }),
  at: oneOf(LESSON_MOMENTS),
  learnedOn: orNull(Day),
  /** The glue-up that taught it; null where it was written down without one. */
  runId: orNull(Id),
});

/** Most lessons of a shop's own. */
export const MOST_LESSONS = 200;

/** Lessons as they are handed from shop to shop. */
export const LessonsFileSchema = strictObject({
  format: Type.Literal('lean-clasp/lessons'),
  version: Type.Literal(1),
  lessons: Type.Array(LessonSchema, { minItems: 1, maxItems: MOST_LESSONS }),
});

/** A shop's own lessons, and those of the library that it has put away. */
export const ShopLessonsSchema = strictObject({
  own: Type.Array(LessonSchema, { maxItems: MOST_LESSONS }),
  away: Type.Array(ShortText, { maxItems: 100 }),
});

export type AmountTrait = (typeof AMOUNT_TRAITS)[number];
export type WordTrait = (typeof WORD_TRAITS)[number];
export type Condition = Static<typeof ConditionSchema>;
export type LessonMoment = (typeof LESSON_MOMENTS)[number];
export type Lesson = Static<typeof LessonSchema>;
export type LessonsFile = Static<typeof LessonsFileSchema>;

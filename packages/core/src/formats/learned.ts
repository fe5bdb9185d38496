import type { Static } from '@sinclair/typebox';
import { Type } from '../basics/type';
import { Day, oneOf, orNull, ShortText, strictObject } from './schema';

/** Kinds of work whose pace is learned apart. */
export const WORKS = ['spread', 'close', 'press', 'tighten', 'check'] as const;
/** One of `WORKS`. */
export type Work = (typeof WORKS)[number];

/** What a shop really reaches, of which it may keep a habit. */
export const MEASURES = ['square', 'flat', 'gap'] as const;
/** One of `MEASURES`. */
export type Measure = (typeof MEASURES)[number];

const Factor = Type.Number({ minimum: 0.2, maximum: 5 });
const Cv = Type.Number({ minimum: 0, maximum: 2 });
/** Something learned, with from how many glue-ups, and when it was taken over. */
const withEvidence = <T extends Parameters<typeof strictObject>[0]>(fields: T) =>
  strictObject({ ...fields, runs: Type.Integer({ minimum: 0, maximum: 100_000 }), on: Day });

/** What the log has taught and the person has taken over; plans go by it and say so. */
export const LearnedSchema = strictObject({
  /** Minutes over the built-in ones; an empty method is any. */
  pace: Type.Array(withEvidence({ work: oneOf(WORKS), method: ShortText, factor: Factor }), {
    maxItems: 60,
  }),
  /** How much one step differs from another like it, and one day from another, as standard deviation over mean. */
  scatter: orNull(withEvidence({ stepCv: Cv, dayCv: Cv })),
  /** Open time really had, over the catalogue's, and how much it varies. */
  windows: Type.Array(withEvidence({ adhesive: ShortText, factor: Factor, cv: Cv }), {
    maxItems: 40,
  }),
  /** What comes out as a rule, and in one of ten at the worst, mm. */
  reached: Type.Array(
    withEvidence({
      measure: oneOf(MEASURES),
      template: Type.String({ minLength: 1, maxLength: 40 }),
      typicalMm: Type.Number({ minimum: 0, maximum: 1000 }),
      poorMm: Type.Number({ minimum: 0, maximum: 1000 }),
    }),
    { maxItems: 80 },
  ),
  /** What was refused, by its key: it is not put forward again unless it is called back. */
  refused: Type.Array(Type.String({ minLength: 1, maxLength: 120 }), { maxItems: 200 }),
});

export type Learned = Static<typeof LearnedSchema>;

/** A shop that has learned nothing yet. */
export const NOTHING_LEARNED: Learned = { pace: [], scatter: null, windows: [], reached: [], refused: [] };

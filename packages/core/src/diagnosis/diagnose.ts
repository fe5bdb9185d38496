import type { RunDocument } from '../formats';
import { readAfterwards } from '../runs';
import {
  type Asked,
  ASKED,
  type Cause,
  CAUSES,
  chance,
  type Feature,
  FEATURES,
  type Level,
  MODEL,
  type Symptom,
} from './model';
import { type Signs, signsOf } from './run-signs';

/** Something known that speaks for a cause or against it, and by how much its odds change. */
export interface Speaks {
  readonly feature: Feature;
  readonly level: Level;
  /** Above 1 for it, below 1 against. */
  readonly factor: number;
}

/** A cause with how likely it is by all that is known, and why. */
export interface Suspect {
  readonly cause: Cause;
  /** 0 to 1; all suspects of a symptom come to 1. */
  readonly share: number;
  /** What counts most first. */
  readonly because: readonly Speaks[];
}

/** What a symptom comes from, the likeliest first, and what to look at next. */
export interface Diagnosis {
  readonly suspects: readonly Suspect[];
  /** The look that would tell most between those that are left; null where none would. */
  readonly lookAt: Asked | null;
}

/** Nothing that is known shuts a cause out for certain: people err and so do tables. */
const LEAST_CHANCE = 0.02;
/** Changes of the odds smaller than this are not worth telling. */
const WORTH = 1.15;

/**
 * Ranks the causes of a symptom by what a run holds and what a person has seen since: Bayes' rule with signs that are independent of
 * each other for a given cause. The tables are judgement; see `model`.
 * @param answers looks beside those that are noted in the run.
 */
export function diagnose(
  run: RunDocument,
  symptom: Symptom,
  answers: Partial<Record<Asked, Level>> = {},
): Diagnosis {
  const seen = Object.fromEntries(readAfterwards(run).looks);
  return diagnoseBy({ ...signsOf(run, symptom), ...seen, ...answers }, symptom);
}

/** The same from signs alone. */
export function diagnoseBy(signs: Signs, symptom: Symptom): Diagnosis {
  const known = (Object.entries(signs) as [Feature, Level][]).filter(
    ([feature, level]) => level in FEATURES[feature],
  );
  const weighed = CAUSES.flatMap((cause) => {
    const prior = MODEL[cause].behind[symptom];
    if (prior === undefined) return [];
    const because = known.map(([feature, level]): Speaks => ({
      feature,
      level,
      factor: factorOf(cause, feature, level),
    }));
    return [{ cause, weight: because.reduce((odds, { factor }) => odds * factor, prior), because }];
  });
  const total = weighed.reduce((sum, { weight }) => sum + weight, 0);
  const suspects = weighed
    .map(({ cause, weight, because }): Suspect => ({
      cause,
      share: weight / total,
      because: because
        .filter(({ factor }) => factor > WORTH || factor < 1 / WORTH)
        .sort((a, b) => Math.abs(Math.log(b.factor)) - Math.abs(Math.log(a.factor))),
    }))
    .sort((a, b) => b.share - a.share);
  return { suspects, lookAt: bestLook(suspects, signs) };
}

/** By how much a sign changes the odds of a cause. */
function factorOf(cause: Cause, feature: Feature, level: Level): number {
  const base: Readonly<Record<Level, number>> = FEATURES[feature];
  return Math.max(LEAST_CHANCE, chance(cause, feature, level)) / (base[level] ?? 1);
}

/** Looks that tell less than this, in bits, are not worth the walk. */
const LEAST_BITS = 0.03;

/** The look whose answer is expected to settle most, by the information that it has of the cause. */
function bestLook(suspects: readonly Suspect[], signs: Signs): Asked | null {
  const open = ASKED.filter((each) => !(each in signs));
  const bits = (look: Asked): number => {
    const levels = Object.keys(FEATURES[look]);
    return levels.reduce((sum, level) => {
      const joint = suspects.map(({ cause, share }) => share * chance(cause, look, level));
      const all = joint.reduce((a, b) => a + b, 0);
      return (
        sum +
        joint.reduce((part, each, i) => {
          const share = suspects[i]?.share ?? 0;
          return each > 0 && share > 0 && all > 0 ? part + each * Math.log2(each / (share * all)) : part;
        }, 0)
      );
    }, 0);
  };
  const [best] = open.map((look) => ({ look, bits: bits(look) })).sort((a, b) => b.bits - a.bits);
  return best === undefined || best.bits < LEAST_BITS ? null : best.look;
}

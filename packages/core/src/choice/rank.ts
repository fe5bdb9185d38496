import { type Adhesive, type AdhesiveWindow, adhesiveWindow, asDriedFilm, listAdhesives } from '../adhesives';
import type { PlanFinding } from '../findings';
import type { GlueJob } from './job';
import { heaviestFirst, type Reason, reasonsFor, refusalsOf } from './reasons';

/** A glue on a job: what refuses it, and what speaks for and against it. */
export interface RankedGlue {
  readonly adhesive: Adhesive;
  readonly window: AdhesiveWindow;
  /** Empty for one that can be used. */
  readonly refusals: readonly PlanFinding[];
  /** Heaviest first. */
  readonly reasons: readonly Reason[];
  /** Sum of the weights; only for comparing, never shown bare. */
  readonly sum: number;
}

/** What only a plan knows of a glue: more reasons, and how long the work takes with it. */
export interface OfPlan {
  readonly reasons: readonly Reason[];
  /** So many times the minutes that the job says. */
  readonly openTimes: number;
  readonly closedTimes: number;
}

/** Glues in order, and what put the first before the second. */
export interface Ranking {
  readonly glues: readonly RankedGlue[];
  /** What differs most in the first one's favour; null with nothing to choose between. */
  readonly deciding: Deciding | null;
}

/** A reason for the first glue, or one against the second. */
export interface Deciding {
  readonly reason: Reason;
  readonly of: 'first' | 'second';
}

/**
 * Ranks adhesive families for a job: what must be refused goes last, the rest by the sum of their reasons.
 * Deterministic; ties keep the order of the catalogue. Weights [judgement].
 * @param families the catalogue, or families with the person's own labels in place.
 * @param ofPlan what a plan with a glue adds; nothing of one that nobody has planned with.
 */
export function rankAdhesives(
  job: GlueJob,
  families: readonly Adhesive[] = listAdhesives(),
  ofPlan: (adhesive: Adhesive) => Partial<OfPlan> = () => ({}),
): Ranking {
  const glues = families.map((family): RankedGlue => {
    const adhesive = job.veneer === 'iron-on' ? asDriedFilm(family) : family;
    const window = adhesiveWindow(adhesive, {
      tempC: job.tempC,
      rhPct: job.rhPct,
      faces: job.faces,
      traits: job.traits,
      mcPct: job.mcPct,
      sg: job.sg,
      woodTempC: job.woodTempC ?? undefined,
    });
    const { openTimes = 1, closedTimes = 1, reasons: ofItsPlan = [] } = ofPlan(adhesive);
    const { openNeedMin, closedNeedMin } = job;
    const own = {
      ...job,
      openNeedMin: openNeedMin * openTimes,
      closedNeedMin: closedNeedMin * closedTimes,
    };
    const candidate = { job: own, adhesive, window };
    const reasons = heaviestFirst([...reasonsFor(candidate), ...ofItsPlan]);
    return {
      adhesive,
      window,
      refusals: refusalsOf(candidate),
      reasons,
      sum: reasons.reduce((sum, { weight }) => sum + weight, 0),
    };
  });
  const ordered = glues
    .map((glue, i) => ({ glue, i }))
    .sort(
      (a, b) =>
        Math.sign(a.glue.refusals.length) - Math.sign(b.glue.refusals.length) ||
        b.glue.sum - a.glue.sum ||
        a.i - b.i,
    )
    .map(({ glue }) => glue);
  return { glues: ordered, deciding: decidingBetween(ordered[0], ordered[1]) };
}

/** The reason by which the first beats the second most. */
function decidingBetween(first: RankedGlue | undefined, second: RankedGlue | undefined): Deciding | null {
  if (first === undefined || second === undefined || first.refusals.length > 0) return null;
  if (second.refusals.length > 0) {
    const [refusal] = second.refusals;
    return refusal === undefined
      ? null
      : { reason: { code: refusal.code, weight: 0, values: refusal.values }, of: 'second' };
  }
  const codes = new Set([...first.reasons, ...second.reasons].map(({ code }) => code));
  const weightIn = (glue: RankedGlue, code: string) =>
    glue.reasons.find((reason) => reason.code === code)?.weight ?? 0;
  const [best] = [...codes]
    .map((code) => ({ code, gain: weightIn(first, code) - weightIn(second, code) }))
    .sort((a, b) => b.gain - a.gain);
  if (best === undefined || best.gain <= 0) return null;
  const own = first.reasons.find(({ code, weight }) => code === best.code && weight > 0);
  const others = second.reasons.find(({ code }) => code === best.code);
  if (own !== undefined) return { reason: own, of: 'first' };
  return others === undefined ? null : { reason: others, of: 'second' };
}

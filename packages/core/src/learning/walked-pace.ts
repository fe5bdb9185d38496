import { type BenchScript, isLikelyPace, type Lap, walkedSteps } from '../bench';
import { NOTHING_LEARNED, type ShopDocument, type Work, WORKS } from '../formats';
import { paceOf } from '../plan';
import { workOf } from './run-evidence';

/** Pace of one work as it was walked without glue. */
export interface WalkedPace {
  readonly work: Work;
  /** Way of spreading; empty for other works. */
  readonly method: string;
  readonly plannedMin: number;
  readonly takenMin: number;
  /** Over the built-in pace, as plans have it. */
  readonly factor: number;
}

/** A work of which less was walked tells no pace, min [judgement]. */
const LEAST_MIN = 0.5;
/** A pace as it is told: to a twentieth; and what a shop's may be. */
const STEP = 0.05;
const KEPT = { least: 0.3, most: 4 };

/** A pace to a twentieth, within what a shop's may be. */
export const roundedPace = (factor: number): number =>
  Number(Math.min(KEPT.most, Math.max(KEPT.least, Math.round(factor / STEP) * STEP)).toFixed(2));

/**
 * Pace of each work of a dry run, against the pace by which it was planned; works of which too little was walked, or faster or
 * slower than hands are, are left out, and so are steps in which something went wrong.
 * @param method by which the glue is spread.
 */
export function walkedPaces(
  script: Pick<BenchScript, 'operations'>,
  laps: readonly Lap[],
  shop: ShopDocument,
  method: string,
): WalkedPace[] {
  const steps = walkedSteps(script, laps);
  const pace = paceOf(shop);
  return WORKS.flatMap((work): WalkedPace[] => {
    const own = steps.filter(({ step }) => workOf(step.kind) === work);
    const plannedMin = own.reduce((sum, step) => sum + step.plannedMin, 0);
    const takenMin = own.reduce((sum, step) => sum + step.takenMin, 0);
    const ratio = takenMin / plannedMin;
    if (plannedMin < LEAST_MIN || !isLikelyPace(ratio)) return [];
    const by = work === 'spread' ? method : '';
    return [{ work, method: by, plannedMin, takenMin, factor: roundedPace(pace(work, by) * ratio) }];
  });
}

/**
 * The shop at the pace of a dry run: each work that was walked at its own, the rest at that of the whole.
 * @param whole taken over planned minutes of all that was walked.
 * @param on ISO date.
 */
export function atWalkedPace(
  shop: ShopDocument,
  walked: readonly WalkedPace[],
  whole: number,
  on: string,
): ShopDocument {
  const before = shop.learned ?? NOTHING_LEARNED;
  const isWalked = (entry: { readonly work: Work; readonly method: string }) =>
    walked.some(({ work, method }) => work === entry.work && method === entry.method);
  const entries = walked.map(({ work, method, factor }) => ({ work, method, factor, runs: 0, on }));
  return {
    ...shop,
    paceFactor: roundedPace(shop.paceFactor * whole),
    learned: { ...before, pace: [...before.pace.filter((entry) => !isWalked(entry)), ...entries] },
  };
}

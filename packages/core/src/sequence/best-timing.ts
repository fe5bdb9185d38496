import { type Effort, type Orders, searchClock } from './clock-search';
import { type Job, spanOf, type TimeLimit, usedShare } from './job';
import { lanesOf } from './lanes';
import { roughTiming, type Timing } from './rough-timing';
import { tightestTiming } from './tightest';

/** A timing, and whether nothing better exists. */
export interface BestTiming extends Timing {
  readonly proven: boolean;
}

/** Shares of windows closer than this count as equal; margins are told to a millionth. */
export const SHARE_EPS = 1e-8;
/** Spans closer than this count as equal, min. */
const SPAN_EPS_MIN = 1e-6;

/**
 * The timing that uses least of its tightest window.
 *
 * Starts from a quick one, asks for one that uses a hair less, takes the best of the orders found, and asks again
 * until none exists.
 * @param below A timing that uses this share or more is of no use; the search stops early where it can tell.
 */
export function gentlestTiming(job: Job, crew: number, effort: Effort, below = Infinity): BestTiming | null {
  let best: Timing | null = null;
  let share = below;
  const take = (timing: Timing) => {
    const tightened = tighten(job, crew, timing);
    if (tightened.usedShare >= share - SHARE_EPS) return;
    best = tightened;
    share = tightened.usedShare;
  };
  const least = Math.max(tightestTiming(job, [])?.usedShare ?? 0, shareOfOnePass(job, crew));
  if (least >= below - SHARE_EPS) return null;
  take(roughTiming(job, crew));
  for (;;) {
    const asked = share - SHARE_EPS;
    if (asked < least - SHARE_EPS) return finish(best, true);
    // An unbounded share asks for any timing at all, which the quick one has answered.
    const found = searchClock(job, crew, { usedShare: asked, spanMin: null }, effort);
    if (found === null) return finish(best, true);
    if (found === 'gave-up') return finish(best, false);
    const before = share;
    take(timingOf(job, found.startMin));
    if (share >= before) return finish(best, true);
  }
}

/**
 * A share that no timing gets below where all closings wait for one pass with the clamps: whatever is begun first is a
 * bead under that pass, and whatever is closed first waits for all other closings, with all hands at work all the while.
 */
function shareOfOnePass({ works, limits }: Job, crew: number): number {
  const clamps = works.flatMap(({ kind }, i) => (kind === 'clamp' ? [i] : []));
  const [clamp] = clamps;
  if (clamp === undefined || clamps.length > 1) return 0;
  const demand = works.reduce((sum, { minutes, hands }) => sum + minutes * hands, 0) / crew;
  const closes = works.filter(({ kind }) => kind === 'close');
  const closing = closes.reduce((sum, { minutes, hands }) => sum + minutes * hands, 0);
  const first = Math.max(0, ...closes.map(({ minutes, hands }) => minutes * hands));
  const pressed = works[clamp];
  const pass = (pressed?.minutes ?? 0) * (pressed?.hands ?? 1);
  const least = (neededMin: number, fits: (limit: TimeLimit) => boolean) => {
    const windows = limits.filter(fits).map(({ windowMin }) => windowMin);
    return windows.length === 0 ? 0 : neededMin / Math.max(...windows);
  };
  return Math.max(
    least(demand, ({ to, fromEnd }) => to === clamp && !fromEnd),
    // Closings by several hands may end together.
    least(crew === 1 ? closing - first + pass : pass / crew, ({ to, fromEnd }) => to === clamp && fromEnd),
  );
}

function finish(timing: Timing | null, proven: boolean): BestTiming | null {
  return timing === null ? null : { ...timing, proven };
}

/** The same work for the same hands in the same order, timed to use as little of the windows as can be. */
export function tighten(job: Job, crew: number, timing: Timing): Timing {
  const lanes = lanesOf(job.works, timing.startMin, crew);
  const tight = lanes === null ? null : tightestTiming(job, lanes.follows);
  if (tight === null) return timing;
  return { ...tight, spanMin: spanOf(job, tight.startMin) };
}

/** The shortest timing found, and which of the alternative orders it keeps. */
export interface ShortestTiming extends BestTiming {
  readonly alternative: number;
}

/**
 * The shortest timing that uses no more than `share` of any window and keeps one of the alternative orders.
 * @param below Spans of this and more are of no use.
 * @returns null where nothing shorter exists, or none was found before the effort ran out.
 */
export function shortestTiming(
  job: Job,
  crew: number,
  share: number,
  below: number,
  effort: Effort,
  alternatives: readonly Orders[],
): ShortestTiming | null {
  let best: ShortestTiming | null = null;
  let span = below;
  const least = leastSpan(job, crew);
  while (span > least + SPAN_EPS_MIN) {
    const bounds = { usedShare: share + SHARE_EPS / 1000, spanMin: span - SPAN_EPS_MIN };
    const found = searchClock(job, crew, bounds, effort, alternatives);
    if (found === 'gave-up' || found === null) break;
    best = { ...timingOf(job, found.startMin), alternative: found.alternative, proven: false };
    span = best.spanMin;
  }
  return best === null ? null : { ...best, proven: effort.left > 0 };
}

function timingOf(job: Job, startMin: readonly number[]): Timing {
  return { startMin, usedShare: usedShare(job, startMin), spanMin: spanOf(job, startMin) };
}

/** No span is shorter than the work shared out evenly, nor than the longest chain of works. */
function leastSpan({ works, before }: Job, crew: number): number {
  const work = works.reduce((sum, { minutes, hands }) => sum + minutes * hands, 0);
  const end = works.map(() => 0);
  let longest = 0;
  // Works stand in an order in which what comes before stands before, but for spreads and clamps of one merge.
  for (let round = 0; round < works.length; round += 1) {
    let changed = false;
    for (const [i, { minutes }] of works.entries()) {
      const start = Math.max(0, ...before.filter(([, to]) => to === i).map(([from]) => end[from] ?? 0));
      if (start + minutes > (end[i] ?? 0)) {
        end[i] = start + minutes;
        longest = Math.max(longest, start + minutes);
        changed = true;
      }
    }
    if (!changed) break;
  }
  return Math.max(work / crew, longest);
}

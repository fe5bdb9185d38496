import { type BestTiming, gentlestTiming, tighten } from './best-timing';
import type { Effort } from './clock-search';
import { jobOf } from './job';
import type { Merge } from './merge';
import type { SequenceProblem } from './problem';
import { roughTiming } from './rough-timing';

/** How a stretch of the clock is timed: exactly where that can be paid for. */
export type BlockTimer = (merges: readonly Merge[], below?: number) => BestTiming | null;

/** Remembers timings of blocks; the same merges come back in thousands of forests. */
export function blockTimer(problem: SequenceProblem, effort: Effort): BlockTimer {
  // What is known of a block: its gentlest timing, or a share that it cannot get below.
  const known = new Map<string, { readonly timing: BestTiming | null; readonly atLeast: number }>();
  return (merges, below = Infinity) => {
    const key = keyOf(merges);
    let ready = known.get(key);
    if (ready === undefined || (ready.timing === null && ready.atLeast < below)) {
      // Single closings are compared again and again, so they are worth knowing exactly.
      const asked = merges.length === 1 ? Infinity : below;
      const timing = gentlestTiming(jobOf(problem, merges), problem.crew, effort, asked);
      ready = { timing, atLeast: timing?.usedShare ?? asked };
      known.set(key, ready);
    }
    return ready.timing !== null && ready.timing.usedShare < below ? ready.timing : null;
  };
}

/** Merges and what each builds on, as text. */
function keyOf(merges: readonly Merge[]): string {
  return merges
    .map(
      ({ joints, children }) =>
        `${joints.join(',')}<${children.map((child) => child.joints.join(',')).join('|')}`,
    )
    .join(';');
}

/** Tightening goes over all arcs as often as there are works; for large jobs it costs more than it gains. */
const MOST_WORKS_TO_TIGHTEN = 30;

/** Times blocks quickly by rules, remembered; never claims to be the best. */
export function roughTimer(problem: SequenceProblem): BlockTimer {
  const known = new Map<string, ReturnType<BlockTimer>>();
  return (merges, below = Infinity) => {
    const key = keyOf(merges);
    let timing = known.get(key);
    if (timing === undefined) {
      const job = jobOf(problem, merges);
      const rough = roughTiming(job, problem.crew);
      const tightened = job.works.length > MOST_WORKS_TO_TIGHTEN ? rough : tighten(job, problem.crew, rough);
      timing = { ...tightened, proven: false };
      known.set(key, timing);
    }
    return timing !== null && timing.usedShare < below ? timing : null;
  };
}

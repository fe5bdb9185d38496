import { type BestTiming, gentlestTiming, tighten } from './best-timing';
import type { Effort } from './clock-search';
import { type Job, jobOf } from './job';
import type { Merge } from './merge';
import type { SequenceProblem } from './problem';
import { timeOneClosing } from './one-closing';
import { bettered, type Ranked, timedByRules, type Timing } from './rough-timing';

/** How a stretch of the clock is timed: exactly where that can be paid for. */
export type BlockTimer = (merges: readonly Merge[], below?: number) => BestTiming | null;

/** Lists gone through for one closing of so many joints; what is not proven with them stays the best found. */
const LISTS_OF_FEW = 30_000;
const FEW_JOINTS = 6;
const LISTS_OF_MANY = 300;

/** A stretch with one closing exactly; null where there are several. */
function timedAlone(
  problem: SequenceProblem,
  job: Job,
  merges: readonly Merge[],
  mostLists = Infinity,
): BestTiming | null {
  const [only] = merges;
  if (only === undefined || merges.length > 1) return null;
  const lists = only.joints.length > FEW_JOINTS ? LISTS_OF_MANY : LISTS_OF_FEW;
  return timeOneClosing(problem, job, { left: Math.min(lists, mostLists) });
}

/** Remembers timings of blocks; the same merges come back in thousands of forests. */
export function blockTimer(problem: SequenceProblem, effort: Effort): BlockTimer {
  // What is known of a block: its gentlest timing, or a share that it cannot get below.
  return remembering<{ readonly timing: BestTiming | null; readonly atLeast: number }>(
    problem,
    (known, below) => known.timing !== null || known.atLeast >= below,
    (job, merges, below) => {
      const timing = timedAlone(problem, job, merges) ?? gentlestTiming(job, problem.crew, effort, below);
      return { timing, atLeast: timing?.usedShare ?? below };
    },
  );
}

/**
 * Times blocks, each once: by its merges, and where those are new by its works, since shelves alike, or slats, make one job out of many
 * blocks.
 * @param isEnough Whether what is known tells whoever asks for less than a share.
 */
function remembering<Known extends { readonly timing: BestTiming | null }>(
  problem: SequenceProblem,
  isEnough: (known: Known, below: number) => boolean,
  time: (job: Job, merges: readonly Merge[], below: number) => Known,
): BlockTimer {
  const byMerges = new Map<string, { readonly job: Job; readonly name: string }>();
  const byJob = new Map<string, Known>();
  const jobFor = (merges: readonly Merge[]) => {
    const key = keyOf(merges);
    const before = byMerges.get(key);
    if (before !== undefined) return before;
    const job = jobOf(problem, merges);
    const named = { job, name: nameOf(job) };
    byMerges.set(key, named);
    return named;
  };
  return (merges, below = Infinity) => {
    const { job, name } = jobFor(merges);
    let known = byJob.get(name);
    if (known === undefined || !isEnough(known, below)) {
      known = time(job, merges, below);
      byJob.set(name, known);
    }
    return known.timing !== null && known.timing.usedShare < below ? known.timing : null;
  };
}

/** All that a job is timed by, as text: jobs that read alike are timed alike. Windows are those of the problem. */
function nameOf({ works, before, limits }: Job): string {
  let name = '';
  for (const { kind, minutes, hands } of works) name += `${kind} ${minutes} ${hands},`;
  for (const [from, to] of before) name += `${from}<${to},`;
  for (const { from, to, fromEnd } of limits) name += `${from}${fromEnd ? '>' : '-'}${to},`;
  return name;
}

/** Merges and what each builds on, as text; what one alone builds on was made before it. */
function keyOf(merges: readonly Merge[]): string {
  if (merges.length === 1) return merges[0]?.joints.join(',') ?? '';
  return merges
    .map(
      ({ joints, children }) =>
        `${joints.join(',')}<${children.map((child) => child.joints.join(',')).join('|')}`,
    )
    .join(';');
}

/** Tightening goes over all arcs as often as there are works; for large jobs it costs more than it gains. */
const MOST_WORKS_TO_TIGHTEN = 30;

function roughlyTimed(job: Job, crew: number, plain: Ranked, swaps: Effort): Timing {
  const rough = bettered(job, crew, plain, swaps);
  return job.works.length > MOST_WORKS_TO_TIGHTEN ? rough : tighten(job, crew, rough);
}

/**
 * Times single closings exactly and whole blocks quickly by rules, remembered. Whoever asks for less than a share gets any timing
 * that uses less; the trouble of a better one is taken where the plainest does not.
 * @param mostSwaps Tried in all while blocks are bettered; what comes after is timed more plainly.
 * @param mostLists Gone through for each single closing.
 */
export function roughTimer(problem: SequenceProblem, mostSwaps = Infinity, mostLists = Infinity): BlockTimer {
  const swaps: Effort = { left: mostSwaps };
  const { crew } = problem;
  return remembering<{ readonly timing: BestTiming; readonly plain: boolean }>(
    problem,
    ({ timing, plain }, below) => !plain || timing.usedShare < wantedBelow(below),
    (job, merges, below) => {
      const alone = timedAlone(problem, job, merges, mostLists);
      if (alone !== null) return { timing: alone, plain: false };
      const wanted = wantedBelow(below);
      const plain = timedByRules(job, crew, wanted);
      const isEnough = plain.timing.usedShare < wanted;
      const timing = isEnough ? plain.timing : roughlyTimed(job, crew, plain, swaps);
      return { timing: { ...timing, proven: false }, plain: isEnough };
    },
  );
}

/** Whoever asks for any share wants the best. */
const wantedBelow = (below: number): number => (below < Infinity ? below : -Infinity);

import { type BestTiming, SHARE_EPS, shortestTiming } from './best-timing';
import type { BlockTimer } from './block-timer';
import type { Effort } from './clock-search';
import { type Job, jobOf, spanOf, usedShare, type Work } from './job';
import { blocksOf, inOrder, type Merge, rootsOf } from './merge';
import type { SequenceProblem } from './problem';
import type { Timing } from './rough-timing';

/** One session laid out in time. */
export interface SessionPlan {
  readonly merges: readonly Merge[];
  readonly job: Job;
  readonly timing: Timing;
}

/**
 * The gentlest timings of all blocks of a forest. Blocks can always follow one another, so the session uses of its
 * tightest window what its worst block uses, whatever else is in it.
 * @returns null as soon as one block cannot stay under `below`.
 */
export function blocksUnder(
  problem: SequenceProblem,
  forest: readonly Merge[],
  timer: BlockTimer,
  below: number,
): { readonly blocks: Merge[][]; readonly timings: BestTiming[]; readonly usedShare: number } | null {
  const blocks = blocksOf(problem, forest.flatMap(inOrder));
  const timings: BestTiming[] = [];
  let share = 0;
  for (const block of blocks) {
    const timing = timer(block, below);
    if (timing === null) return null;
    timings.push(timing);
    share = Math.max(share, timing.usedShare);
  }
  return { blocks, timings, usedShare: share };
}

/** The closings of one session, children before parents, on the clock. */
export function sessionLaidOut(
  problem: SequenceProblem,
  session: readonly Merge[],
  timer: BlockTimer,
): SessionPlan {
  const under = blocksUnder(problem, rootsOf(session), timer, Infinity);
  return packBlocks(problem, under?.blocks ?? [], under?.timings ?? []);
}

/**
 * Lays the blocks of a session beside each other: each keeps its own timing and starts as early as hands and the
 * sub-assemblies it needs allow. Windows are used as in the blocks alone.
 */
function packBlocks(
  problem: SequenceProblem,
  blocks: readonly (readonly Merge[])[],
  timings: readonly Timing[],
): SessionPlan {
  const merges = blocks.flat();
  const job = jobOf(problem, merges);
  const numberOf = new Map(job.works.map(({ kind, joints }, i) => [`${kind}:${joints.join(',')}`, i]));
  const startMin = job.works.map(() => 0);
  const placed: { readonly from: number; readonly to: number; readonly hands: number }[] = [];
  const closedAt = new Map<Merge, number>();
  blocks.forEach((block, b) => {
    const own = jobOf(problem, block);
    const starts = timings[b]?.startMin ?? [];
    const works = own.works.map((work, i) => ({
      ...work,
      from: starts[i] ?? 0,
      to: (starts[i] ?? 0) + work.minutes,
    }));
    const closing = (merge: Merge) =>
      works.find(({ kind, joints }) => kind === 'close' && joints.join() === merge.joints.join());
    // Closings wait for what earlier blocks have to make.
    const notBefore = block.reduce((latest, merge) => {
      const ready = Math.max(0, ...merge.children.map((child) => closedAt.get(child) ?? 0));
      return Math.max(latest, ready - (closing(merge)?.from ?? 0));
    }, 0);
    const shift = earliestShift(works, placed, problem.crew, notBefore);
    for (const work of works) {
      placed.push({ from: work.from + shift, to: work.to + shift, hands: work.hands });
      startMin[numberOf.get(`${work.kind}:${work.joints.join(',')}`) ?? 0] = work.from + shift;
    }
    for (const merge of block) closedAt.set(merge, (closing(merge)?.to ?? 0) + shift);
  });
  const first = Math.min(0, ...startMin);
  const settled = startMin.map((minute) => minute - first);
  return {
    merges,
    job,
    timing: { startMin: settled, usedShare: usedShare(job, settled), spanMin: spanOf(job, settled) },
  };
}

interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly hands: number;
}

/** Least shift, from `notBefore` on, at which a block finds hands for all its works. */
function earliestShift(
  works: readonly Stretch[],
  placed: readonly Stretch[],
  crew: number,
  notBefore: number,
): number {
  const candidates = [notBefore, ...placed.flatMap(({ to }) => works.map(({ from }) => to - from))]
    .filter((shift) => shift >= notBefore)
    .sort((x, y) => x - y);
  const fits = (shift: number) =>
    works.every((work) => {
      if (work.to - work.from <= 1e-12) return true;
      const moved = works.map(({ from, to, hands }) => ({ from: from + shift, to: to + shift, hands }));
      const all = [...placed, ...moved];
      // Demand changes only where something starts.
      const moments = [
        work.from + shift,
        ...placed
          .map(({ from }) => from)
          .filter((at) => at > work.from + shift && at < work.to + shift - 1e-9),
      ];
      return moments.every(
        (at) =>
          all.reduce(
            (sum, { from, to, hands }) => (from <= at + 1e-9 && to > at + 1e-9 ? sum + hands : sum),
            0,
          ) <= crew,
      );
    });
  return candidates.find(fits) ?? Math.max(notBefore, ...placed.map(({ to }) => to));
}

/**
 * The shortest session over some forests that uses no more than `share` of any window. Forests that close the same
 * joints together differ only in what has to come before what, and are searched as one.
 */
export function shortestSession(
  problem: SequenceProblem,
  forests: readonly (readonly Merge[])[],
  timer: BlockTimer,
  share: number,
  effort: Effort,
): SessionPlan | null {
  const packed: SessionPlan[] = [];
  for (const forest of forests) {
    const under = blocksUnder(problem, forest, timer, share + 4 * SHARE_EPS);
    if (under === null) continue;
    const plan = packBlocks(problem, under.blocks, under.timings);
    // One pair of hands is never idle, so any order takes the same time.
    if (problem.crew === 1) return plan;
    packed.push(plan);
  }
  if (packed.length === 0) return null;
  let best = packed.reduce((a, b) => (b.timing.spanMin < a.timing.spanMin - 1e-9 ? b : a));
  for (const alike of alikeIn(packed)) {
    const [first] = alike;
    if (first === undefined) continue;
    const merges = [...first.merges].map(({ joints }) => ({ joints, children: [] }));
    const job = jobOf(problem, merges);
    const shortest = shortestTiming(
      job,
      problem.crew,
      share,
      best.timing.spanMin,
      effort,
      alike.map((plan) => closingOrders(job, plan.merges)),
    );
    const plan = shortest === null ? undefined : alike[shortest.alternative];
    if (plan === undefined || shortest === null) continue;
    const at = (work: Work) => shortest.startMin[findWork(job, work)] ?? 0;
    best = { ...plan, timing: { ...shortest, startMin: plan.job.works.map(at) } };
  }
  return best;
}

/** Sessions grouped by which joints close together. */
function alikeIn(plans: readonly SessionPlan[]): SessionPlan[][] {
  const groups = new Map<string, SessionPlan[]>();
  for (const plan of plans) {
    const key = plan.merges
      .map(({ joints }) => joints.join(','))
      .sort()
      .join(';');
    groups.set(key, [...(groups.get(key) ?? []), plan]);
  }
  return [...groups.values()].sort((x, y) => (x[0]?.timing.spanMin ?? 0) - (y[0]?.timing.spanMin ?? 0));
}

/** Which closing comes before which, straight or over others. */
function closingOrders(job: Job, merges: readonly Merge[]): [number, number][] {
  const closing = ({ joints }: Merge) => findWork(job, { kind: 'close', joints, minutes: 0, hands: 1 });
  return merges.flatMap((merge) =>
    inOrder(merge)
      .slice(0, -1)
      .map((earlier): [number, number] => [closing(earlier), closing(merge)]),
  );
}

function findWork({ works }: Job, { kind, joints }: Work): number {
  return works.findIndex((work) => work.kind === kind && work.joints.join() === joints.join());
}

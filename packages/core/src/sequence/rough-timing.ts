import type { Effort } from './clock-search';
import type { Job, Work } from './job';
import { usedShare, spanOf } from './job';

/** Starts of a job with what they use of windows and time. */
export interface Timing {
  readonly startMin: readonly number[];
  readonly usedShare: number;
  readonly spanMin: number;
}

/** Works above which only the plainest rules are tried. */
const MANY_WORKS = 60;

/** Orders in which joints are taken from the end backwards; which is best depends on the windows. */
const JOINT_ORDERS: readonly ((x: Work, y: Work) => number)[] = [
  () => 0,
  (x, y) => x.minutes - y.minutes,
  (x, y) => y.minutes - x.minutes,
];

/**
 * A good timing of a job, quickly: works are laid from the end backwards, each as late as hands and what follows
 * it allow, by a few rules, and the best is kept. Laying backwards keeps beads fresh, since what is spread first
 * waits longest. Never better than the best there is; windows may be overrun.
 * @param swaps How many swaps of two works may still be tried.
 */
export function roughTiming(job: Job, crew: number, swaps: Effort = { left: Infinity }): Timing {
  return bettered(job, crew, timedByRules(job, crew), swaps);
}

/** The same, from what the plain rules alone came to. */
export function bettered(job: Job, crew: number, plain: Ranked, swaps: Effort): Timing {
  return job.works.length > MOST_WORKS_TO_SWAP ? plain.timing : swapped(job, crew, plain, swaps);
}

/**
 * The best of the plain rules alone: dozens of times as quick, and never better.
 * @param below The first that uses less than this share is taken.
 */
export function timedByRules(job: Job, crew: number, below = -Infinity): Ranked {
  // Large jobs are timed over and over while sessions are cut; there the order within a closing matters little.
  const orders = job.works.length > MANY_WORKS ? JOINT_ORDERS.slice(0, 1) : JOINT_ORDERS;
  let best: Ranked | null = null;
  for (const spreadFirst of [true, false]) {
    for (const order of orders) {
      for (const kind of ['spread', 'clamp'] as const) {
        const rank = ranks(job, order, kind, spreadFirst);
        const next = { rank, timing: laidBackwards(job, crew, rank) };
        if (best === null || isBetter(next.timing, best.timing)) best = next;
        if (best.timing.usedShare < below) return best;
      }
    }
  }
  return best as Ranked;
}

/** Works up to which preferences are swapped one by one; larger jobs would cost too much. */
const MOST_WORKS_TO_SWAP = 26;

/** A timing, and the order of preference that led to it. */
export interface Ranked {
  readonly timing: Timing;
  readonly rank: readonly number[];
}

/** Swaps the preferences of two works while that helps. */
function swapped(job: Job, crew: number, start: Ranked, swaps: Effort): Timing {
  let best = start;
  const closes = job.works.filter(({ kind }) => kind === 'close').length;
  if (closes < 2) return best.timing;
  for (let helped = true; helped;) {
    helped = false;
    for (let i = 0; i < job.works.length; i += 1) {
      for (let j = i + 1; j < job.works.length; j += 1) {
        if (swaps.left <= 0) return best.timing;
        swaps.left -= 1;
        const rank = best.rank.slice();
        [rank[i], rank[j]] = [rank[j] ?? 0, rank[i] ?? 0];
        const timing = laidBackwards(job, crew, rank);
        if (!isBetter(timing, best.timing)) continue;
        best = { timing, rank };
        helped = true;
      }
    }
  }
  return best.timing;
}

/** Less of the windows first, then less time. */
function isBetter(next: Timing, best: Timing): boolean {
  const gain = best.usedShare - next.usedShare;
  return gain > 1e-12 || (gain > -1e-12 && next.spanMin < best.spanMin - 1e-12);
}

/** The order in which works that could be laid next are preferred; smaller is sooner, backwards. */
function ranks(
  { works }: Job,
  order: (x: Work, y: Work) => number,
  kind: 'spread' | 'clamp',
  spreadFirst: boolean,
): number[] {
  const byJoint = new Map(
    works
      .filter((work) => work.kind === kind)
      .sort(order)
      .flatMap(({ joints }, i) => joints.map((joint): [number, number] => [joint, i])),
  );
  return works.map((work, i) => {
    const rank = Math.max(...work.joints.map((joint) => byJoint.get(joint) ?? 0));
    switch (work.kind) {
      case 'clamp':
        return rank;
      case 'close':
        // Later merges stand later in the list, so backwards they come first.
        return 1e4 + (spreadFirst ? 1e4 : 0) + works.length - i;
      case 'spread':
        return 1e4 + (spreadFirst ? 0 : 1e4) + rank;
    }
  });
}

/** What every laying of one job needs again. */
interface Laying {
  readonly minutes: Float64Array;
  readonly hands: Int32Array;
  /** Works that must be over before each. */
  readonly earlier: readonly (readonly number[])[];
  /** How many works follow each. */
  readonly followers: Int32Array;
}

const layings = new WeakMap<Job, Laying>();

function layingOf(job: Job): Laying {
  const known = layings.get(job);
  if (known !== undefined) return known;
  const { works, before } = job;
  const earlier = works.map((): number[] => []);
  const followers = new Int32Array(works.length);
  for (const [from, to] of before) {
    earlier[to]?.push(from);
    followers[from] = (followers[from] ?? 0) + 1;
  }
  const laying = {
    minutes: Float64Array.from(works, ({ minutes }) => minutes),
    hands: Int32Array.from(works, ({ hands }) => hands),
    earlier,
    followers,
  };
  layings.set(job, laying);
  return laying;
}

/** The moment at which so many of the hands are free; those that are free first stand first. Infinite where there are fewer. */
const freeFrom = (freeAt: Float64Array, hands: number): number => freeAt[hands - 1] ?? Infinity;

function laidBackwards(job: Job, crew: number, rank: readonly number[]): Timing {
  const { minutes, hands, earlier, followers } = layingOf(job);
  const count = minutes.length;
  const toFollow = followers.slice();
  // Time runs backwards from 0 at the end; `done` is when a work is left behind, `from` when it may begin.
  const done = new Array<number>(count).fill(0);
  const from = new Float64Array(count);
  const freeAt = new Float64Array(crew);
  // In the order in which they came to be ready, by which equals are told apart.
  const ready: number[] = [];
  for (let i = 0; i < count; i += 1) if (toFollow[i] === 0) ready.push(i);
  while (ready.length > 0) {
    let next = -1;
    let nextAt = Infinity;
    let nextRank = Infinity;
    for (const i of ready) {
      const at = Math.max(freeFrom(freeAt, hands[i] ?? 1), from[i] ?? 0);
      const own = rank[i] ?? 0;
      if (at < nextAt - 1e-12 || (at < nextAt + 1e-12 && own < nextRank)) {
        next = i;
        nextAt = at;
        nextRank = own;
      }
    }
    // More hands than there are: such a work has no place.
    if (next < 0) return { startMin: done, usedShare: Infinity, spanMin: Infinity };
    const end = nextAt + (minutes[next] ?? 0);
    done[next] = end;
    takeHands(freeAt, hands[next] ?? 1, nextAt, end);
    ready.splice(ready.indexOf(next), 1);
    for (const before of earlier[next] ?? []) {
      from[before] = Math.max(from[before] ?? 0, end);
      toFollow[before] = (toFollow[before] ?? 0) - 1;
      if (toFollow[before] === 0) ready.push(before);
    }
  }
  const last = Math.max(0, ...done);
  const startMin = done.map((minute) => last - minute);
  return { startMin, usedShare: usedShare(job, startMin), spanMin: spanOf(job, startMin) };
}

/** Takes so many hands that are free at a moment, those that came free last first, until an end; who is free first still stands first. */
function takeHands(freeAt: Float64Array, wanted: number, at: number, end: number): void {
  let able = 0;
  while (able < freeAt.length && (freeAt[able] ?? Infinity) <= at + 1e-12) able += 1;
  freeAt.fill(end, Math.max(0, able - wanted), able);
  freeAt.sort();
}

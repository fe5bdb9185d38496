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
 */
export function roughTiming(job: Job, crew: number): Timing {
  // Large jobs are timed over and over while sessions are cut; there the order within a closing matters little.
  const orders = job.works.length > MANY_WORKS ? JOINT_ORDERS.slice(0, 1) : JOINT_ORDERS;
  const timings = [true, false].flatMap((spreadFirst) =>
    orders.flatMap((order) =>
      (['spread', 'clamp'] as const).map((kind) => {
        const rank = ranks(job, order, kind, spreadFirst);
        return { rank, timing: laidBackwards(job, crew, rank) };
      }),
    ),
  );
  const best = timings.reduce((a, b) => (isBetter(b.timing, a.timing) ? b : a));
  return job.works.length > MOST_WORKS_TO_SWAP ? best.timing : swapped(job, crew, best);
}

/** Works up to which preferences are swapped one by one; larger jobs would cost too much. */
const MOST_WORKS_TO_SWAP = 26;

interface Ranked {
  readonly timing: Timing;
  readonly rank: readonly number[];
}

/** Swaps the preferences of two works while that helps. */
function swapped(job: Job, crew: number, start: Ranked): Timing {
  let best = start;
  const closes = job.works.filter(({ kind }) => kind === 'close').length;
  if (closes < 2) return best.timing;
  for (let helped = true; helped;) {
    helped = false;
    for (let i = 0; i < job.works.length; i += 1) {
      for (let j = i + 1; j < job.works.length; j += 1) {
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

function laidBackwards(job: Job, crew: number, rank: readonly number[]): Timing {
  const { works } = job;
  const before = works.map((): number[] => []);
  const toFollow = works.map(() => 0);
  for (const [from, to] of job.before) {
    before[to]?.push(from);
    toFollow[from] = (toFollow[from] ?? 0) + 1;
  }
  // Time runs backwards from 0 at the end; `done` is when a work is left behind, `from` when it may begin.
  const done = works.map(() => 0);
  const from = works.map(() => 0);
  const freeAt = Array.from({ length: crew }, () => 0);
  const ready = new Set(works.flatMap((_, i) => (toFollow[i] === 0 ? [i] : [])));
  while (ready.size > 0) {
    const free = [...freeAt].sort((x, y) => x - y);
    let next = -1;
    let nextAt = Infinity;
    for (const i of ready) {
      const at = Math.max(free[(works[i]?.hands ?? 1) - 1] ?? Infinity, from[i] ?? 0);
      if (at < nextAt - 1e-12 || (at < nextAt + 1e-12 && (rank[i] ?? 0) < (rank[next] ?? Infinity))) {
        next = i;
        nextAt = at;
      }
    }
    const work = works[next];
    // More hands than there are: such a work has no place.
    if (work === undefined) return { startMin: done, usedShare: Infinity, spanMin: Infinity };
    const lanes = freeAt
      .map((minute, hand) => ({ minute, hand }))
      .filter(({ minute }) => minute <= nextAt + 1e-12)
      .sort((x, y) => y.minute - x.minute)
      .slice(0, work.hands);
    const end = nextAt + work.minutes;
    done[next] = end;
    for (const { hand } of lanes) freeAt[hand] = end;
    ready.delete(next);
    for (const earlier of before[next] ?? []) {
      from[earlier] = Math.max(from[earlier] ?? 0, end);
      toFollow[earlier] = (toFollow[earlier] ?? 0) - 1;
      if (toFollow[earlier] === 0) ready.add(earlier);
    }
  }
  const last = Math.max(0, ...done);
  const startMin = done.map((minute) => last - minute);
  return { startMin, usedShare: usedShare(job, startMin), spanMin: spanOf(job, startMin) };
}

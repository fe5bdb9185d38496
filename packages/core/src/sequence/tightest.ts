import type { Job } from './job';
import { TIME_EPS_MIN } from './problem';

/** An arc of the clock: `to` starts at least `baseMin − share·windowMin` after `from` starts. */
export interface Arc {
  readonly from: number;
  readonly to: number;
  readonly baseMin: number;
  readonly windowMin: number;
}

/** Arcs of a job: what must come before what, the given orders too, and its limits. */
export function arcsOf(job: Job, orders: readonly (readonly [number, number])[]): Arc[] {
  const minutes = (i: number) => job.works[i]?.minutes ?? 0;
  return [
    ...[...job.before, ...orders].map(([from, to]) => ({ from, to, baseMin: minutes(from), windowMin: 0 })),
    // end(to) − start or end(from) ≤ share·window, turned round.
    ...job.limits.map(({ from, fromEnd, to, windowMin }) => ({
      from: to,
      to: from,
      baseMin: minutes(to) - (fromEnd ? minutes(from) : 0),
      windowMin,
    })),
  ];
}

/**
 * The least share of the windows with which works in given orders can be timed, and earliest starts that need no
 * more.
 *
 * The share is the greatest ratio Σ base / Σ window over the circles of arcs. It is found from below: take a
 * circle that does not close at the present share, raise the share to where it just closes, look again.
 * Source: parametric longest paths (Dinkelbach's rule for ratios).
 * @returns null where the orders contradict each other.
 */
export function tightestTiming(
  job: Job,
  orders: readonly (readonly [number, number])[],
): { readonly usedShare: number; readonly startMin: number[] } | null {
  const arcs = arcsOf(job, orders);
  let usedShare = 0;
  for (;;) {
    const { startMin, circle } = earliest(arcs, job.works.length, usedShare);
    if (circle === null) return { usedShare, startMin };
    const windowMin = circle.reduce((sum, arc) => sum + arc.windowMin, 0);
    if (windowMin <= 0) return null;
    const raised = circle.reduce((sum, arc) => sum + arc.baseMin, 0) / windowMin;
    // A circle that closes but for rounding is closed.
    if (raised <= usedShare) return { usedShare, startMin };
    usedShare = raised;
  }
}

/** Earliest starts from zero at a share (Bellman and Ford), or a circle of arcs that cannot be kept. */
function earliest(arcs: readonly Arc[], works: number, usedShare: number) {
  const startMin = Array.from({ length: works }, () => 0);
  const by = Array.from<unknown, Arc | null>({ length: works }, () => null);
  let last: number | null = null;
  for (let round = 0; round <= works; round += 1) {
    last = null;
    for (const arc of arcs) {
      const at = (startMin[arc.from] ?? 0) + arc.baseMin - usedShare * arc.windowMin;
      if (at > (startMin[arc.to] ?? 0) + TIME_EPS_MIN) {
        startMin[arc.to] = at;
        by[arc.to] = arc;
        last = arc.to;
      }
    }
    if (last === null) return { startMin, circle: null };
  }
  // Walking back once for each work ends on the circle.
  let on = last ?? 0;
  for (let i = 0; i < works; i += 1) on = by[on]?.from ?? on;
  const circle: Arc[] = [];
  for (let at = on; ;) {
    const arc = by[at];
    if (arc === undefined || arc === null) break;
    circle.push(arc);
    at = arc.from;
    if (at === on) break;
  }
  return { startMin, circle };
}

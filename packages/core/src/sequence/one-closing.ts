import type { BestTiming } from './best-timing';
import type { Effort } from './clock-search';
import { type Job, spanOf, usedShare } from './job';
import { type SequenceProblem, TIME_EPS_MIN, type Windows } from './problem';

/** Shares closer than this are one; far below what a margin is told to. */
const SHARE_STEP = 1e-10;

/** What one closing is made of: beads before it, passes with the clamps after it. */
interface Closing {
  /** Minutes of spreading, joint by joint. */
  readonly spreads: readonly number[];
  readonly closeMin: number;
  readonly passes: readonly Pass[];
  readonly windows: Windows;
  readonly crew: number;
}

/** One pass with the clamps. */
interface Pass {
  readonly minutes: number;
  readonly hands: number;
  /** Which of the joints it presses. */
  readonly joints: readonly number[];
}

/**
 * The gentlest timing of a job with one closing.
 *
 * All hands are free at the closing, so time can be read from there both ways: beads are laid backwards from its
 * start, passes forwards from its end, each by list, next on the hands that are free first. Some list is the best
 * there is, since a list made from the starts of any timing puts nothing later. With one pair of hands the order
 * of Johnson's rule for two machines is the best; with more, lists are gone through, those left out that a bound
 * rules out. The bounds count all hands as one that is as many times as fast.
 * Source: Johnson 1954; list schedules on identical machines (Graham).
 * @param effort Lists begun; where it runs out, the best timing so far is not proven.
 */
export function timeOneClosing(problem: SequenceProblem, job: Job, effort: Effort): BestTiming {
  const at = (kind: string) => job.works.flatMap((work, i) => (work.kind === kind ? [i] : []));
  const [spreadAt, [closeAt = 0], passAt] = [at('spread'), at('close'), at('clamp')];
  const jointAt = new Map(spreadAt.map((i, j) => [job.works[i]?.joints[0] ?? -1, j]));
  const minutes = (i: number) => job.works[i]?.minutes ?? 0;
  const search = new ClosingSearch(
    {
      spreads: spreadAt.map(minutes),
      closeMin: minutes(closeAt),
      passes: passAt.map((i) => ({
        minutes: minutes(i),
        hands: job.works[i]?.hands ?? 1,
        joints: (job.works[i]?.joints ?? []).flatMap((joint) => jointAt.get(joint) ?? []),
      })),
      windows: problem.windows,
      crew: problem.crew,
    },
    effort,
  );
  const { spreadMin, endMin, proven } = search.best();
  const first = Math.max(0, ...spreadMin);
  const startMin = job.works.map(() => first);
  spreadAt.forEach((i, j) => (startMin[i] = first - (spreadMin[j] ?? 0)));
  passAt.forEach((i, k) => (startMin[i] = first + minutes(closeAt) + (endMin[k] ?? 0) - minutes(i)));
  return { startMin, usedShare: usedShare(job, startMin), spanMin: spanOf(job, startMin), proven };
}

/** The longest way through two machines in a row that no order shortens (Johnson's rule), and that order. */
function johnson(firstMin: readonly number[], secondMin: readonly number[]) {
  const [a, b] = [(i: number) => firstMin[i] ?? 0, (i: number) => secondMin[i] ?? 0];
  const all = firstMin.map((_, i) => i);
  const order = [
    ...all.filter((i) => a(i) <= b(i)).sort((i, j) => a(i) - a(j) || i - j),
    ...all.filter((i) => a(i) > b(i)).sort((i, j) => b(j) - b(i) || i - j),
  ];
  let [one, both] = [0, 0];
  for (const i of order) {
    one += a(i);
    both = Math.max(one, both) + b(i);
  }
  return { order, minutes: both };
}

class ClosingSearch {
  private readonly joints: readonly number[];
  /** Pass of each joint. */
  private readonly passOf: readonly number[];
  private readonly least: number;
  private share = Infinity;
  private spreadMin: number[] = [];
  private endMin: number[] = [];

  constructor(
    private readonly closing: Closing,
    private readonly effort: Effort,
  ) {
    const { spreads, passes } = closing;
    this.joints = spreads.map((_, j) => j);
    this.passOf = this.joints.map((j) => passes.findIndex((pass) => pass.joints.includes(j)));
    this.least = this.bound();
  }

  /** Starts of spreading before the closing starts, and ends of passes after it ends, min. */
  best() {
    const { spreads } = this.closing;
    this.tryList(this.firstList());
    // With one pair of hands Johnson's rule has told; what can never be in time is not worth a better list.
    let proven =
      this.closing.crew === 1 || this.share <= this.least + SHARE_STEP || this.least > 1 + SHARE_STEP;
    if (!proven) {
      const before = spreads.map(() => 0);
      const left = this.joints.filter((j) => (spreads[j] ?? 0) > TIME_EPS_MIN);
      proven = this.spreadNext(before, left, this.allFree());
    }
    return { spreadMin: this.spreadMin, endMin: this.endMin, proven };
  }

  private allFree(): number[] {
    return Array.from({ length: this.closing.crew }, () => 0);
  }

  /** Minutes of spreading under one pass. */
  private spreadUnder({ joints }: Pass): number {
    return joints.reduce((sum, j) => sum + (this.closing.spreads[j] ?? 0), 0);
  }

  /** A share that no timing gets below: all hands as one that is as many times as fast. */
  private bound(): number {
    const { spreads, closeMin, passes, windows, crew } = this.closing;
    const passMin = passes.map(({ minutes, hands }) => (minutes * hands) / crew);
    const spreadMin = passes.map((pass) => this.spreadUnder(pass) / crew);
    const longest = passes.map(({ joints }) => Math.max(0, ...joints.map((j) => spreads[j] ?? 0)));
    const sum = (list: readonly number[]) => list.reduce((total, minutes) => total + minutes, 0);
    const alone = passes.map(({ minutes }, k) => minutes + Math.max(longest[k] ?? 0, spreadMin[k] ?? 0));
    return Math.max(
      (Math.max(sum(spreadMin), ...longest) + closeMin) / windows.openMin,
      Math.max(sum(passMin), ...passes.map(({ minutes }) => minutes)) / windows.closedMin,
      (Math.max(johnson(passMin, spreadMin).minutes, ...alone) + closeMin) / windows.totalMin,
    );
  }

  /**
   * Joints from the closing backwards: pass by pass by Johnson's rule as if there were one pair of hands, and under
   * each pass the longest bead next to the closing.
   */
  private firstList(): number[] {
    const { spreads, passes } = this.closing;
    const { order } = johnson(
      passes.map(({ minutes }) => minutes),
      passes.map((pass) => this.spreadUnder(pass)),
    );
    return order
      .reverse()
      .flatMap((k) =>
        [...(passes[k]?.joints ?? [])].sort((x, y) => (spreads[y] ?? 0) - (spreads[x] ?? 0) || x - y),
      );
  }

  /** Lays beads backwards by this list and passes after them, soonest due first. */
  private tryList(list: readonly number[]): void {
    const { spreads } = this.closing;
    const before = spreads.map(() => 0);
    const free = this.allFree();
    for (const j of list) {
      if ((spreads[j] ?? 0) <= TIME_EPS_MIN) continue;
      free.sort((x, y) => x - y);
      free[0] = (free[0] ?? 0) + (spreads[j] ?? 0);
      before[j] = free[0];
    }
    const waited = this.waitedAt(before);
    const ends = this.closing.passes.map(() => 0);
    const after = this.allFree();
    const order = this.closing.passes
      .map((_, k) => k)
      .sort((x, y) => (waited[y] ?? 0) - (waited[x] ?? 0) || x - y);
    for (const k of order) this.putPass(k, after, ends);
    this.take(before, ends, waited);
  }

  /** How long the bead that waits longest under each pass has lain when the closing starts, min. */
  private waitedAt(before: readonly number[]): number[] {
    return this.closing.passes.map(({ joints }) => Math.max(0, ...joints.map((j) => before[j] ?? 0)));
  }

  /** Puts a pass on the hands that are free first; those stay sorted. */
  private putPass(k: number, free: number[], ends: number[]): void {
    const { minutes = 0, hands = 1 } = this.closing.passes[k] ?? {};
    if (minutes <= TIME_EPS_MIN) return;
    free.sort((x, y) => x - y);
    const end = (free[hands - 1] ?? Infinity) + minutes;
    for (let h = 0; h < hands; h += 1) free[h] = end;
    ends[k] = end;
  }

  private passShare(end: number, waited: number): number {
    const { closeMin, windows } = this.closing;
    return Math.max(end / windows.closedMin, (waited + closeMin + end) / windows.totalMin);
  }

  private take(before: readonly number[], ends: readonly number[], waited: readonly number[]): void {
    const { closeMin, windows } = this.closing;
    const share = ends.reduce(
      (worst, end, k) => Math.max(worst, this.passShare(end, waited[k] ?? 0)),
      (Math.max(0, ...before) + closeMin) / windows.openMin,
    );
    if (share >= this.share) return;
    this.share = share;
    this.spreadMin = [...before];
    this.endMin = [...ends];
  }

  /** Goes through lists of beads, from the closing backwards; false where the effort ran out. */
  private spreadNext(before: number[], left: readonly number[], free: readonly number[]): boolean {
    const { spreads, closeMin, windows, passes } = this.closing;
    if (left.length === 0) {
      const waited = this.waitedAt(before);
      return this.passNext(
        waited,
        before,
        passes.map(() => 0),
        passes.map((_, k) => k),
        this.allFree(),
      );
    }
    if (this.effort.left <= 0) return false;
    this.effort.left -= 1;
    const soonest = Math.min(...free);
    const work = left.reduce(
      (sum, j) => sum + (spreads[j] ?? 0),
      free.reduce((sum, at) => sum + at, 0),
    );
    const last = Math.max(work / free.length, ...left.map((j) => soonest + (spreads[j] ?? 0)), ...free);
    if ((last + closeMin) / windows.openMin >= this.share - SHARE_STEP) return true;
    const open = new Set(left);
    const waited = this.waitedAt(
      before.map((minutes, j) => (open.has(j) ? soonest + (spreads[j] ?? 0) : minutes)),
    );
    if (
      this.boundOfPasses(
        waited,
        passes.map((_, k) => k),
        this.allFree(),
      ) >=
      this.share - SHARE_STEP
    )
      return true;
    const tried = new Set<string>();
    for (const j of left) {
      const minutes = spreads[j] ?? 0;
      const pass = passes[this.passOf[j] ?? -1];
      // Joints alike in all are taken in one order only.
      const alike = `${minutes}/${pass?.joints.length === 1 ? `${pass.minutes}/${pass.hands}` : `p${this.passOf[j]}`}`;
      if (tried.has(alike)) continue;
      tried.add(alike);
      const next = [...free].sort((x, y) => x - y);
      next[0] = (next[0] ?? 0) + minutes;
      before[j] = next[0];
      if (
        !this.spreadNext(
          before,
          left.filter((other) => other !== j),
          next,
        )
      )
        return false;
      before[j] = 0;
      if (this.share <= this.least + SHARE_STEP) return true;
    }
    return true;
  }

  /** A share that passes still to come cannot get below: those that wait longest go first, all hands as one. */
  private boundOfPasses(waited: readonly number[], left: readonly number[], free: readonly number[]): number {
    const { passes, crew } = this.closing;
    const soonest = Math.min(...free);
    let sum = free.reduce((total, at) => total + at, 0);
    let worst = 0;
    for (const k of [...left].sort((x, y) => (waited[y] ?? 0) - (waited[x] ?? 0))) {
      const { minutes = 0, hands = 1 } = passes[k] ?? {};
      sum += minutes * hands;
      const end = minutes <= TIME_EPS_MIN ? 0 : Math.max(sum / crew, soonest + minutes);
      worst = Math.max(worst, this.passShare(end, waited[k] ?? 0));
    }
    return worst;
  }

  private passNext(
    waited: readonly number[],
    before: readonly number[],
    ends: number[],
    left: readonly number[],
    free: readonly number[],
  ): boolean {
    if (left.length === 0) {
      this.take(before, ends, waited);
      return true;
    }
    if (this.effort.left <= 0) return false;
    this.effort.left -= 1;
    if (this.boundOfPasses(waited, left, free) >= this.share - SHARE_STEP) return true;
    const { passes } = this.closing;
    const tried = new Set<string>();
    for (const k of [...left].sort((x, y) => (waited[y] ?? 0) - (waited[x] ?? 0))) {
      const alike = `${waited[k]}/${passes[k]?.minutes}/${passes[k]?.hands}`;
      if (tried.has(alike)) continue;
      tried.add(alike);
      const next = [...free];
      this.putPass(k, next, ends);
      const done = this.passNext(
        waited,
        before,
        ends,
        left.filter((other) => other !== k),
        next,
      );
      ends[k] = 0;
      if (!done) return false;
      // Those put before `k` were worked through with all that may follow; a share below the rest ends it.
      if (this.share <= this.least + SHARE_STEP) return true;
    }
    return true;
  }
}

import type { Job } from './job';
import { Lags, LAG_EPS_MIN } from './lags';

/** What the clock has to keep. */
export interface ClockBounds {
  /** Greatest share of any window that may be used. */
  readonly usedShare: number;
  /** Greatest span from first start to last end, min; null leaves it open. */
  readonly spanMin: number | null;
}

/** The first of each pair of works ends before the second starts. */
export type Orders = readonly (readonly [number, number])[];

/** Steps a search may still take; shared by searches that belong together. */
export interface Effort {
  left: number;
}

/** Starts that keep everything, and which of the alternatives they keep. */
export interface ClockAnswer {
  readonly startMin: readonly number[];
  readonly alternative: number;
}

/**
 * Finds starts that keep every order, limit, span and pair of hands, and at least one of the alternative sets of
 * orders, or proves that there are none.
 *
 * A matrix holds the greatest lag that is known between each two starts. Earliest starts either need no more
 * hands than there are, or some works overlap that cannot all: then one of them has to end before another starts,
 * and each such order is tried, with the lags it implies. Orders that were tried are forbidden to the branches
 * after. Where hands suffice but no alternative is kept, a pair that the alternatives disagree on is ordered one
 * way, the other, or left to those that do not care. Complete, because any schedule takes one of the branches.
 * Source: the resource-constrained scheduling problem with greatest and least lags, by forbidden sets; work that
 * has to lie in a stretch of time against the hands there (energetic reasoning).
 * @returns null where none exist; "gave-up" when the effort ran out before either was known.
 */
export function searchClock(
  job: Job,
  crew: number,
  bounds: ClockBounds,
  effort: Effort,
  alternatives: readonly Orders[] = [[]],
): ClockAnswer | null | 'gave-up' {
  const lags = Lags.of(job, bounds.usedShare, bounds.spanMin);
  if (lags === null) return null;
  const search = new Search(job, crew, effort, alternatives, bounds.spanMin !== null);
  return search.from(
    lags,
    alternatives.map((_, i) => i),
  );
}

class Search {
  private readonly minutes: readonly number[];
  private readonly hands: readonly number[];
  /** Closings of which no two can overlap in any alternative. */
  private readonly inTurn: ReadonlySet<number>;
  /** Works as a stretch of time sees them, and the moments at which stretches begin and end. */
  private readonly stretches: Readonly<
    Record<'minutes' | 'hands' | 'start' | 'lastStart' | 'starts' | 'ends', Float64Array>
  >;

  constructor(
    job: Job,
    private readonly crew: number,
    private readonly effort: Effort,
    private readonly alternatives: readonly Orders[],
    private readonly bounded: boolean,
  ) {
    this.minutes = job.works.map(({ minutes }) => minutes);
    this.hands = job.works.map(({ hands }) => hands);
    this.inTurn = inTurnIn(job, alternatives);
    const list = () => new Float64Array(job.works.length);
    this.stretches = {
      minutes: list(),
      hands: list(),
      start: list(),
      lastStart: list(),
      starts: list(),
      ends: list(),
    };
  }

  from(lags: Lags, candidates: readonly number[]): ClockAnswer | null | 'gave-up' {
    if (this.effort.left <= 0) return 'gave-up';
    this.effort.left -= 1;
    const left = this.stillPossible(lags, candidates);
    if (left.length === 0 || !this.settlePairs(lags)) return null;
    if (this.bounded && this.isOverfull(lags)) return null;
    const startMin = lags.earliest();
    const clash = this.clashAt(startMin);
    if (clash !== null) return this.orderOne(lags, left, clash);
    const kept = left.find((i) =>
      (this.alternatives[i] ?? []).every(
        ([x, y]) => (startMin[x] ?? 0) + (this.minutes[x] ?? 0) <= (startMin[y] ?? 0) + LAG_EPS_MIN,
      ),
    );
    if (kept !== undefined) return { startMin, alternative: kept };
    return this.splitAlternatives(lags, left, startMin);
  }

  /** Tries each order of two works that overlap. */
  private orderOne(lags: Lags, left: readonly number[], clash: readonly number[]) {
    const choices = clash
      .flatMap((i) => clash.map((j) => ({ i, j, slack: -(lags.between(j, i) + (this.minutes[i] ?? 0)) })))
      .filter(({ i, j, slack }) => i !== j && slack >= -LAG_EPS_MIN)
      .sort((x, y) => y.slack - x.slack);
    for (const { i, j } of choices) {
      const branch = lags.copy();
      if (branch.insert(i, j, this.minutes[i] ?? 0)) {
        const found = this.from(branch, left);
        if (found !== null) return found;
      }
      // From here on j starts before i ends.
      if (!lags.insert(j, i, -(this.minutes[i] ?? 0))) return null;
    }
    return null;
  }

  /** Orders a pair that an alternative wants ordered and these starts do not. */
  private splitAlternatives(lags: Lags, left: readonly number[], startMin: readonly number[]) {
    const end = (i: number) => (startMin[i] ?? 0) + (this.minutes[i] ?? 0);
    const pair = (this.alternatives[left[0] ?? 0] ?? []).find(
      ([x, y]) => end(x) > (startMin[y] ?? 0) + LAG_EPS_MIN,
    );
    if (pair === undefined) return null;
    const [x, y] = pair;
    const has = (i: number, from: number, to: number) =>
      (this.alternatives[i] ?? []).some(([one, other]) => one === from && other === to);
    const ahead = left.filter((i) => has(i, x, y));
    const behind = left.filter((i) => has(i, y, x));
    const neither = left.filter((i) => !has(i, x, y) && !has(i, y, x));
    for (const [candidates, from, to] of [
      [ahead, x, y],
      [behind, y, x],
      [neither, -1, -1],
    ] as const) {
      if (candidates.length === 0) continue;
      const branch = lags.copy();
      if (from >= 0 && !branch.insert(from, to, this.minutes[from] ?? 0)) continue;
      const found = this.from(branch, candidates);
      if (found !== null) return found;
    }
    return null;
  }

  /** Alternatives that the lags do not rule out; what the last one orders is imposed. */
  private stillPossible(lags: Lags, candidates: readonly number[]): readonly number[] {
    const left = candidates.filter((i) =>
      (this.alternatives[i] ?? []).every(
        ([x, y]) => lags.between(y, x) + (this.minutes[x] ?? 0) <= LAG_EPS_MIN,
      ),
    );
    const [only] = left;
    if (left.length !== 1 || only === undefined) return left;
    const fits = (this.alternatives[only] ?? []).every(([x, y]) => lags.insert(x, y, this.minutes[x] ?? 0));
    return fits ? left : [];
  }

  /** Two works that never fit side by side: where only one order is left, it is imposed. */
  private settlePairs(lags: Lags): boolean {
    const works = this.minutes.length;
    for (let changed = true; changed;) {
      changed = false;
      for (let i = 0; i < works; i += 1) {
        for (let j = i + 1; j < works; j += 1) {
          const [first, second] = [this.minutes[i] ?? 0, this.minutes[j] ?? 0];
          const needed = (this.hands[i] ?? 1) + (this.hands[j] ?? 1);
          if (needed <= this.crew && !(this.inTurn.has(i) && this.inTurn.has(j))) continue;
          if (first <= LAG_EPS_MIN || second <= LAG_EPS_MIN) continue;
          const there = lags.between(i, j);
          const back = lags.between(j, i);
          if (there >= first - LAG_EPS_MIN || back >= second - LAG_EPS_MIN) continue;
          const canLead = back + first <= LAG_EPS_MIN;
          const canFollow = there + second <= LAG_EPS_MIN;
          if (!canLead && !canFollow) return false;
          if (canLead && canFollow) continue;
          if (!(canLead ? lags.insert(i, j, first) : lags.insert(j, i, second))) return false;
          changed = true;
        }
      }
    }
    return true;
  }

  /** Whether some stretch of time has to hold more work than there are hands for, or more closings in turn. */
  private isOverfull(lags: Lags): boolean {
    const all = this.minutes.map((_, i) => i);
    return (
      this.needsTooMuch(lags, all, this.crew) ||
      (this.inTurn.size > 1 && this.needsTooMuch(lags, [...this.inTurn], 1))
    );
  }

  private needsTooMuch(lags: Lags, works: readonly number[], capacity: number): boolean {
    const count = works.length;
    // Side by side in flat lists that are made once: this is gone through for every stretch at every step of the search.
    const { minutes, hands, start, lastStart, starts, ends } = this.stretches;
    let total = 0;
    let [startCount, endCount] = [0, 0];
    for (let k = 0; k < count; k += 1) {
      const i = works[k] ?? 0;
      const lasts = this.minutes[i] ?? 0;
      minutes[k] = lasts;
      hands[k] = capacity === 1 ? 1 : (this.hands[i] ?? 1);
      start[k] = lags.earliestOf(i);
      lastStart[k] = lags.latestOf(i);
      total += lasts * at0(hands, k);
      startCount = addNew(starts, startCount, at0(start, k));
      endCount = addNew(ends, endCount, at0(lastStart, k) + lasts);
    }
    for (let f = 0; f < startCount; f += 1) {
      for (let t = 0; t < endCount; t += 1) {
        const [from, to] = [at0(starts, f), at0(ends, t)];
        // A stretch with room for all there is cannot be too full.
        if (to <= from || capacity * (to - from) >= total) continue;
        let need = 0;
        for (let k = 0; k < count; k += 1) {
          const lasts = at0(minutes, k);
          const inside = Math.min(lasts, to - from, at0(start, k) + lasts - from, to - at0(lastStart, k));
          if (inside > 0) need += inside * at0(hands, k);
        }
        if (need > capacity * (to - from) + LAG_EPS_MIN * count) return true;
      }
    }
    return false;
  }

  /** Works that overlap at the first moment that needs too many hands, no more of them than make it so. */
  private clashAt(startMin: readonly number[]): number[] | null {
    const at = (i: number) => startMin[i] ?? 0;
    const order = startMin.map((_, i) => i).sort((i, j) => at(i) - at(j));
    for (const now of order) {
      const busy = order.filter(
        (i) => at(i) <= at(now) + LAG_EPS_MIN && at(i) + (this.minutes[i] ?? 0) > at(now) + 2 * LAG_EPS_MIN,
      );
      let needed = busy.reduce((sum, i) => sum + (this.hands[i] ?? 1), 0);
      if (needed <= this.crew) continue;
      return busy.filter((i) => {
        const without = needed - (this.hands[i] ?? 1);
        if (without <= this.crew) return true;
        needed = without;
        return false;
      });
    }
    return null;
  }
}

const at0 = (list: Float64Array, i: number): number => list[i] ?? 0;

/** Puts a moment into the first `count` of a list unless it is there; how many there are then. */
function addNew(list: Float64Array, count: number, moment: number): number {
  for (let i = 0; i < count; i += 1) if (list[i] === moment) return count;
  list[count] = moment;
  return count + 1;
}

/** Closings that every alternative puts in some order, pair by pair. */
function inTurnIn(job: Job, alternatives: readonly Orders[]): Set<number> {
  const closings = job.works.flatMap(({ kind }, i) => (kind === 'close' ? [i] : []));
  const ordered = alternatives.map(
    (orders) => new Set(orders.flatMap(([x, y]) => [`${x}-${y}`, `${y}-${x}`])),
  );
  const turn = new Set<number>();
  for (const one of closings) {
    if ([...turn].every((other) => ordered.every((pairs) => pairs.has(`${one}-${other}`)))) turn.add(one);
  }
  return turn;
}

/** Bins filled in all while it is looked for; beyond, nothing more is told. */
const MOST_FILLED = 100_000;

/** Things alike, by what each takes of every kind. */
interface Alike {
  readonly size: readonly number[];
  readonly count: number;
}

/**
 * Fewest bins into which things go, exactly.
 * @param sizes what each takes of every kind; none more than a bin holds.
 * @param bin what a bin holds of every kind.
 * @returns null where there are too many states to go through.
 */
export const fewestBins = (sizes: readonly (readonly number[])[], bin: readonly number[]): number | null =>
  new Bins(alikeOf(sizes, bin), bin).fewest();

/**
 * Things that take the same are alike, so that only how many of each are left tells, and every such state is worked out once: the first
 * that is left goes into the next bin, with as many others as it bears.
 */
class Bins {
  private readonly known = new Map<string, number>();
  private filled = 0;

  constructor(
    private readonly all: readonly Alike[],
    private readonly bin: readonly number[],
  ) {}

  fewest(): number | null {
    const least = this.leastOf(this.all.map(({ count }) => count));
    return this.gaveUp() ? null : least;
  }

  private gaveUp(): boolean {
    return this.filled > MOST_FILLED;
  }

  private leastOf(left: readonly number[]): number {
    const first = left.findIndex((count) => count > 0);
    if (first < 0) return 0;
    const key = left.join(',');
    const before = this.known.get(key);
    if (before !== undefined) return before;
    const atLeast = this.byVolume(left);
    let least = Infinity;
    for (const rest of this.withBinFilled(left, first, this.bin)) {
      least = Math.min(least, 1 + this.leastOf(rest));
      if (least <= atLeast) break;
    }
    this.known.set(key, least);
    return least;
  }

  /** Bins that it takes though everything could be cut up. */
  private byVolume(left: readonly number[]): number {
    return Math.max(
      1,
      ...this.bin.map((room, k) => {
        const taken = this.all.reduce((sum, { size }, i) => sum + (size[k] ?? 0) * (left[i] ?? 0), 0);
        return taken === 0 ? 0 : Math.ceil(taken / room - 1e-9);
      }),
    );
  }

  /** What is left after one more bin, for every way of filling it; one of `first` goes in whatever else does. */
  private *withBinFilled(
    left: readonly number[],
    first: number,
    room: readonly number[],
    from = first,
    leftOut: readonly number[] = [],
  ): Generator<readonly number[], void> {
    if (this.gaveUp()) return;
    const own = this.all[from];
    if (own === undefined) {
      this.filled += 1;
      // With room for one that was left out, another way takes that along.
      if (!leftOut.some((i) => goesIn(this.all[i], room))) yield left;
      return;
    }
    const there = left[from] ?? 0;
    for (let count = mostOf(own, there, room); count >= (from === first ? 1 : 0); count -= 1) {
      yield* this.withBinFilled(
        count === 0 ? left : left.with(from, there - count),
        first,
        count === 0 ? room : room.map((free, k) => free - count * (own.size[k] ?? 0)),
        from + 1,
        count < there ? [...leftOut, from] : leftOut,
      );
    }
  }
}

/** Things by what they take, those that take the largest share of a bin first. */
function alikeOf(sizes: readonly (readonly number[])[], bin: readonly number[]): Alike[] {
  const byName = new Map<string, Alike>();
  for (const size of sizes) {
    const name = size.join(',');
    byName.set(name, { size, count: (byName.get(name)?.count ?? 0) + 1 });
  }
  const shareOf = ({ size }: Alike) =>
    Math.max(0, ...size.map((taken, k) => (taken === 0 ? 0 : taken / (bin[k] ?? 0))));
  return [...byName.values()].sort((a, b) => shareOf(b) - shareOf(a));
}

const goesIn = (thing: Alike | undefined, room: readonly number[]): boolean =>
  thing !== undefined && thing.size.every((taken, k) => taken <= (room[k] ?? 0));

/** How many of so many go into what room there is. */
function mostOf({ size }: Alike, count: number, room: readonly number[]): number {
  return size.reduce(
    (most, taken, k) => (taken === 0 ? most : Math.min(most, Math.floor((room[k] ?? 0) / taken))),
    count,
  );
}

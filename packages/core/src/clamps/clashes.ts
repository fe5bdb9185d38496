/** A clamp across a panel, as a thing that takes up room along it. */
export interface Standing {
  readonly number: number;
  readonly xMm: number;
  /** Clamped edge at which the handle stands. */
  readonly handle: 'first' | 'last';
  readonly padMm: number;
  readonly handleMm: number;
}

/** Two things in each other's way. */
export interface Clash {
  /** Two jaws in one place, or two handles that cannot both be turned. */
  readonly kind: 'jaws' | 'handles';
  readonly clamp: number;
  readonly other: number;
  readonly apartMm: number;
  readonly neededMm: number;
}

/** Width of a bar seen from above [judgement]. */
const BAR_MM = 12;

/**
 * Finds what is in each other's way along a panel: jaws as wide as their pads, and handles as wide as their sweep where
 * they stand at the same edge. Only neighbours can be.
 */
export function clashesOf(clamps: readonly Standing[]): Clash[] {
  const sorted = [...clamps].sort((a, b) => a.xMm - b.xMm);
  return sorted.slice(1).flatMap((clamp, i): Clash[] => {
    const before = sorted[i];
    if (before === undefined) return [];
    const apartMm = clamp.xMm - before.xMm;
    const pair = { clamp: before.number, other: clamp.number, apartMm };
    const jaws = (before.padMm + clamp.padMm) / 2;
    if (apartMm < jaws - 1e-9) return [{ kind: 'jaws', ...pair, neededMm: jaws }];
    const handles = (before.handleMm + clamp.handleMm) / 2;
    return before.handle === clamp.handle && apartMm < handles - 1e-9
      ? [{ kind: 'handles', ...pair, neededMm: handles }]
      : [];
  });
}

/**
 * Places of cauls along a panel: evenly, each moved to the nearest spot where no bar lies.
 * @returns fewer than asked when there is no room between the bars.
 */
export function caulPlaces(
  lengthMm: number,
  pairs: number,
  widthMm: number,
  clampsMm: readonly number[],
): number[] {
  const neededMm = (BAR_MM + widthMm) / 2;
  const places: number[] = [];
  for (let i = 0; i < pairs; i += 1) {
    const wish = (lengthMm * (i + 0.5)) / pairs;
    const free = nearestFree(wish, { lengthMm, widthMm, neededMm, clampsMm, taken: places });
    if (free !== null) places.push(free);
  }
  return places.sort((a, b) => a - b);
}

function nearestFree(
  wish: number,
  {
    lengthMm,
    widthMm,
    neededMm,
    clampsMm,
    taken,
  }: {
    readonly lengthMm: number;
    readonly widthMm: number;
    readonly neededMm: number;
    readonly clampsMm: readonly number[];
    readonly taken: readonly number[];
  },
): number | null {
  const fits = (x: number) =>
    x >= widthMm / 2 &&
    x <= lengthMm - widthMm / 2 &&
    clampsMm.every((at) => Math.abs(at - x) >= neededMm - 1e-9) &&
    taken.every((at) => Math.abs(at - x) >= widthMm - 1e-9);
  // Just beside a bar or another caul is as near as one can get where the wish itself is taken.
  const spots = [
    wish,
    ...clampsMm.flatMap((at) => [at - neededMm, at + neededMm]),
    ...taken.flatMap((at) => [at - widthMm, at + widthMm]),
  ];
  const free = spots.filter(fits);
  return free.length === 0 ? null : free.reduce((a, b) => (Math.abs(b - wish) < Math.abs(a - wish) ? b : a));
}

/** Values nearer to each other than this share of the larger are one: the rest is rounding. */
const SAME_SHARE = 1e-4;

/**
 * The item of least value; of those that differ by rounding only, the first, so that what is said of a symmetric build does
 * not turn on the last digit.
 * @throws RangeError for no items.
 */
export function leastBy<T>(items: readonly T[], valueOf: (item: T) => number): T {
  const [first, ...others] = items;
  if (first === undefined) throw new RangeError('the least of nothing');
  return others.reduce((least, item) => {
    const [so, now] = [valueOf(least), valueOf(item)];
    return so - now > SAME_SHARE * Math.max(Math.abs(so), Math.abs(now)) ? item : least;
  }, first);
}

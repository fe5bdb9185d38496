/** An estimate as a range. Planning uses the unfavourable end. */
export interface Range {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

/** Multiplies all three figures. */
export function scaleRange(range: Range, factor: number): Range {
  return { low: range.low * factor, likely: range.likely * factor, high: range.high * factor };
}

/** Joins two ranges end by end. */
export function combineRanges(a: Range, b: Range, join: (a: number, b: number) => number): Range {
  return { low: join(a.low, b.low), likely: join(a.likely, b.likely), high: join(a.high, b.high) };
}

/** `a` less `b`, end by end. */
export const subtractRanges = (a: Range, b: Range): Range => combineRanges(a, b, (x, y) => x - y);

/** Limits a value to an interval. */
export function clamp(value: number, low: number, high: number): number {
  return Math.min(high, Math.max(low, value));
}

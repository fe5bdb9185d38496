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

/** Limits a value to an interval. */
export function clamp(value: number, low: number, high: number): number {
  return Math.min(high, Math.max(low, value));
}

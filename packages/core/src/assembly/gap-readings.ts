import { edgeLine, type EdgeLineAnswer } from '../geometry';

/** What feelers found along a joint. */
export interface GapReading {
  /** Largest opening; − where the joint touches in the middle and is open at its ends. */
  readonly gapMm: number;
  /** Shape of the line; null with fewer than three readings. */
  readonly line: EdgeLineAnswer | null;
}

/** Sums readings at equal steps along a joint up; null where nothing was read. */
export function readGaps(gapsMm: readonly number[]): GapReading | null {
  if (gapsMm.length === 0) return null;
  const largest = gapsMm.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a));
  if (gapsMm.length < 3) return { gapMm: largest, line: null };
  const line = edgeLine(gapsMm);
  return { gapMm: line.sagMm < 0 ? -Math.abs(largest) : Math.abs(largest), line };
}

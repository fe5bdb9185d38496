import type { PressedPanel } from '../mechanics';

/** A lot of equal clamps that may be placed. */
export interface PlacingLot {
  readonly id: string;
  /** How many may be placed, pinned ones not counted. */
  readonly count: number;
  /** What one of them presses with, N: what it gives, or what the wood under its jaw bears if that is less. */
  readonly forceN: number;
  /** Room that its jaw takes along the edge. */
  readonly padMm: number;
  /** What it presses through its packing, where that is more; cut off at the ends. */
  readonly pressMm?: number;
}

/** A clamp in its place along the edge. */
export interface SetClamp {
  readonly lotId: string;
  readonly xMm: number;
}

/** What clamps are wanted for. */
export interface PlacingJob {
  readonly panel: Omit<PressedPanel, 'clamps' | 'samples'>;
  /** Least pressure wanted on each line, MPa. */
  readonly targetMPa: readonly number[];
  readonly lots: readonly PlacingLot[];
  /** Where a clamp may stand, along the edge. */
  readonly placesMm: readonly number[];
  /** Clamps that stay where they are. */
  readonly pinned: readonly SetClamp[];
  readonly mostClamps: number;
  /** Room between the jaws of neighbours, beside the jaws themselves. */
  readonly betweenMm: number;
  /** 2 where jaws come on from both sides of the work and may stand opposite each other; 1 unless said otherwise. */
  readonly rows?: 1 | 2;
}

/** A set of clamps, and how near it comes. */
export interface Placing {
  readonly clamps: readonly SetClamp[];
  /** Lowest pressure anywhere over what is wanted there; 1 and more meets it. */
  readonly lowestShare: number;
  /** The line and the place of the lowest. */
  readonly lowestLine: number;
  readonly lowestAtMm: number;
  /** Proven where every set was tried. */
  readonly status: 'proven' | 'best-found';
  /** Sets tried. */
  readonly tried: number;
}

/** Shares this near to each other are alike; then fewer clamps are better. */
const ALIKE = 1e-9;

/** Whether one answer is better: it meets what is wanted, with fewer clamps, and then more evenly. */
export function better(
  a: Pick<Placing, 'clamps' | 'lowestShare'>,
  b: Pick<Placing, 'clamps' | 'lowestShare'>,
): boolean {
  const [aMeets, bMeets] = [a.lowestShare >= 1 - ALIKE, b.lowestShare >= 1 - ALIKE];
  if (aMeets !== bMeets) return aMeets;
  if (aMeets && a.clamps.length !== b.clamps.length) return a.clamps.length < b.clamps.length;
  if (Math.abs(a.lowestShare - b.lowestShare) > ALIKE) return a.lowestShare > b.lowestShare;
  return a.clamps.length < b.clamps.length;
}

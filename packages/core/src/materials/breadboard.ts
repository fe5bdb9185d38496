import { movementMm } from './movement';
import type { Cut, WoodProperties } from './species';

/** A peg of a breadboard end at some distance from the one that is glued. */
export interface BreadboardPeg {
  readonly wood: WoodProperties;
  readonly cut: Cut;
  /** From the fixed peg, across the panel's grain. */
  readonly distanceMm: number;
  readonly mcNowPct: number;
  readonly mcLowPct: number;
  readonly mcHighPct: number;
  readonly clearanceMm: number;
}

/** How far the elongated hole must reach past the peg as it stands today. */
export interface BreadboardSlot {
  /** Towards the outer edge, for when the panel shrinks and the hole moves in. */
  readonly outwardMm: number;
  /** Towards the fixed peg, for when the panel swells. */
  readonly inwardMm: number;
  /** Beyond the peg's own diameter. */
  readonly slotMm: number;
}

/**
 * Slot of a breadboard peg: |distance·C·ΔMC| to either extreme of the year, counted from today, plus clearance.
 * The hole is in the tongue, so it travels with the panel past a peg that stays. Range: 6–14 % MC.
 */
export function breadboardSlot(peg: BreadboardPeg): BreadboardSlot {
  const travel = (mcToPct: number) =>
    movementMm({ wood: peg.wood, widthMm: peg.distanceMm, cut: peg.cut, mcFromPct: peg.mcNowPct, mcToPct });
  const outwardMm = Math.max(0, -travel(peg.mcLowPct)) + peg.clearanceMm;
  const inwardMm = Math.max(0, travel(peg.mcHighPct)) + peg.clearanceMm;
  return { outwardMm, inwardMm, slotMm: outwardMm + inwardMm };
}

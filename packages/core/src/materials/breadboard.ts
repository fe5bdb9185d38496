import { movementMm } from './movement';
import type { Cut, WoodProperties } from './species';

/** Wood held across its grain may want to move so much to either side of its middle before it splits or lets go, mm [judgement]. */
export const HELD_MOVES_MM = Object.freeze({ well: 0.5, most: 1 });

/** Moisture over the year of wood that is held across its grain, %. */
export interface HeldAcross {
  readonly wood: WoodProperties;
  readonly mcLowPct: number;
  readonly mcHighPct: number;
}

/**
 * How far flat-sawn wood that is glued over a width across its grain wants to move to either side of its middle over the year, mm:
 * half the width × C × (high − low). Range: 6–14 % MC, beyond that an extrapolation.
 */
export const heldMovesMm = ({ wood, mcLowPct, mcHighPct }: HeldAcross, widthMm: number): number =>
  (widthMm / 2) *
  (movementMm({ wood, cut: 'flat', widthMm: 1000, mcFromPct: mcLowPct, mcToPct: mcHighPct }) / 1000);

/** Greatest width that may be glued across the grain, mm: about 70 to 130 in most woods. */
export const heldWidthMm = (held: HeldAcross): number => {
  const perMm = heldMovesMm(held, 1);
  return perMm <= 0 ? Number.POSITIVE_INFINITY : HELD_MOVES_MM.well / perMm;
};

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

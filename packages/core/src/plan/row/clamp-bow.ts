import type { RowPlan } from './row-plan';

/** Steps between neighbouring faces by how they are kept flush [judgement]. */
export const FLUSH_MM = Object.freeze({ cauls: 0.1, flushed: 0.1, bars: 0.2, byHand: 0.4 });
/** Share of clamp bow left when bars alternate above and below, by spacing: docs/models.md, finite elements. */
const ALTERNATING_RESIDUE: readonly { readonly spacingMm: number; readonly share: number }[] = [
  { spacingMm: 125, share: 0.01 },
  { spacingMm: 250, share: 0.05 },
  { spacingMm: 500, share: 0.21 },
];

/**
 * Bow at the middle, in mm, from pulls that miss mid-thickness. Free panels bow as a strut; where bars lie on
 * both faces, no further than their clearance; cauls press out what they can reach.
 */
export function clampBowMm({ strut, heldBy, job, clampSet, panel }: RowPlan): number {
  const sides = new Set(clampSet.clamps.map(({ placed }) => placed.side));
  const spacing = clampSet.clamps.length === 0 ? 0 : panel.lengthMm / clampSet.clamps.length;
  const oneSided = strut.bowMm ?? Number.POSITIVE_INFINITY;
  // Alternating pulls cancel in the mean; what stays is the local share of a one-sided bow.
  const free =
    sides.size === 2
      ? Math.max(Math.abs(oneSided), localBowMm(job, strut.loadShare) * residueAt(spacing))
      : oneSided;
  if (heldBy.includes('cauls')) return Math.min(Math.abs(free), FLUSH_MM.cauls);
  if (heldBy.includes('bars')) return Math.min(Math.abs(free), job.holding.barClearanceMm);
  return Math.abs(free);
}

/** First-order bow of one-sided pulls at the same load, e·(π²/8)·N/P_cr. */
function localBowMm({ pullOffsetMm }: RowPlan['job'], loadShare: number): number {
  return (pullOffsetMm * Math.PI ** 2 * loadShare) / 8;
}

function residueAt(spacingMm: number): number {
  const first = ALTERNATING_RESIDUE[0];
  if (first === undefined || spacingMm <= first.spacingMm) return first?.share ?? 0;
  for (let i = 1; i < ALTERNATING_RESIDUE.length; i += 1) {
    const low = ALTERNATING_RESIDUE[i - 1];
    const high = ALTERNATING_RESIDUE[i];
    if (low === undefined || high === undefined || spacingMm > high.spacingMm) continue;
    const t = (spacingMm - low.spacingMm) / (high.spacingMm - low.spacingMm);
    return low.share + t * (high.share - low.share);
  }
  return 1;
}

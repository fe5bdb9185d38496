/** End overhang as a share of the spacing: free ends are weaker than mid-gaps, so they get less than half. */
const END_OVERHANG_SHARE = 0.4;

/**
 * Positions in mm of `count` clamps spread evenly along a line, with an end overhang of 0.4 of the spacing.
 * Whole millimetres, because that is what a tape gives.
 */
export function evenPositions(count: number, lengthMm: number): number[] {
  if (count <= 0) return [];
  if (count === 1) return [Math.round(lengthMm / 2)];
  const spacing = lengthMm / (count - 1 + 2 * END_OVERHANG_SHARE);
  return Array.from({ length: count }, (_, i) => Math.round(spacing * (END_OVERHANG_SHARE + i)));
}

/**
 * Order in which to tighten clamps at the given positions: from the centre of the work outward.
 * Returns indexes into `positionsMm`.
 */
export function centreOutOrder(positionsMm: readonly number[], lengthMm: number): number[] {
  const centre = lengthMm / 2;
  return positionsMm
    .map((x, index) => ({ index, distance: Math.abs(x - centre), x }))
    .sort((a, b) => a.distance - b.distance || a.x - b.x)
    .map(({ index }) => index);
}

/**
 * Order in which to tighten: from the centre outward where the lines lie close; where the dry fit left gaps, from where
 * the widest of them stands open: its middle when it is hollow, both ends in turn when it is proud.
 * Returns indexes into `positionsMm`.
 */
export function tighteningOrder(
  positionsMm: readonly number[],
  lengthMm: number,
  gapsMm: readonly number[],
): number[] {
  const widest = gapsMm.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a), 0);
  const outward = centreOutOrder(positionsMm, lengthMm);
  return widest < 0 ? outward.toReversed() : outward;
}

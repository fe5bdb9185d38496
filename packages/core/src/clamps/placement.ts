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

/** Length of work that a jaw presses through its packing: blocks that would stand out past an end are cut off there. */
export const padWithinMm = (padMm: number, xMm: number, toMm: number, fromMm = 0): number =>
  Math.min(padMm, 2 * (xMm - fromMm), 2 * (toMm - xMm));

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

/** With which clamp tightening begins: the centre, one end, or where the widest gap stands open. */
export type FirstClamp = 'centre' | 'end' | 'worst-gap';

/**
 * Order in which to tighten. Unless a school is named: from the centre outward where lines lie close, from the widest gap where
 * the dry fit left any. A hollow gap stands open in its middle, a proud one at both ends, which are then taken in turn.
 * Returns indexes into `positionsMm`.
 */
export function tighteningOrder(
  positionsMm: readonly number[],
  lengthMm: number,
  gapsMm: readonly number[],
  first: FirstClamp = 'worst-gap',
): number[] {
  if (first === 'end') {
    return positionsMm
      .map((x, index) => ({ x, index }))
      .sort((a, b) => a.x - b.x)
      .map(({ index }) => index);
  }
  const widest = gapsMm.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a), 0);
  const outward = centreOutOrder(positionsMm, lengthMm);
  return first === 'worst-gap' && widest < 0 ? outward.toReversed() : outward;
}

/** A sheet that goes into a bag, overhanging veneer included, mm. */
export interface Bagged {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly thicknessMm: number;
}

/** Free bag past the work on the sides that stay closed, and where it is sealed [judgement], mm. */
const PAST_MM = 50;
const SEALED_MM = 150;

/**
 * Inside of a flat bag that a sheet goes into: both films lie round its edge, so that half its thickness is taken up on either side;
 * one end is rolled up and sealed. Source: geometry; room [judgement].
 */
export const vacuumBag = ({ lengthMm, widthMm, thicknessMm }: Bagged) => ({
  insideLengthMm: lengthMm + thicknessMm + PAST_MM + SEALED_MM,
  insideWidthMm: widthMm + thicknessMm + 2 * PAST_MM,
});

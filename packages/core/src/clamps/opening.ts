/** Spare opening to get a clamp over the work without a fight. */
const OPENING_SPARE_MM = 15;
/** Blocks under jaws, unless the person says otherwise, mm. */
export const USUAL_BLOCK_MM = 20;
/** A clamp with more than this many times the needed opening is clumsy [judgement]. */
const CLUMSY_RATIO = 3;

/** Verdict on a clamp's length for a given piece of work. */
export type OpeningFit = 'too-short' | 'fits' | 'clumsy';

/** Opening in mm that the work needs: the work itself, padding at both ends and 15 mm to spare. */
export function openingNeededMm(workMm: number, paddingEachEndMm: number): number {
  return workMm + 2 * paddingEachEndMm + OPENING_SPARE_MM;
}

/** Compares a clamp's greatest opening with what the work needs. */
export function openingFit(maxOpeningMm: number, neededMm: number): OpeningFit {
  if (maxOpeningMm < neededMm) return 'too-short';
  return maxOpeningMm > CLUMSY_RATIO * neededMm ? 'clumsy' : 'fits';
}

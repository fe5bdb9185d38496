import { InputError } from '../basics/checks';
import type { Range } from '../basics/range';
import type { Adhesive } from './adhesive';
import type { AdhesiveWindow } from './window';

/** Share of full strength that a joint has when clamps may come off, and when it counts as cured [judgement]. */
const AT = Object.freeze({ clampsOff: 0.55, full: 0.975 });
/** Lines thicker than this slow curing by water or moisture down, mm; doubling the line adds half the time [judgement]. */
const THIN_LINE_MM = 0.1;
const THICK_EXPONENT = 0.58;

/** Growth of a joint's strength: fraction = 1 − exp(−(t/τ)^k). */
export interface StrengthCurve {
  /** For the slow, likely and quick end of the family's range, min. */
  readonly tauMin: Range;
  readonly k: number;
}

/**
 * Fits τ and k so that the joint has 55 % when its clamps may come off and 97.5 % at full cure, at the climate of
 * `window`; thicker lines of glues that lose or take up water are slower. Range: from a minute to the full cure.
 * Source: [judgement], docs/models.md.
 * @param lineMm thickness of the glue line.
 * @throws InputError `inconsistent` where the family is refused in this climate.
 */
export function strengthCurve(
  { chemistry }: Pick<Adhesive, 'chemistry'>,
  { clampMin, fullCureMin }: Pick<AdhesiveWindow, 'clampMin' | 'fullCureMin'>,
  lineMm = THIN_LINE_MM,
): StrengthCurve {
  if (clampMin === null || fullCureMin === null) {
    throw new InputError(
      'inconsistent',
      'tempC',
      'It does not set in this climate, so there is no strength to plot.',
      'a climate above the coldest that the family takes',
    );
  }
  const reactsAlone = chemistry === 'reactive-resin';
  const slower = reactsAlone ? 1 : Math.max(1, (lineMm / THIN_LINE_MM) ** THICK_EXPONENT);
  const logOf = (share: number) => Math.log(1 / (1 - share));
  const k =
    Math.log(logOf(AT.full) / logOf(AT.clampsOff)) / Math.log(Math.max(1.05, fullCureMin / clampMin.likely));
  const tau = (minutes: number) => (slower * minutes) / logOf(AT.clampsOff) ** (1 / k);
  return { tauMin: { low: tau(clampMin.low), likely: tau(clampMin.likely), high: tau(clampMin.high) }, k };
}

/** Share of full strength after a time, low and high end by the slow and the quick end of the range. */
export function strengthAt({ tauMin, k }: StrengthCurve, minutes: number): Range {
  const share = (tau: number) => 1 - Math.exp(-((minutes / tau) ** k));
  return { low: share(tauMin.high), likely: share(tauMin.likely), high: share(tauMin.low) };
}

import { within } from '../basics/checks';
import { LIMITS } from '../basics/limits';
import { equilibriumMoisturePct } from './moisture';

/** A board so thick comes to within a third of balance in so long [judgement]; open-pored woods take half of it. */
const BALANCE = Object.freeze({ thicknessMm: 20, days: 10, openPored: 0.5, leastDays: 1 });

/**
 * Time constant of wood coming to balance with the air, days: after so long two thirds of a change have gone through it. Grows with
 * the square of the thickness, since water moves through wood by diffusion; a day at least, as for a leaf of veneer in its stack.
 * Range: sawn wood left with air on both faces. Judgement: 10 days at 20 mm, half in open-pored woods (docs/models.md).
 * @throws InputError `out-of-range` for a thickness outside 0.2 to 400 mm.
 */
export function balanceDays(thicknessMm: number, openPored: boolean): number {
  within(thicknessMm, 'thicknessMm', { min: 0.2, max: 400, unit: 'mm' });
  const days = BALANCE.days * (thicknessMm / BALANCE.thicknessMm) ** 2 * (openPored ? BALANCE.openPored : 1);
  return Math.max(BALANCE.leastDays, days);
}

/** Moisture content in balance with air that stays as it is, up to the most that wood is reckoned with, %. */
export const inBalancePct = ({ tempC, rhPct }: { readonly tempC: number; readonly rhPct: number }): number =>
  Math.min(LIMITS.moisturePct.max, equilibriumMoisturePct(tempC, rhPct));

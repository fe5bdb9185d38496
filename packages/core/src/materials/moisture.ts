import { within } from '../basics/checks';
import { LIMITS } from '../basics/limits';

/**
 * Equilibrium moisture content of wood in %, from air temperature (°C) and relative humidity (%).
 *
 * Range: −30 to 60 °C, 0 to 100 %; the fit is good to about 0.5 % MC below 95 % humidity.
 * Source: USDA FPL Wood Handbook, equation 4-5 (two-hydrate sorption model, metric coefficients).
 */
export function equilibriumMoisturePct(tempC: number, rhPct: number): number {
  within(tempC, 'tempC', LIMITS.tempC);
  within(rhPct, 'rhPct', LIMITS.relativeHumidityPct);
  const h = rhPct / 100;
  const w = 349 + 1.29 * tempC + 0.0135 * tempC ** 2;
  const k = 0.805 + 0.000736 * tempC - 0.00000273 * tempC ** 2;
  const k1 = 6.27 - 0.00938 * tempC - 0.000303 * tempC ** 2;
  const k2 = 1.91 + 0.0407 * tempC - 0.000293 * tempC ** 2;
  const kh = k * h;
  const firstHydrate = kh / (1 - kh);
  const secondHydrate = (k1 * kh + 2 * k1 * k2 * kh ** 2) / (1 + k1 * kh + k1 * k2 * kh ** 2);
  return (1800 / w) * (firstHydrate + secondHydrate);
}

/**
 * Vapour pressure deficit in kPa: how hard the air pulls water out of a film of glue.
 * Source: Magnus formula over water, 0.61094·exp(17.625·T/(T + 243.04)), good to 0.4 % from −30 to 50 °C.
 */
export function vapourPressureDeficitKPa(tempC: number, rhPct: number): number {
  within(tempC, 'tempC', LIMITS.tempC);
  within(rhPct, 'rhPct', LIMITS.relativeHumidityPct);
  const saturation = 0.61094 * Math.exp((17.625 * tempC) / (tempC + 243.04));
  return saturation * (1 - rhPct / 100);
}

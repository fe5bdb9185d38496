import { clamp, type Range, scaleRange } from '../basics/range';
import { vapourPressureDeficitKPa } from '../materials';
import type { Adhesive } from './adhesive';
import { VPD_REF_KPA } from './window';

/** Three thinned coats on each face [judgement]. */
export const DRIED_COATS = 3;
/** A dried film takes the iron for two days, then it no longer flows well [judgement], min. */
export const IRON_WITHIN_MIN = 2 * 1440;
/** Three thinned coats together hold so many times the glue of one wet film [judgement]. */
const GLUE_OF_COATS = 1.5;
/** One coat until it is dry to the touch at 20 °C and 50 % [judgement], min. */
const DRY_TO_TOUCH_MIN: Range = { low: 10, likely: 20, high: 40 };
const DRYING_FACTOR = Object.freeze({ min: 0.5, max: 3 });
/** Under the iron it lets go within this and holds as soon as it is cold, min [judgement]. */
const COLD_AFTER_MIN: Range = { low: 0.5, likely: 1, high: 2 };
const TRIMMED_AFTER_MIN = 60;
/** A film that is dry fills nothing, mm [judgement]. */
const FILLS_MM = 0.05;

const always = (minutes: number): Range => ({ low: minutes, likely: minutes, high: minutes });

/**
 * The same glue as a film that is left to dry and melted under an iron: no wet window, two days in place of minutes, nothing in
 * clamps. Families whose film does not melt again come back as they are. Source: shop practice; all figures [judgement].
 */
export function asDriedFilm(adhesive: Adhesive): Adhesive {
  if (!adhesive.aptitudes.ironOn) return adhesive;
  return {
    ...adhesive,
    chemistry: 'dried-film',
    openMin: always(IRON_WITHIN_MIN),
    closedMin: always(IRON_WITHIN_MIN),
    totalMin: always(IRON_WITHIN_MIN),
    clampMin: COLD_AFTER_MIN,
    machineMin: TRIMMED_AFTER_MIN,
    gapMm: FILLS_MM,
    spreadGPerM2: adhesive.spreadGPerM2 * GLUE_OF_COATS,
    pressure: { kind: 'fixed', lowMPa: 0.005, highMPa: 0.1 },
    steps: [],
  };
}

/**
 * Until one thin coat is dry to the touch, min. As the open time of wet glue it goes with the square root of how much water the air
 * still takes, (VPD_ref/VPD)^0.5, clipped to 0.5–3. Source: reference [judgement], shape as for the open time.
 */
export function coatDriesMin({ tempC, rhPct }: { readonly tempC: number; readonly rhPct: number }): Range {
  const vpdKPa = vapourPressureDeficitKPa(tempC, rhPct);
  const factor = vpdKPa <= 0 ? Number.POSITIVE_INFINITY : Math.sqrt(VPD_REF_KPA / vpdKPa);
  return scaleRange(DRY_TO_TOUCH_MIN, clamp(factor, DRYING_FACTOR.min, DRYING_FACTOR.max));
}

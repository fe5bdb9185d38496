import type { Climate } from '../formats';

/** The day of the stand-in: coldest and driest-feeling hours of an unheated shop in autumn. */
const DAY = Object.freeze({
  coldestC: 9,
  warmestC: 21,
  /** Hour of the greatest warmth; the coldest lies twelve hours off. */
  warmestHour: 15,
  rhAtCold: 68,
  rhAtWarm: 41,
  noiseC: 0.25,
  noiseRh: 1.2,
});
/** Of a hundred answers, so many fail to come and so many are nonsense. */
const FAULTS = Object.freeze({ silentPct: 4, madPct: 1 });

/** What a stand-in for a thermo-hygrometer does at a minute of its day. */
export type SimulatedAnswer =
  | { readonly kind: 'air'; readonly air: Climate }
  | { readonly kind: 'silent' }
  | { readonly kind: 'mad'; readonly air: Climate };

/**
 * A made-up day of shop air: a cold morning and a warm afternoon, with noise, drop-outs and now and then a nonsense
 * reading. The same minute and seed give the same answer.
 * @param minuteOfDay 0 to 1440.
 */
export function simulatedAir(minuteOfDay: number, seed: number): SimulatedAnswer {
  const phase = (2 * Math.PI * (minuteOfDay / 60 - DAY.warmestHour)) / 24;
  const warmth = (1 + Math.cos(phase)) / 2;
  const random = scatter(Math.floor(minuteOfDay) + 7919 * seed);
  const fault = 100 * random(0);
  if (fault < FAULTS.silentPct) return { kind: 'silent' };
  if (fault < FAULTS.silentPct + FAULTS.madPct) return { kind: 'mad', air: { tempC: -40, rhPct: 130 } };
  return {
    kind: 'air',
    air: {
      tempC: DAY.coldestC + (DAY.warmestC - DAY.coldestC) * warmth + DAY.noiseC * (2 * random(1) - 1),
      rhPct: DAY.rhAtCold + (DAY.rhAtWarm - DAY.rhAtCold) * warmth + DAY.noiseRh * (2 * random(2) - 1),
    },
  };
}

/** Numbers from 0 to 1 that look random and are the same every time (integer hash after a 32-bit mix). */
function scatter(seed: number): (index: number) => number {
  return (index) => {
    let x = Math.imul(seed ^ (index * 0x9e3779b9), 0x85ebca6b);
    x = Math.imul(x ^ (x >>> 13), 0xc2b2ae35);
    return ((x ^ (x >>> 16)) >>> 0) / 2 ** 32;
  };
}

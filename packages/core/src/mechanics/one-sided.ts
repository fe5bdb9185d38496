import type { WoodProperties } from '../materials';
import type { Range } from '../basics/range';

/** One layer of a sheet bent by another, in the direction looked at. */
export interface Layer {
  readonly thicknessMm: number;
  /** Modulus along that direction, MPa. */
  readonly modulusMPa: number;
}

/**
 * Curvature, 1/mm, of two layers glued flat of which the first then shrinks by a strain that it is kept from: Timoshenko's strip of two
 * layers. Positive: hollow on the side of the first. Range: thin against its length, strains within a few per cent.
 * Source: classical beam theory of a bimetal strip.
 */
export function twoLayerCurvature(shrinking: Layer, other: Layer, strain: number): number {
  const m = shrinking.thicknessMm / other.thicknessMm;
  const n = shrinking.modulusMPa / other.modulusMPa;
  const h = shrinking.thicknessMm + other.thicknessMm;
  return (6 * strain * (1 + m) ** 2) / (h * (3 * (1 + m) ** 2 + (1 + m * n) * (m ** 2 + 1 / (m * n))));
}

/** Share of a film's mass that is water and goes into the veneer before it sets [judgement]. */
const WATER_INTO_VENEER = Object.freeze({ low: 0.15, likely: 0.25, high: 0.35 });
/** Share of the strain that is left once the glue has crept [judgement]. */
const LEFT_AFTER_CREEP = Object.freeze({ low: 0.3, likely: 0.6, high: 1 });
/** Modulus of the core, whichever way: plies or boards of it cross [judgement], MPa. */
const CORE_MPA = 6000;
/** Movement along the grain over that across it [judgement]. */
const ALONG_SHARE = 1 / 40;
/** Modulus across the grain over that along it [judgement]. */
const ACROSS_MODULUS_SHARE = 0.06;

/** A sheet veneered on one face, mm and g/m². */
export interface OneSided {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly coreMm: number;
  readonly veneerMm: number;
  readonly veneer: Pick<WoodProperties, 'sg' | 'eLMPa' | 'cT'>;
  readonly filmGPerM2: number;
}

/**
 * Bow, mm, of a sheet veneered on one face once the water of the glue has dried out of the veneer: the veneer swells with it, is glued
 * down so, and shrinks again. The larger of the bow across the grain over the width and along the grain over the length.
 * Range: veneers to 3 mm on cores from 3 mm. Shares of water and creep [judgement]; hence the wide range.
 */
export function oneSidedBowMm(sheet: OneSided): Range {
  const { lengthMm, widthMm, coreMm, veneerMm, veneer, filmGPerM2 } = sheet;
  const bow = (water: number, left: number) => {
    const veneerGPerM2 = veneerMm * veneer.sg * 1000;
    const wetterPct = (100 * water * filmGPerM2) / veneerGPerM2;
    const strain = left * veneer.cT * wetterPct;
    const core = { thicknessMm: coreMm, modulusMPa: CORE_MPA };
    const across = twoLayerCurvature(
      { thicknessMm: veneerMm, modulusMPa: veneer.eLMPa * ACROSS_MODULUS_SHARE },
      core,
      strain,
    );
    const along = twoLayerCurvature(
      { thicknessMm: veneerMm, modulusMPa: veneer.eLMPa },
      core,
      strain * ALONG_SHARE,
    );
    return Math.max((across * widthMm ** 2) / 8, (along * lengthMm ** 2) / 8);
  };
  return {
    low: bow(WATER_INTO_VENEER.low, LEFT_AFTER_CREEP.low),
    likely: bow(WATER_INTO_VENEER.likely, LEFT_AFTER_CREEP.likely),
    high: bow(WATER_INTO_VENEER.high, LEFT_AFTER_CREEP.high),
  };
}

import type { Bounds } from './checks';

/**
 * Every accepted interval of the product in core units. Schemas, forms and functions all read these, so a
 * value that one edge lets in is a value that every model behind it can answer for.
 */
export const LIMITS = Object.freeze({
  boardWidthMm: { min: 10, max: 1000, unit: 'mm' },
  boardLengthMm: { min: 50, max: 6000, unit: 'mm' },
  boardThicknessMm: { min: 3, max: 150, unit: 'mm' },
  ringRadiusMm: { min: 5, max: 2000, unit: 'mm' },
  moisturePct: { min: 0, max: 30, unit: '% MC' },
  tempC: { min: -30, max: 60, unit: '°C' },
  relativeHumidityPct: { min: 0, max: 100, unit: '% RH' },
  areaMm2: { min: 0, max: 1e8, unit: 'mm²' },
  lineLengthMm: { min: 1, max: 20000, unit: 'mm' },
  lineHeightMm: { min: 1, max: 1000, unit: 'mm' },
  hands: { min: 1, max: 6, unit: '' },
  crew: { min: 1, max: 4, unit: '' },
  clampForceN: { min: 1, max: 50000, unit: 'N' },
  clampOpeningMm: { min: 20, max: 6000, unit: 'mm' },
  clampCount: { min: 0, max: 99, unit: '' },
  clampPositionMm: { min: -500, max: 6500, unit: 'mm' },
  lineOfPullOffsetMm: { min: -60, max: 60, unit: 'mm' },
  padSideMm: { min: 5, max: 300, unit: 'mm' },
  jawReachMm: { min: 5, max: 1000, unit: 'mm' },
  glueTakenG: { min: 0, max: 20000, unit: 'g' },
  perTurnN: { min: 10, max: 20000, unit: 'N' },
  padThicknessMm: { min: 0, max: 100, unit: 'mm' },
  gapMm: { min: -5, max: 5, unit: 'mm' },
  deviationMm: { min: -50, max: 50, unit: 'mm' },
  diagonalMm: { min: 10, max: 8000, unit: 'mm' },
  allowanceMm: { min: 0.05, max: 20, unit: 'mm' },
  trimMm: { min: 0, max: 300, unit: 'mm' },
  cauls: { min: 0, max: 20, unit: '' },
  caulLengthMm: { min: 50, max: 3000, unit: 'mm' },
  caulSectionMm: { min: 10, max: 200, unit: 'mm' },
  bagSideMm: { min: 200, max: 6000, unit: 'mm' },
  crownMm: { min: 0, max: 30, unit: 'mm' },
  friction: { min: 0.05, max: 1.5, unit: '' },
  altitudeM: { min: -400, max: 5000, unit: 'm' },
  minutes: { min: 0.1, max: 100000, unit: 'min' },
  woodDensityKgPerM3: { min: 80, max: 1400, unit: 'kg/m³' },
  changePerPct: { min: 0, max: 0.01, unit: '1/%' },
  spreadingMPerMin: { min: 0.1, max: 60, unit: 'm/min' },
  spreadingM2PerMin: { min: 0.005, max: 10, unit: 'm²/min' },
  waste: { min: 0, max: 0.9, unit: '' },
  shelfMl: { min: 0, max: 100000, unit: 'mL' },
} satisfies Record<string, Bounds>);

/** Name of a bounded quantity. */

import fc from 'fast-check';
import { resolveSpecies } from '../materials';
import { type Layer, oneSidedBowMm, twoLayerCurvature } from './one-sided';

/**
 * The same strip by a second method: both layers keep plane sections, their stresses make neither a force nor a moment. Solved for the
 * strain of the lower face and the curvature by two equations.
 */
function curvatureByBalance(shrinking: Layer, other: Layer, strain: number): number {
  const layers = [
    { ...other, fromMm: 0, freeStrain: 0 },
    { ...shrinking, fromMm: other.thicknessMm, freeStrain: -strain },
  ];
  let [a, b, d, p, q] = [0, 0, 0, 0, 0];
  for (const { thicknessMm, modulusMPa, fromMm, freeStrain } of layers) {
    const toMm = fromMm + thicknessMm;
    a += modulusMPa * thicknessMm;
    b += (modulusMPa * (toMm ** 2 - fromMm ** 2)) / 2;
    d += (modulusMPa * (toMm ** 3 - fromMm ** 3)) / 3;
    p += modulusMPa * freeStrain * thicknessMm;
    q += (modulusMPa * freeStrain * (toMm ** 2 - fromMm ** 2)) / 2;
  }
  return Math.abs((a * q - b * p) / (a * d - b * b));
}

const cherry = resolveSpecies('cherry').properties;
const SHEET = {
  lengthMm: 900,
  widthMm: 600,
  coreMm: 18,
  veneerMm: 0.6,
  veneer: cherry,
  filmGPerM2: 180,
};

describe('twoLayerCurvature', () => {
  it('agrees with the balance of forces and moments, whatever the layers', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 40, noNaN: true }),
        fc.double({ min: 0.3, max: 40, noNaN: true }),
        fc.double({ min: 300, max: 16_000, noNaN: true }),
        fc.double({ min: 300, max: 16_000, noNaN: true }),
        fc.double({ min: 1e-5, max: 0.05, noNaN: true }),
        (oneMm, otherMm, oneMPa, otherMPa, strain) => {
          const one = { thicknessMm: oneMm, modulusMPa: oneMPa };
          const other = { thicknessMm: otherMm, modulusMPa: otherMPa };
          const byFormula = twoLayerCurvature(one, other, strain);
          expect(byFormula / curvatureByBalance(one, other, strain)).toBeCloseTo(1, 6);
        },
      ),
      { seed: 31 },
    );
  });

  it('bends most where both layers are alike', () => {
    const alike = { thicknessMm: 5, modulusMPa: 9000 };
    expect(twoLayerCurvature(alike, alike, 0.01)).toBeCloseTo((1.5 * 0.01) / 10, 9);
  });
});

describe('oneSidedBowMm', () => {
  it('gives a range in order, and more of it for larger and thinner sheets', () => {
    const { low, likely, high } = oneSidedBowMm(SHEET);
    expect(low).toBeGreaterThan(0);
    expect(likely).toBeGreaterThan(low);
    expect(high).toBeGreaterThan(likely);
    expect(oneSidedBowMm({ ...SHEET, coreMm: 9 }).likely).toBeGreaterThan(2 * likely);
    expect(oneSidedBowMm({ ...SHEET, widthMm: 1200, lengthMm: 1800 }).likely).toBeCloseTo(4 * likely, 9);
  });

  it('is in proportion to the glue: without water nothing bends', () => {
    expect(oneSidedBowMm({ ...SHEET, filmGPerM2: 0 })).toEqual({ low: 0, likely: 0, high: 0 });
    expect(oneSidedBowMm({ ...SHEET, filmGPerM2: 360 }).high).toBeCloseTo(2 * oneSidedBowMm(SHEET).high, 9);
  });

  it('bends a square sheet across the grain rather than along it', () => {
    const square = { ...SHEET, lengthMm: 600 };
    expect(oneSidedBowMm(square).likely).toBe(oneSidedBowMm({ ...square, lengthMm: 300 }).likely);
  });
});

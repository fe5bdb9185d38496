import fc from 'fast-check';
import { InputError } from '../basics/checks';
import { findSpecies, type WoodProperties } from '../materials';
import { closingForceN, endDepthMm, linePressure, panelStrut, spreadingRatio } from '.';
import { beamAtRest } from './contact-beam';
import { strutModulusMPa } from './panel-strut';

/** Hard maple as the finite elements took it: E_L without the tenth for shear. */
const maple: WoodProperties = {
  ...(findSpecies('hard-maple')?.properties as WoodProperties),
  eLMPa: 12600,
  eTMPa: 819,
  gLTMPa: 793.8,
};
const four = [125, 375, 625, 875].map((xMm) => ({ xMm, forceN: 3000 }));
const two = [250, 750].map((xMm) => ({ xMm, forceN: 3000 }));

/** Trapezium sum of a sampled pressure, to be compared with the pulls. */
function carriedN(stations: readonly number[], pressure: readonly number[], heightMm: number): number {
  return stations
    .slice(1)
    .reduce(
      (sum, x, i) =>
        sum + ((pressure[i] ?? 0) + (pressure[i + 1] ?? 0)) * 0.5 * (x - (stations[i] ?? 0)) * heightMm,
      0,
    );
}

describe('linePressure', () => {
  // Fine-mesh finite elements, orthotropic plane stress with frictionless contact (docs/models.md): [min, max] MPa.
  it.each([
    ['five boards, four clamps, outermost line', 120, 300, four, 0.474, 0.683],
    ['five boards, four clamps, inner line', 240, 300, four, 0.554, 0.619],
    ['five boards, two clamps, outermost line', 120, 300, two, 0.062, 0.531],
    ['five boards, two clamps, inner line', 240, 300, two, 0.151, 0.382],
    ['outer boards 40 wide, outermost line opens', 40, 180, four, 0, 1.486],
    ['outer boards 40 wide, inner line', 160, 180, four, 0.487, 0.65],
    ['two boards of 75', 50, 50, four, 0.042, 1.126],
  ])('%s: within 0.12 of the mean of the finite elements', (_name, depthMm, halfWidthMm, pulls, min, max) => {
    const answer = linePressure({
      lengthMm: 1000,
      heightMm: 20,
      depthMm,
      endDepthMm: depthMm === 50 ? 50 : endDepthMm(depthMm, halfWidthMm),
      stiffnessRatio: spreadingRatio({ wood: maple, cut: 'flat' }),
      pulls,
    });
    expect(Math.abs(answer.minMPa - min)).toBeLessThan(0.12 * answer.meanMPa);
    expect(Math.abs(answer.maxMPa - max)).toBeLessThan(0.12 * answer.meanMPa);
  });

  it('carries all of the pull, wherever the clamps stand, and never pulls', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            xMm: fc.double({ min: 20, max: 1150, noNaN: true }),
            forceN: fc.double({ min: 100, max: 6000, noNaN: true }),
          }),
          { minLength: 1, maxLength: 9 },
        ),
        fc.double({ min: 30, max: 400, noNaN: true }),
        (pulls, depthMm) => {
          const answer = linePressure({ lengthMm: 1170, heightMm: 23, depthMm, stiffnessRatio: 0.97, pulls });
          const total = pulls.reduce((sum, pull) => sum + pull.forceN, 0);
          return (
            Math.abs(carriedN(answer.stationsMm, answer.pressureMPa, 23) / total - 1) < 1e-9 &&
            answer.pressureMPa.every((p) => p >= 0 && Number.isFinite(p))
          );
        },
      ),
      { seed: 7 },
    );
  });

  it('mirrors when the clamps do, and a line further in is evener', () => {
    const odd = [90, 310, 700].map((xMm, i) => ({ xMm, forceN: 2000 + 500 * i }));
    const line = { lengthMm: 900, heightMm: 18, stiffnessRatio: 1 };
    const there = linePressure({ ...line, depthMm: 110, pulls: odd });
    const back = linePressure({ ...line, depthMm: 110, pulls: odd.map((p) => ({ ...p, xMm: 900 - p.xMm })) });
    there.pressureMPa.forEach((p, i) => expect(p).toBeCloseTo(back.pressureMPa.at(-1 - i) ?? 0, 9));
    const deeper = linePressure({ ...line, depthMm: 220, pulls: odd });
    expect(deeper.maxMPa - deeper.minMPa).toBeLessThan(there.maxMPa - there.minMPa);
  });

  it('is nothing without a pull and refuses a line of no height', () => {
    expect(
      linePressure({ lengthMm: 900, heightMm: 18, depthMm: 90, stiffnessRatio: 1, pulls: [] }).maxMPa,
    ).toBe(0);
    expect(() =>
      linePressure({ lengthMm: 900, heightMm: 0, depthMm: 90, stiffnessRatio: 1, pulls: four }),
    ).toThrow(InputError);
  });
});

describe('beamAtRest', () => {
  const beam = { bendingNMm2: 2.1e10, shearN: 1.3e6 };

  it('agrees with the closed form of a beam on two ends: FL³/48EI + FL/4κGA', () => {
    const hollow = Array.from({ length: 41 }, (_, i) => (i === 0 || i === 40 ? 0 : 5));
    const rest = beamAtRest({
      beam,
      lengthMm: 800,
      gapsMm: hollow,
      pushes: [{ xMm: 400, forceN: 300 }],
      bedNPerMm2: 1e4,
    });
    const sag = (300 * 800 ** 3) / (48 * beam.bendingNMm2) + (300 * 800) / (4 * beam.shearN);
    expect(rest.converged).toBe(true);
    const give = 150 / (1e4 * 10);
    expect((5 - (rest.openMm[20] ?? 0)) / (sag + give)).toBeCloseTo(1, 3);
  });

  it('lies on the bed where it is flat, and presses into it by force over stiffness', () => {
    const rest = beamAtRest({
      beam,
      lengthMm: 600,
      gapsMm: Array.from({ length: 25 }, () => 0),
      pushes: Array.from({ length: 25 }, (_, i) => ({ xMm: i * 25, forceN: i === 0 || i === 24 ? 5 : 10 })),
      bedNPerMm2: 4,
    });
    expect(rest.touching.every(Boolean)).toBe(true);
    expect(Math.max(...rest.openMm)).toBe(0);
  });
});

describe('closingForceN', () => {
  const board = { widthMm: 100, wood: maple, cut: 'flat' as const };
  const line = { lengthMm: 900, thicknessMm: 20, boards: [board, board] as const, pulls: [] };

  // Per clamp at a sixth, the middle and five sixths; finite elements with contact (docs/models.md).
  it.each([
    [0.5, 0.1, 115],
    [0.5, 0.05, 135],
    [-0.3, 0.1, 151],
    [-0.3, 0.05, 483],
  ])(
    'a reading of %d mm down to %d mm takes three times %d N, within 8 %%',
    (gapMm, remainingMm, perClamp) => {
      const force = closingForceN({ ...line, gapMm, remainingMm }) / 3;
      expect(Math.abs(force / perClamp - 1)).toBeLessThan(0.08);
    },
  );

  it('is nothing for a gap that the glue fills, grows with the gap, and with thickness', () => {
    expect(closingForceN({ ...line, gapMm: 0.08, remainingMm: 0.1 })).toBe(0);
    const small = closingForceN({ ...line, gapMm: 0.4, remainingMm: 0.1 });
    expect(closingForceN({ ...line, gapMm: 0.8, remainingMm: 0.1 })).toBeGreaterThan(small);
    expect(closingForceN({ ...line, thicknessMm: 40, gapMm: 0.4, remainingMm: 0.1 }) / small).toBeCloseTo(
      2,
      1,
    );
  });

  it('says so when one clamp in the middle cannot close proud ends', () => {
    const pulls = [{ xMm: 450, forceN: 1 }];
    expect(closingForceN({ ...line, pulls, gapMm: -0.8, remainingMm: 0.1 })).toBe(Number.POSITIVE_INFINITY);
  });
});

describe('panelStrut', () => {
  const five = Array.from({ length: 5 }, () => ({ widthMm: 120, wood: maple, cut: 'flat' as const }));
  const at = (lineLoadNPerMm: number, offsetMm: number) =>
    panelStrut({ boards: five, thicknessMm: 20, lineLoadNPerMm, offsetMm });

  it('pops 600 × 20 mm of flat-sawn maple at 15.2 N/mm', () => {
    expect(at(12, 2).bucklingNPerMm).toBeCloseTo(15.2, 1);
    expect(at(12, 2).loadShare).toBeCloseTo(0.79, 2);
  });

  /** Second method: shoots the beam-column equation E'I·w'' = −N·(w + e) from one pinned edge to the other. */
  function bowByShooting(load: number, e: number): number {
    const stiffness = (strutModulusMPa(five) * 20 ** 3) / 12;
    const steps = 4000;
    const h = 600 / steps;
    const endOf = (slope: number, upTo: number) => {
      let w = 0;
      let s = slope;
      for (let i = 0; i < upTo; i += 1) {
        const mid = w + (s * h) / 2;
        s += (-load / stiffness) * (mid + e) * h;
        w += s * h;
      }
      return w;
    };
    const a = endOf(0, steps);
    const b = endOf(1, steps);
    return endOf(-a / (b - a), steps / 2);
  }

  it.each([
    [3, 2],
    [8, -1.3],
    [12, 3.33],
  ])('bows at %d N/mm, %d mm off, as the differential equation says', (load, e) => {
    const bow = at(load, e).bowMm ?? Number.NaN;
    expect(Math.abs(bow / bowByShooting(load, e) - 1)).toBeLessThan(0.01);
  });

  it('has no bow to give past buckling, and opens the far face beyond a sixth of the thickness', () => {
    expect(at(16, 1).bowMm).toBeNull();
    expect(at(5, 20 / 6).kernRatio).toBeCloseTo(1, 9);
    expect(at(5, 3.3).jointOpenMm).toBe(0);
    expect(at(5, 5).jointOpenMm).toBeCloseTo(20 - 15, 9);
  });
});

import { resolveSpecies } from '../materials';
import { beamAtRest } from './contact-beam';
import { caulCrown } from './caul';
import { holdingLoad } from './flattening';
import { layerPressure } from './pressed-layer';

const PANEL = {
  widthMm: 620,
  lengthMm: 1130,
  thicknessMm: 21,
  acrossMPa: 930,
  alongMPa: 12_800,
  shearMPa: 850,
  pullNPerMm: 26,
  offsetMm: 1.7,
  reachMm: 410,
  cupMm: 0,
  bowMm: 0,
  windMm: 0,
};

describe('holdingLoad', () => {
  it('takes back the bow of a moment: a strip with both, summed piece by piece, stays straight in its middle', () => {
    const { fromPullNPerMm } = holdingLoad(PANEL);
    const momentNmm = PANEL.pullNPerMm * PANEL.offsetMm * PANEL.reachMm;
    const ei = (PANEL.acrossMPa * PANEL.thicknessMm ** 3 * PANEL.reachMm) / 12;
    // Mohr: curvature M(x)/EI times the lever to the support, numerically over half the width.
    const steps = 4000;
    let byMoment = 0;
    let byLoad = 0;
    for (let i = 0; i < steps; i += 1) {
      const x = ((i + 0.5) * PANEL.widthMm) / 2 / steps;
      const dx = PANEL.widthMm / 2 / steps;
      byMoment += (momentNmm / ei) * x * dx;
      byLoad += ((fromPullNPerMm * x * (PANEL.widthMm - x)) / 2 / ei) * x * dx;
    }
    expect(byLoad / byMoment).toBeCloseTo(1, 3);
  });

  it('grows with each of its causes and is their sum', () => {
    const plain = holdingLoad(PANEL);
    for (const change of [{ cupMm: 1 }, { bowMm: 2 }, { windMm: 3 }, { pullNPerMm: 30 }, { offsetMm: 2 }]) {
      expect(holdingLoad({ ...PANEL, ...change }).totalNPerMm).toBeGreaterThan(plain.totalNPerMm);
    }
    const all = holdingLoad({ ...PANEL, cupMm: 0.8, bowMm: -1.5, windMm: 2 });
    expect(all.totalNPerMm).toBeCloseTo(
      all.fromPullNPerMm + all.fromStrutNPerMm + all.fromCupNPerMm + all.fromBowNPerMm + all.fromWindNPerMm,
      12,
    );
  });

  it('presses a bow out with the force that bends a beam of the same section as far', () => {
    const bowMm = 1.4;
    const { fromBowNPerMm } = holdingLoad({ ...PANEL, bowMm });
    const bent = beamAtRest({
      beam: { bendingNMm2: (PANEL.alongMPa * PANEL.widthMm * PANEL.thicknessMm ** 3) / 12, shearN: 1e12 },
      lengthMm: PANEL.lengthMm,
      // Rests on its ends alone.
      gapsMm: Array.from({ length: 101 }, (_, i) => (i === 0 || i === 100 ? 0 : 100)),
      pushes: [{ xMm: PANEL.lengthMm / 2, forceN: fromBowNPerMm * PANEL.widthMm }],
      bedNPerMm2: 1e4,
    });
    expect(100 - (bent.openMm[50] ?? 0)).toBeCloseTo(bowMm, 1);
  });

  it('refuses a width of nothing', () => {
    expect(() => holdingLoad({ ...PANEL, widthMm: 0 })).toThrow(/widthMm/);
  });
});

describe('crown under clamps that stand out', () => {
  it('adds w·W³·a/16EI in the middle', () => {
    const eMPa = 12_000;
    const caul = { lengthMm: 600, widthMm: 40, depthMm: 50, eMPa, lineLoadNPerMm: 5 };
    const inertia = (40 * 50 ** 3) / 12;
    const more = caulCrown({ ...caul, overhangMm: 30 }).crownMm - caulCrown(caul).crownMm;
    expect(more).toBeCloseTo((5 * 600 ** 3 * 30) / (16 * eMPa * inertia), 9);
  });
});

describe('layerPressure', () => {
  const STRIP = {
    lengthMm: 2400,
    widthMm: 60,
    stripMm: 30,
    stripMPa: 11_000,
    layerMm: 9,
    layerMPa: 0.5,
  };

  it('agrees with an endless beam with shear on an elastic bed, by its Fourier integral', () => {
    const forceN = 900;
    const k = (STRIP.layerMPa / STRIP.layerMm) * STRIP.widthMm;
    const ei = (STRIP.stripMPa * STRIP.widthMm * STRIP.stripMm ** 3) / 12;
    const shear = ((5 / 6) * STRIP.stripMPa * STRIP.widthMm * STRIP.stripMm) / 15;
    const lambda = (k / (4 * ei)) ** 0.25;
    // w(0) = F/π · ∫ (1 + EI·s²/S) / (EI·s⁴ + k·EI·s²/S + k) ds, summed over s.
    const step = lambda / 400;
    let integral = 0;
    for (let s = step / 2; s < 400 * lambda; s += step) {
      integral += ((1 + (ei * s ** 2) / shear) / (ei * s ** 4 + (k * ei * s ** 2) / shear + k)) * step;
    }
    const exact = ((forceN / Math.PI) * integral * k) / STRIP.widthMm;
    // An even load keeps the strip down everywhere; what the point adds to it is the endless beam's answer.
    const even = Array.from({ length: 121 }, (_, i) => ({ xMm: 20 * i, forceN: i % 120 === 0 ? 60 : 120 }));
    const alone = layerPressure({ ...STRIP, pushes: even });
    const both = layerPressure({ ...STRIP, pushes: [...even, { xMm: 1200, forceN }] });
    expect(both.lifts).toBe(false);
    const added = both.pressureMPa.map((p, i) => p - (alone.pressureMPa[i] ?? 0));
    expect((added[60] ?? 0) / exact).toBeGreaterThan(0.98);
    expect((added[60] ?? 0) / exact).toBeLessThan(1.02);
    // By itself it lifts where it would have to pull, and presses its middle harder.
    const point = layerPressure({ ...STRIP, pushes: [{ xMm: 1200, forceN }] });
    expect(point.lifts).toBe(true);
    expect(point.maxMPa).toBeGreaterThan(exact);
  });

  it('carries the whole force, wherever it stands', () => {
    const pushes = [
      { xMm: 333, forceN: 700 },
      { xMm: 1490, forceN: 1100 },
    ];
    const { pressureMPa, meanMPa } = layerPressure({ ...STRIP, pushes });
    const ends = ((pressureMPa[0] ?? 0) + (pressureMPa.at(-1) ?? 0)) / 2;
    const sum = pressureMPa.reduce((total, each) => total + each, 0) - ends;
    expect((sum / (pressureMPa.length - 1) / meanMPa) * 1).toBeCloseTo(1, 2);
  });

  it('is more even under a stiffer strip, and lifts off under a slack one', () => {
    const pushes = [{ xMm: 1200, forceN: 900 }];
    const thin = layerPressure({ ...STRIP, stripMm: 12, pushes });
    const thick = layerPressure({ ...STRIP, stripMm: 200, pushes });
    expect(thin.lifts).toBe(true);
    expect(thick.maxMPa).toBeLessThan(thin.maxMPa);
    expect(thick.minMPa).toBeGreaterThanOrEqual(thin.minMPa);
  });

  it('with its ends pulled down a crowned strip on cork presses its middle, a straight one only its ends', () => {
    const ash = resolveSpecies('white-ash').properties;
    const pushes = [
      { xMm: 5, forceN: 2500 },
      { xMm: 695, forceN: 2500 },
    ];
    const caul = {
      lengthMm: 700,
      widthMm: 45,
      stripMm: 50,
      stripMPa: ash.eLMPa,
      layerMm: 10,
      layerMPa: 4,
      pushes,
    };
    const middle = (crownMm: number) => layerPressure({ ...caul, crownMm }).pressureMPa[60] ?? 0;
    expect(middle(0)).toBe(0);
    expect(middle(2.5)).toBeGreaterThan(0.05);
  });
});

import { caulCrown } from './caul';
import { findCalculation } from '../calculations';

const BEAM = { lengthMm: 600, widthMm: 40, depthMm: 50, eMPa: 12000, lineLoadNPerMm: 5 };

/** Deflection of a beam cut into short pieces, bending and shear summed by hand: nothing in common with the formula. */
function byPieces({ lengthMm: L, widthMm: b, depthMm: h, eMPa, lineLoadNPerMm: w }: typeof BEAM): number {
  const n = 4000;
  const dx = L / n;
  const bending = (eMPa * b * h ** 3) / 12;
  const shear = (5 / 6) * (eMPa / 15) * b * h;
  let [slope, sag, lowest] = [0, 0, 0];
  // Shooting from the middle, where the slope is nothing, to the end.
  for (let i = n / 2; i < n; i += 1) {
    const x = (i + 0.5) * dx;
    const moment = (w * x * (L - x)) / 2;
    const force = w * (x - L / 2);
    slope += (moment / bending) * dx;
    sag += (slope - (moment / bending) * (dx / 2) + force / shear) * dx;
    lowest = Math.max(lowest, sag);
  }
  return lowest;
}

describe('caulCrown', () => {
  it('is 1.856 mm for a hardwood caul of 40 × 50 over 600 at 5 N/mm, 1500 N at each end', () => {
    const { crownMm, endForceN, bendingStressMPa } = caulCrown(BEAM);
    expect(crownMm).toBeCloseTo(1.856, 3);
    expect(endForceN).toBe(1500);
    expect(bendingStressMPa).toBeCloseTo((5 * 600 ** 2) / 8 / ((40 * 50 ** 2) / 6), 9);
  });

  it('agrees with a beam summed piece by piece', () => {
    for (const change of [{}, { lengthMm: 900 }, { depthMm: 90 }, { widthMm: 30, lineLoadNPerMm: 12 }]) {
      const beam = { ...BEAM, ...change };
      expect(caulCrown(beam).crownMm / byPieces(beam)).toBeCloseTo(1, 3);
    }
  });

  it('runs from nothing at the ends to the crown in the middle, alike on both sides', () => {
    const { profile, crownMm } = caulCrown(BEAM);
    const heights = profile.map(({ yMm }) => yMm);
    expect(heights[0]).toBe(0);
    expect(heights.at(-1)).toBeCloseTo(0, 12);
    expect(Math.max(...heights)).toBe(crownMm);
    heights.forEach((height, i) => expect(heights[heights.length - 1 - i]).toBeCloseTo(height, 12));
    // Fuller than an arc of the same height at a quarter of the span, where a parabola has three quarters of it.
    expect((heights[5] ?? 0) / crownMm).toBeLessThan(0.75);
  });

  it('refuses sizes that are none', () => {
    expect(() => caulCrown({ ...BEAM, depthMm: 0 })).toThrow(/depthMm must be above zero/);
  });
});

describe('panel-bow', () => {
  const panelBow = (offsetMm: number, forceN = 3000, restrained?: boolean) =>
    findCalculation('panel-bow')?.compute({
      boards: Array.from({ length: 5 }, () => ({ widthMm: 120, species: 'hard-maple', cut: 'flat' })),
      lengthMm: 1000,
      thicknessMm: 20,
      clamps: [125, 375, 625, 875].map((xMm) => ({ xMm, forceN, offsetMm })),
      restrained,
    } as never) as {
      sagittaMm: number | null;
      fullContact: boolean;
      kernRatio: number;
      jointOpenMm: number;
      findings: readonly { readonly code: string }[];
    };

  it('opens the far face beyond a sixth of the thickness', () => {
    expect(panelBow(3.3)).toMatchObject({ fullContact: true, jointOpenMm: 0 });
    const beyond = panelBow(-5);
    expect(beyond.fullContact).toBe(false);
    expect(beyond.kernRatio).toBeCloseTo(1.5, 9);
    // Contact over 3·(t/2 − e) = 15 mm.
    expect(beyond.jointOpenMm).toBeCloseTo(5, 9);
  });

  it('is amplified near buckling, as a strut is, and gone where bars hold both faces', () => {
    // 12 N/mm on a panel that pops at about 15.
    const first = (12 * 2 * 600 ** 2) / (8 * 20 ** 3 * (853 / 12));
    expect(panelBow(2).sagittaMm ?? 0).toBeGreaterThan(2 * first);
    expect(panelBow(2, 3000, true).sagittaMm).toBe(0);
  });

  it('says that it buckles, with no figure', () => {
    const popped = panelBow(2, 6000);
    expect(popped.sagittaMm).toBeNull();
    expect(popped.findings.map(({ code }) => code)).toEqual(['buckles']);
    expect(panelBow(2, 6000, true).findings).toEqual([]);
  });

  it('refuses a pull outside the wood', () => {
    expect(() => panelBow(12)).toThrow(/outside a panel 20 mm thick/);
  });
});

import fc from 'fast-check';
import { InputError } from '../basics/checks';
import { breadboardSlot, findSpecies, movementMm, type WoodProperties } from '../materials';
import { bend } from '.';

describe('bend', () => {
  it('takes the fewest equal plies whose strain stays within 1 %', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 3000, noNaN: true }),
        fc.double({ min: 3, max: 80, noNaN: true }),
        (radiusMm, thicknessMm) => {
          const { plies, plyMm, strainPct } = bend({ radiusMm, thicknessMm });
          const fewerStrain = (100 * thicknessMm) / (plies - 1) / (2 * radiusMm);
          return (
            Math.abs(plies * plyMm - thicknessMm) < 1e-9 &&
            strainPct <= 1 + 1e-9 &&
            (plies === 2 || fewerStrain > 1)
          );
        },
      ),
      { seed: 23 },
    );
  });

  it('tightens the form so that the curve comes out right once it springs back', () => {
    const { plies, formRadiusMm, springbackPct } = bend({ radiusMm: 600, thicknessMm: 36 });
    expect(plies).toBe(3);
    expect(springbackPct).toBeCloseTo(100 / 9, 9);
    // Curvature of the form less springback is the curvature wanted.
    expect((1 / formRadiusMm) * (1 - springbackPct / 100)).toBeCloseTo(1 / 600, 12);
  });

  it('keeps to more plies when asked, and refuses a radius that wants veneer', () => {
    expect(bend({ radiusMm: 600, thicknessMm: 36, pliesMin: 6 })).toMatchObject({ plies: 6, plyMm: 6 });
    expect(() => bend({ radiusMm: 15, thicknessMm: 20 })).toThrow(InputError);
    expect(() => bend({ radiusMm: 15, thicknessMm: 20 })).toThrow(
      expect.objectContaining({ allowed: '20 mm or more, or steam' }) as Error,
    );
  });
});

describe('breadboardSlot', () => {
  const wood = findSpecies('hard-maple')?.properties as WoodProperties;
  const peg = {
    wood,
    cut: 'flat' as const,
    distanceMm: 250,
    mcNowPct: 8.5,
    mcLowPct: 7,
    mcHighPct: 10.5,
    clearanceMm: 0.5,
  };

  it('reaches outward by what the panel shrinks and inward by what it swells, from today', () => {
    const { outwardMm, inwardMm, slotMm } = breadboardSlot(peg);
    expect(outwardMm).toBeCloseTo(250 * 0.00353 * 1.5 + 0.5, 9);
    expect(inwardMm).toBeCloseTo(250 * 0.00353 * 2 + 0.5, 9);
    const season = movementMm({ wood, widthMm: 250, cut: 'flat', mcFromPct: 7, mcToPct: 10.5 });
    expect(slotMm).toBeCloseTo(season + 1, 9);
  });

  it('needs only clearance on the side it will never move to', () => {
    expect(breadboardSlot({ ...peg, mcNowPct: 6 }).outwardMm).toBe(0.5);
  });
});

import fc from 'fast-check';
import { cupSagittaMm, findSpecies, listSpecies, movementMm, type WoodProperties } from '.';

const maple = findSpecies('hard-maple')?.properties as WoodProperties;

describe('movementMm', () => {
  it('widens 600 mm of flat-sawn hard maple by 8.47 mm from 6 to 10 %', () => {
    expect(movementMm({ wood: maple, widthMm: 600, cut: 'flat', mcFromPct: 6, mcToPct: 10 })).toBeCloseTo(
      8.472,
      3,
    );
  });

  it('is signed, and rift lies midway between flat and quarter', () => {
    const shrink = (cut: 'flat' | 'quarter' | 'rift') =>
      movementMm({ wood: maple, widthMm: 237, cut, mcFromPct: 11, mcToPct: 7.5 });
    expect(shrink('flat')).toBeLessThan(shrink('quarter'));
    expect(shrink('rift')).toBeCloseTo((shrink('flat') + shrink('quarter')) / 2, 12);
  });
});

/**
 * Second method: walks the mid-thickness line in small steps from the middle, letting each little piece shrink along
 * and across the rings by its own share, instead of mapping the end point at once.
 */
function cupByWalking(wood: WoodProperties, widthMm: number, ringRadiusMm: number, deltaMc: number): number {
  const eR = wood.cR * deltaMc;
  const eT = wood.cT * deltaMc;
  const steps = 20000;
  let radius = ringRadiusMm * (1 + eR);
  let angle = 0;
  for (let i = 0; i < steps; i += 1) {
    const x = ((i + 0.5) * widthMm) / 2 / steps;
    const dx = widthMm / 2 / steps;
    const r = Math.hypot(x, ringRadiusMm);
    radius += (x / r) * dx * (1 + eR);
    angle += (ringRadiusMm / r ** 2) * dx * (1 + eT - eR);
  }
  return radius * Math.cos(angle) - ringRadiusMm * (1 + eR);
}

describe('cupSagittaMm', () => {
  it('gives 0.44 mm for 200 mm of maple on rings of 150 mm losing 4 %, bark face hollow', () => {
    const cup = cupSagittaMm({ wood: maple, widthMm: 200, ringRadiusMm: 150, mcFromPct: 10, mcToPct: 6 });
    expect(cup).toBeCloseTo(0.44, 2);
    expect(cup).toBeGreaterThan(0);
  });

  it('agrees with walking the section in small steps', () => {
    for (const [width, radius, from, to] of [
      [200, 150, 10, 6],
      [137, 61, 12, 7.3],
      [280, 410, 6.5, 13],
    ] as const) {
      const exact = cupSagittaMm({
        wood: maple,
        widthMm: width,
        ringRadiusMm: radius,
        mcFromPct: from,
        mcToPct: to,
      });
      expect(exact).toBeCloseTo(cupByWalking(maple, width, radius, to - from), 5);
    }
  });

  it('tends to (C_T − C_R)·ΔMC·W²/4r on a narrow board far from the pith', () => {
    const cup = cupSagittaMm({ wood: maple, widthMm: 60, ringRadiusMm: 1500, mcFromPct: 11, mcToPct: 8 });
    const limit = ((maple.cT - maple.cR) * 3 * 60 ** 2) / (4 * 1500);
    // What is left is of the order of the strain itself, 1 %.
    expect(Math.abs(cup / limit - 1)).toBeLessThan(0.012);
  });

  it('turns over when the change does, for every wood', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...listSpecies().filter(({ kind }) => kind !== 'sheet')),
        fc.double({ min: 60, max: 250, noNaN: true }),
        fc.double({ min: 80, max: 600, noNaN: true }),
        fc.double({ min: 0.5, max: 4, noNaN: true }),
        ({ properties: wood }, widthMm, ringRadiusMm, change) => {
          const dry = cupSagittaMm({ wood, widthMm, ringRadiusMm, mcFromPct: 9, mcToPct: 9 - change });
          const wet = cupSagittaMm({ wood, widthMm, ringRadiusMm, mcFromPct: 9, mcToPct: 9 + change });
          return dry > 0 && wet < 0 && Math.abs(dry + wet) < 0.05 * dry + 1e-6;
        },
      ),
      { seed: 2 },
    );
  });
});

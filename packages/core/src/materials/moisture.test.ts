import fc from 'fast-check';
import { InputError } from '../basics/checks';
import { equilibriumMoisturePct, vapourPressureDeficitKPa } from '.';

describe('equilibriumMoisturePct', () => {
  it.each([
    [21.1, 50, 9.24],
    [10, 80, 16.38],
    [30, 30, 5.99],
    [0, 65, 12.37],
    [25, 90, 20.28],
  ])('at %d °C and %d %% is %d %%', (tempC, rhPct, emc) => {
    expect(equilibriumMoisturePct(tempC, rhPct)).toBeCloseTo(emc, 2);
  });

  it('rises with humidity, and falls with warmth above freezing', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.double({ min: 1, max: 94, noNaN: true }),
        (tempC, rhPct) => {
          const here = equilibriumMoisturePct(tempC, rhPct);
          return (
            Number.isFinite(here) &&
            equilibriumMoisturePct(tempC, rhPct + 5) > here &&
            equilibriumMoisturePct(tempC + 10, rhPct) < here
          );
        },
      ),
      { seed: 1 },
    );
  });

  it('is finite and positive over the whole accepted range', () => {
    for (let tempC = -30; tempC <= 60; tempC += 5) {
      for (const rhPct of [1, 33, 66, 99, 100]) {
        expect(equilibriumMoisturePct(tempC, rhPct)).toBeGreaterThan(0);
        expect(equilibriumMoisturePct(tempC, rhPct)).toBeLessThan(40);
      }
    }
  });

  it.each([
    [Number.NaN, 50],
    [20, 101],
    [20, -1],
    [400, 50],
  ])('refuses %d °C and %d %%', (tempC, rhPct) => {
    expect(() => equilibriumMoisturePct(tempC, rhPct)).toThrow(InputError);
  });
});

describe('vapourPressureDeficitKPa', () => {
  it.each([
    [20, 50, 1.167],
    [30, 30, 2.966],
    [10, 80, 0.245],
    [20, 100, 0],
  ])('at %d °C and %d %% is %d kPa', (tempC, rhPct, kPa) => {
    expect(vapourPressureDeficitKPa(tempC, rhPct)).toBeCloseTo(kPa, 3);
  });
});

import fc from 'fast-check';
import { InputError } from '../basics/checks';
import { vapourPressureDeficitKPa } from '../materials';
import { type AdhesiveWindow, adhesiveWindow, findAdhesive, listAdhesives, standsService } from '.';

const PLAIN = { openPored: false, resinous: false, oily: false };
const at = (
  id: string,
  tempC: number,
  rhPct: number,
  more: { faces?: 1 | 2; mcPct?: number; open?: boolean } = {},
) =>
  adhesiveWindow(findAdhesive(id), {
    tempC,
    rhPct,
    faces: more.faces ?? 1,
    traits: { ...PLAIN, openPored: more.open ?? false },
    mcPct: more.mcPct,
  });
const likely = (window: AdhesiveWindow, name: 'openMin' | 'closedMin' | 'totalMin') =>
  window[name]?.likely ?? Number.NaN;

describe('adhesiveWindow', () => {
  it('returns the label at 20 °C, 50 % and 9 % moisture', () => {
    for (const adhesive of listAdhesives().filter(({ minTempC }) => minTempC <= 20)) {
      const window = at(adhesive.id, 20, 50, { mcPct: 9 });
      expect(likely(window, 'openMin')).toBeCloseTo(adhesive.openMin.likely, 2);
      expect(likely(window, 'totalMin')).toBeCloseTo(adhesive.totalMin.likely, 2);
      expect(window.clampMin?.high).toBeCloseTo(adhesive.clampMin.high, 2);
    }
  });

  it('shortens the open time by the square root of the drying power', () => {
    const warm = at('pva-interior', 30, 30, { mcPct: 9 });
    const expected = 6 * Math.sqrt(1.167 / vapourPressureDeficitKPa(30, 30));
    expect(likely(warm, 'openMin')).toBeCloseTo(expected, 3);
  });

  it('lengthens it by film^0.7 when both faces are wetted, and never past the clips', () => {
    const one = likely(at('pva-interior', 20, 50, { mcPct: 9 }), 'openMin');
    const two = likely(at('pva-interior', 20, 50, { mcPct: 9, faces: 2 }), 'openMin');
    expect(two / one).toBeCloseTo(1.6 ** 0.7, 2);
    expect(likely(at('pva-interior', 20, 100, { mcPct: 9 }), 'openMin')).toBeCloseTo(6 * 2.2, 9);
    expect(likely(at('pva-interior', 55, 1, { mcPct: 0 }), 'openMin')).toBeCloseTo(6 * 0.4, 9);
  });

  it('keeps the closed time out of the drying: humidity does not move it, the clip holds it', () => {
    expect(likely(at('pva-exterior', 20, 20, { mcPct: 9 }), 'closedMin')).toBeCloseTo(
      likely(at('pva-exterior', 20, 80, { mcPct: 9 }), 'closedMin'),
      9,
    );
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 50, noNaN: true }),
        fc.double({ min: 0, max: 30, noNaN: true }),
        (t, mc) => {
          const factor = likely(at('pva-interior', t, 50, { mcPct: mc }), 'closedMin') / 6.5;
          return factor >= 0.7 - 1e-12 && factor <= 1.3 + 1e-12;
        },
      ),
      { seed: 3 },
    );
  });

  it('keeps open + closed = total for the likely figures', () => {
    for (const [t, rh] of [
      [13, 70],
      [20, 50],
      [29, 25],
    ] as const) {
      const window = at('pva-interior', t, rh);
      expect(likely(window, 'totalMin')).toBeCloseTo(
        likely(window, 'openMin') + likely(window, 'closedMin'),
        9,
      );
    }
  });

  it('halves a resin for every 10 °C', () => {
    expect(likely(at('epoxy-slow', 30, 50), 'openMin')).toBeCloseTo(75 / 2, 9);
    expect(at('epoxy-slow', 15, 50).clampMin?.likely).toBeCloseTo(600 * Math.SQRT2, 6);
  });

  it('scales low, likely and high by one factor', () => {
    const window = at('pva-exterior', 27, 33, { open: true });
    const reference = findAdhesive('pva-exterior').openMin;
    const factors = (['low', 'likely', 'high'] as const).map(
      (end) => (window.openMin?.[end] ?? 0) / reference[end],
    );
    expect(factors[0]).toBeCloseTo(factors[1] ?? 0, 12);
    expect(factors[2]).toBeCloseTo(factors[1] ?? 0, 12);
  });

  it('refuses strictly below the coldest temperature and gives no times then', () => {
    const cold = at('pva-interior', 9.99, 60);
    expect(cold).toMatchObject({
      refused: true,
      openMin: null,
      closedMin: null,
      totalMin: null,
      clampMin: null,
    });
    expect(cold.findings.map(({ code }) => code)).toContain('too-cold');
    expect(at('pva-interior', 10, 60).refused).toBe(false);
  });

  it('tells of wet, oily and very dry wood', () => {
    const codes = (window: AdhesiveWindow) => window.findings.map(({ code }) => code);
    expect(codes(at('pva-interior', 20, 50, { mcPct: 13 }))).toContain('wood-too-wet');
    expect(codes(at('pva-interior', 20, 50, { mcPct: 4 }))).toContain('wood-very-dry');
    const teak = adhesiveWindow(findAdhesive('epoxy-slow'), {
      tempC: 20,
      rhPct: 50,
      faces: 1,
      traits: { ...PLAIN, oily: true },
    });
    expect(codes(teak)).toContain('oily-wood');
  });

  it('can be recomputed from what it says it used', () => {
    const { openMin, used } = at('pva-exterior', 26, 38, { faces: 2, open: true });
    const n = (name: string) => Number(used[name]);
    const factor = n('film') ** 0.7 * Math.sqrt(n('vpdRefKPa') / n('vpdKPa')) * n('absorb');
    expect(openMin?.low).toBeCloseTo(n('openRefLowMin') * Math.min(2.2, Math.max(0.4, factor)), 9);
  });

  it('never gets longer as the air gets drier', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 12, max: 40, noNaN: true }),
        fc.double({ min: 5, max: 85, noNaN: true }),
        (tempC, rhPct) =>
          likely(at('pva-interior', tempC, rhPct, { mcPct: 9 }), 'openMin') <=
          likely(at('pva-interior', tempC, rhPct + 10, { mcPct: 9 }), 'openMin') + 1e-12,
      ),
      { seed: 4 },
    );
  });

  it.each([
    [Number.POSITIVE_INFINITY, 50],
    [20, 130],
    [-40, 50],
  ])('throws for %d °C and %d %%', (tempC, rhPct) => {
    expect(() => at('pva-interior', tempC, rhPct)).toThrow(InputError);
  });
});

describe('the catalogue of glues', () => {
  it('has sound ranges: low ≤ likely ≤ high, open ≤ total, clamp ≤ machine ≤ full', () => {
    for (const glue of listAdhesives()) {
      for (const range of [glue.openMin, glue.totalMin, glue.clampMin]) {
        expect(range.low).toBeLessThanOrEqual(range.likely);
        expect(range.likely).toBeLessThanOrEqual(range.high);
      }
      expect(glue.openMin.high).toBeLessThanOrEqual(glue.totalMin.high);
      expect(glue.clampMin.high).toBeLessThanOrEqual(glue.machineMin);
      expect(glue.machineMin).toBeLessThanOrEqual(glue.fullCureMin);
    }
  });

  it('knows which service a family stands', () => {
    expect(standsService('exterior', 'damp')).toBe(true);
    expect(standsService('exterior', 'wet')).toBe(false);
  });
});

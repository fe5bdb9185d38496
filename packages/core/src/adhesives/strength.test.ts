import { adhesiveWindow, findAdhesive, listAdhesives, strengthAt, strengthCurve } from '.';

const PLAIN = { openPored: false, resinous: false, oily: false };
const at = (id: string, tempC: number, rhPct = 50) =>
  adhesiveWindow(findAdhesive(id), { tempC, rhPct, faces: 1, traits: PLAIN, mcPct: 9 });

describe('strengthCurve', () => {
  it.each(listAdhesives().map(({ id }) => [id]))(
    '%s has half when clamps may come off, nearly all when cured',
    (id) => {
      const window = at(id, 22);
      const curve = strengthCurve(findAdhesive(id), window);
      const off = strengthAt(curve, window.clampMin?.likely ?? 0).likely;
      const full = strengthAt(curve, window.fullCureMin ?? 0).likely;
      expect(off).toBeGreaterThanOrEqual(0.5);
      expect(off).toBeLessThanOrEqual(0.6);
      expect(full).toBeGreaterThanOrEqual(0.97);
      expect(strengthAt(curve, 0).high).toBe(0);
    },
  );

  it('grows all the time, the slow end below the quick one', () => {
    const curve = strengthCurve(findAdhesive('pva-exterior'), at('pva-exterior', 17));
    let before = -1;
    for (let minutes = 0; minutes <= 3000; minutes += 37) {
      const { low, likely, high } = strengthAt(curve, minutes);
      expect(likely).toBeGreaterThanOrEqual(before);
      expect(low).toBeLessThanOrEqual(likely);
      expect(likely).toBeLessThanOrEqual(high);
      before = likely;
    }
  });

  it('is slower in the cold and in thick lines that lose water, not in thick resin', () => {
    const pva = findAdhesive('pva-interior');
    const epoxy = findAdhesive('epoxy-slow');
    const tau = (adhesive: typeof pva, tempC: number, lineMm?: number) =>
      strengthCurve(adhesive, at(adhesive.id, tempC), lineMm).tauMin.likely;
    expect(tau(pva, 12)).toBeGreaterThan(tau(pva, 22));
    expect(tau(pva, 20, 0.2) / tau(pva, 20)).toBeCloseTo(1.5, 1);
    expect(tau(epoxy, 20, 0.4)).toBe(tau(epoxy, 20));
  });

  it('says that a refused glue never sets', () => {
    expect(() => strengthCurve(findAdhesive('resorcinol'), at('resorcinol', 15))).toThrow(/does not set/);
  });
});

describe('climate of the other chemistries', () => {
  const factor = (id: string, tempC: number, rhPct = 50) => Number(at(id, tempC, rhPct).used.openFactor);

  it('leaves every family its label at 20 °C and 50 %', () => {
    for (const { id, minTempC } of listAdhesives())
      if (minTempC <= 20) expect(factor(id, 20)).toBeCloseTo(1, 2);
  });

  it('gives hot hide and hot melt the time that Newton’s cooling gives, by small steps', () => {
    // dT/dt = −(T − parts), from hot to setting.
    const cool = (hot: number, sets: number, parts: number) => {
      let [t, temp] = [0, hot];
      const dt = 1e-5;
      while (temp > sets) {
        temp -= (temp - parts) * dt;
        t += dt;
      }
      return t;
    };
    expect(factor('hide-hot', 26)).toBeCloseTo(cool(60, 35, 26) / cool(60, 35, 20), 3);
    expect(factor('polyurethane-hot-melt', 13)).toBeCloseTo(cool(120, 60, 13) / cool(120, 60, 20), 3);
  });

  it('cures moisture-curing glue faster in damp air, without changing its open time', () => {
    const [dry, damp] = [at('polyurethane-foaming', 20, 30), at('polyurethane-foaming', 20, 60)];
    expect(dry.openMin).toEqual(damp.openMin);
    expect((dry.clampMin?.likely ?? 0) / (damp.clampMin?.likely ?? 1)).toBeCloseTo(Math.SQRT2, 6);
  });

  it('cools a melt sooner on dense and on cold wood', () => {
    const melt = (woodTempC: number, sg: number) =>
      adhesiveWindow(findAdhesive('polyurethane-hot-melt'), {
        tempC: 20,
        rhPct: 50,
        faces: 1,
        traits: PLAIN,
        woodTempC,
        sg,
      }).openMin?.likely ?? 0;
    expect(melt(14, 0.5)).toBeLessThan(melt(20, 0.5));
    expect(melt(20, 0.63) / melt(20, 0.5)).toBeCloseTo((0.5 / 0.63) ** 0.3, 9);
  });

  it('refuses cold wood and a cold bottle, each by name, but not the bottle of a glue that is heated', () => {
    const codes = (id: string, more: object) =>
      adhesiveWindow(findAdhesive(id), { tempC: 20, rhPct: 50, faces: 1, traits: PLAIN, ...more })
        .findings.filter(({ severity }) => severity === 'refuses')
        .map(({ code }) => code);
    expect(codes('pva-interior', { woodTempC: 6 })).toEqual(['wood-too-cold']);
    expect(codes('pva-interior', { glueTempC: 6 })).toEqual(['glue-too-cold']);
    expect(codes('polyurethane-hot-melt', { glueTempC: 6 })).toEqual([]);
  });
});

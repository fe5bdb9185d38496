import type { RackLot } from '../formats';
import { scatterFrom } from '../sequence';
import { asMeasured, measuredAgain, ownPull, ownPulls, unmeasured } from '.';

const LOT: RackLot = {
  id: 'bars',
  kind: 't-bar',
  count: 6,
  maxOpeningMm: 900,
  forceN: null,
  padWidthMm: 40,
  padHeightMm: 45,
};
const time = (forceN: number, errorN: number | null = 50) => ({
  on: '2026-04-01',
  forceN,
  perTurnN: forceN / 2,
  errorN,
});
const measured = (...forces: readonly number[]): RackLot => ({
  ...LOT,
  measured: forces.map((n) => time(n)),
});

describe('the pull of one’s own clamps', () => {
  it('is nothing until somebody measures, and then what was measured', () => {
    expect(ownPull(LOT)).toBeNull();
    expect(asMeasured(LOT)).toBe(LOT);
    const own = ownPull(measured(3000));
    expect(own).toMatchObject({ forceN: 3000, perTurnN: 1500, inUse: false });
    expect(own?.lowN).toBeGreaterThan(2200);
    expect(own?.highN).toBeLessThan(3800);
  });

  it('is surer the more often it is measured, and hardly moved by one misread scale', () => {
    const widthOf = (lot: RackLot) => {
      const own = ownPull(lot);
      return (own?.highN ?? 0) - (own?.lowN ?? 0);
    };
    expect(widthOf(measured(3000, 3050, 2950, 3020))).toBeLessThan(0.6 * widthOf(measured(3000)));
    const misread = ownPull(measured(3000, 3050, 2950, 3020, 9000));
    expect(misread?.forceN).toBeGreaterThan(2950);
    expect(misread?.forceN).toBeLessThan(3100);
    expect(misread?.times.at(-1)?.weight).toBeLessThan(0.1);
  });

  it('holds the true pull in about nineteen of twenty, hands differing as they are taken to', () => {
    const random = scatterFrom(11);
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    for (const times of [1, 3, 8]) {
      let held = 0;
      for (let i = 0; i < 1500; i += 1) {
        const forces = Array.from({ length: times }, () => 3000 * (1 + 0.1 * normal()) + 50 * normal());
        const own = ownPull(measured(...forces));
        if (own !== null && own.lowN <= 3000 && own.highN >= 3000) held += 1;
      }
      expect(held / 1500).toBeGreaterThan(0.91);
      expect(held / 1500).toBeLessThan(0.985);
    }
  });

  it('goes by the mean of all its times, keeps the newest twelve, and is forgotten whole', () => {
    let lot = LOT;
    for (let i = 0; i < 15; i += 1) lot = measuredAgain(lot, time(3000 + 10 * i));
    expect(lot.measured?.map(({ forceN }) => forceN)[0]).toBe(3030);
    expect(lot.measured).toHaveLength(12);
    expect(lot.forceN).toBe(3085);
    expect(lot.perTurnN).toBe(1542);
    expect(ownPulls({ rack: [LOT, lot] })).toMatchObject([{ inUse: true, nowN: 3085 }]);
    expect(unmeasured(lot)).toEqual(LOT);
  });

  it('has no pull for what is drawn by a pump, and no turn where there is no handle', () => {
    expect(ownPull({ ...measured(3000), kind: 'vacuum' })).toBeNull();
    const bare = { ...LOT, measured: [{ ...time(900), perTurnN: null }] };
    expect(ownPull(bare)?.perTurnN).toBeNull();
    expect(asMeasured(bare)).not.toHaveProperty('perTurnN');
  });
});

import { DEMO_SHOP, wagonBuilds } from '../demo';
import { planBuild } from '../plan';
import { beforeLong } from '.';

const WHEN = { today: '2026-11-26', closesInMin: 300 };
const flats = () => {
  const found = wagonBuilds().find(({ id }) => id === 'scenery-flats')?.build;
  if (found === undefined) throw new Error('no flats');
  return { ...found, climate: null };
};

describe('a build looked at for its hour', () => {
  it('names the verdicts that the air of that hour breaks, and agrees with planning in it', () => {
    const cold = { tempC: 2, rhPct: 60 };
    const { worse } = beforeLong(flats(), DEMO_SHOP, WHEN, cold);
    expect(worse).toContain('inTime');
    expect(planBuild(flats(), { ...DEMO_SHOP, climate: cold }).verdicts.inTime.state).toBe('fails');
    expect(beforeLong(flats(), DEMO_SHOP, WHEN, DEMO_SHOP.climate).worse).toEqual([]);
    expect(beforeLong(flats(), DEMO_SHOP, WHEN, null).worse).toEqual([]);
  });

  it('asks no hour of a build that keeps an air of its own', () => {
    const own = { ...flats(), climate: DEMO_SHOP.climate };
    expect(beforeLong(own, DEMO_SHOP, WHEN, { tempC: 2, rhPct: 60 }).worse).toEqual([]);
  });
});

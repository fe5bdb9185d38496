import { readWallTime } from '../../calendar';
import { DEMO_SHOP, stageFloor, wagonBuilds } from '../../demo';
import type { BuildDocument, ShopDocument } from '../../formats';
import { planBuild } from '../plan-build';
import { buildToDate, shopCalendar } from './shop-calendar';
import { worthOfOneMore } from './worth';

const START = readWallTime('2026-03-02T08:00', 'start');
const HOURS = [1, 2, 3, 4, 5].map((day) => ({ day, fromMin: 480, toMin: 1080 }));
const wagon = (id: string): BuildDocument => {
  const found = wagonBuilds().find((each) => each.id === id)?.build;
  if (found === undefined) throw new Error(`the wagon has no ${id}`);
  return found;
};
const BUILDS: Readonly<Record<string, BuildDocument>> = {
  flats: wagon('scenery-flats'),
  more: { ...wagon('scenery-flats'), name: 'More flats' },
  floor: stageFloor(DEMO_SHOP),
};
const dated = (id: string, shop: ShopDocument) =>
  buildToDate(id, planBuild(BUILDS[id] as BuildDocument, shop));
const shopOf = (rack: ShopDocument['rack']): ShopDocument => ({
  ...DEMO_SHOP,
  rack,
  benches: [],
  week: { hours: HOURS, benches: 4 },
});

const ask = (ids: readonly string[], shop: ShopDocument, told = () => true) =>
  worthOfOneMore({
    builds: ids.map((id) => dated(id, shop)),
    shop,
    start: START,
    taken: [],
    replan: (id, more) => Promise.resolve(dated(id, more)),
    told,
  });

describe('worth of one more clamp', () => {
  it('agrees with planning everything anew, lot by lot', async () => {
    const shop = shopOf(DEMO_SHOP.rack.map((lot) => ({ ...lot, count: Math.min(lot.count, 3) })));
    const ids = Object.keys(BUILDS);
    const found = await ask(ids, shop);
    const calendar = (of: ShopDocument) =>
      shopCalendar(
        ids.map((id) => dated(id, of)),
        of,
        START,
      );
    const before = calendar(shop);
    for (const lot of shop.rack) {
      const after = calendar({
        ...shop,
        rack: shop.rack.map((each) => (each.id === lot.id ? { ...each, count: each.count + 1 } : each)),
      });
      const newly = new Set(after.sessions.map(({ build }) => build));
      before.sessions.forEach(({ build }) => newly.delete(build));
      const worth = found.find((each) => each.lot.id === lot.id);
      expect([lot.id, worth?.placed.length ?? 0]).toEqual([lot.id, newly.size]);
      if (newly.size === 0) {
        const fewer = Math.max(0, before.sessions.length - after.sessions.length);
        expect([lot.id, worth?.sessions ?? 0]).toEqual([lot.id, fewer]);
      }
    }
  });

  it('names the builds of which a verdict no longer fails, and nothing where there is enough of everything', async () => {
    const few = shopOf(DEMO_SHOP.rack.map((lot) => ({ ...lot, count: 1 })));
    const found = await ask(['floor'], few);
    expect(dated('floor', few).failing).toBeGreaterThan(0);
    const mends = few.rack.filter((lot) => {
      const more = {
        ...few,
        rack: few.rack.map((each) => (each.id === lot.id ? { ...each, count: 2 } : each)),
      };
      return dated('floor', more).failing < dated('floor', few).failing;
    });
    expect(
      found
        .filter(({ mended }) => mended.length > 0)
        .map(({ lot }) => lot.id)
        .sort(),
    ).toEqual(mends.map(({ id }) => id).sort());
    const plenty = shopOf(DEMO_SHOP.rack.map((lot) => ({ ...lot, count: 40 })));
    expect(await ask(['floor'], plenty)).toEqual([]);
  });

  it('finds the clamps that two builds wait for each other with', async () => {
    const shop = shopOf(DEMO_SHOP.rack.map((lot) => ({ ...lot, count: Math.min(lot.count, 6) })));
    const found = await ask(['floor', 'more', 'flats'], shop);
    const sooner = found.filter(({ soonerMin }) => soonerMin > 0);
    sooner.forEach(({ lot }) =>
      expect(['t-bar', 'pipe', 'parallel-jaw', 'f-heavy', 'trigger']).toContain(lot.kind),
    );
    expect([...found].sort((a, b) => b.soonerMin - a.soonerMin).map(({ lot }) => lot.id)).toEqual(
      found.map(({ lot }) => lot.id),
    );
  });

  it('stops when it is told to', async () => {
    let asked = 0;
    await ask(['flats'], shopOf(DEMO_SHOP.rack), () => {
      asked += 1;
      return false;
    });
    expect(asked).toBe(1);
  });
});

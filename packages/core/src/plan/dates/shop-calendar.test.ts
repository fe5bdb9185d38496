import { readWallTime } from '../../calendar';
import { DEMO_SHOP as LISTED, stageFloor, wagonBuilds } from '../../demo';
import { planBuild } from '../plan-build';
import { type BuildToDate, buildToDate, glueToGet, heldBy, shopCalendar } from './shop-calendar';

/** Benches are counted here. */
const DEMO_SHOP = { ...LISTED, benches: [] };
/** A Thursday. */
const MORNING = readWallTime('2026-11-26T08:00', 'start');

const some = ['scenery-flats', 'lantern', 'costume-trunk', 'lamp-posts'];
const builds: BuildToDate[] = [
  buildToDate('stage-floor', planBuild(stageFloor(DEMO_SHOP), DEMO_SHOP)),
  ...wagonBuilds()
    .filter(({ id }) => some.includes(id))
    .map(({ id, build }) => buildToDate(id, planBuild(build, DEMO_SHOP))),
];
const byId = (id: string) => builds.filter((build) => build.id === id);

describe('shopCalendar', () => {
  it('gives every session a place, in the order of starting, one bench at a time', () => {
    const { sessions, noPlace } = shopCalendar(builds, DEMO_SHOP, MORNING);
    expect(noPlace).toEqual([]);
    expect(sessions).toHaveLength(builds.reduce((sum, build) => sum + build.sessions.length, 0));
    sessions.slice(1).forEach((session, i) => {
      expect(session.start).toBeGreaterThanOrEqual((sessions[i]?.clampsOff ?? 0) - 1e-6);
    });
  });

  it('is over sooner with a second bench', () => {
    const finish = (benches: number) => {
      const week = { hours: [4, 5].map((day) => ({ day, fromMin: 480, toMin: 1020 })), benches };
      const { sessions } = shopCalendar(builds, { ...DEMO_SHOP, week }, MORNING);
      return Math.max(...sessions.map(({ clampsOff }) => clampsOff));
    };
    expect(finish(2)).toBeLessThan(finish(1));
  });

  it('waits for what is in clamps already', () => {
    const [flats] = byId('scenery-flats');
    if (flats === undefined) throw new Error('no flats');
    const until = MORNING + 95;
    const { sessions } = shopCalendar(byId('lantern'), DEMO_SHOP, MORNING, heldBy(flats, until));
    expect(sessions[0]?.start).toBeCloseTo(until, 6);
  });

  it('names builds that no day can hold, and dates the rest', () => {
    const huge = {
      id: 'huge',
      name: 'Huge',
      crew: 1,
      machineMin: 0,
      adhesive: 'hide-hot',
      volumeMl: 900,
      failing: 0,
    };
    const long = { workMin: 2000, clampMin: 60, crew: 1, bench: 1, clamps: {}, after: [] };
    const many = { ...long, workMin: 20, clamps: { band: 99 } };
    const { sessions, noPlace } = shopCalendar(
      [{ ...huge, sessions: [long] }, { ...huge, name: 'Greedy', sessions: [many] }, ...byId('lantern')],
      DEMO_SHOP,
      MORNING,
    );
    expect(noPlace).toEqual([
      { name: 'Huge', code: 'no-opening-long-enough' },
      { name: 'Greedy', code: 'too-few-clamps' },
    ]);
    expect(sessions.map(({ name }) => name)).toEqual([byId('lantern')[0]?.name]);
  });

  it('says what to start last before closing: the longest in clamps, still done in time', () => {
    const { lastOfDay, sessions } = shopCalendar(builds, DEMO_SHOP, MORNING);
    const closes = readWallTime('2026-11-26T17:00', 'closes');
    if (lastOfDay === null) throw new Error('nothing to start last');
    const { session, by } = lastOfDay;
    expect(by + (session.handsEnd - session.start)).toBeCloseTo(closes, 6);
    const inClamps = (each: (typeof sessions)[number]) => each.clampsOff - each.handsEnd;
    const today = sessions.filter(({ start }) => start < closes);
    expect(inClamps(session)).toBeCloseTo(Math.max(...today.map(inClamps)), 6);
  });
});

describe('glueToGet', () => {
  it('sums what builds want by glue and names only what the shelf lacks', () => {
    const bottles = [{ id: 'b', adhesive: 'pva-interior', openedOn: null, remainingMl: 100 }];
    const want = (name: string, adhesive: string, volumeMl: number): BuildToDate => ({
      id: name,
      name,
      crew: 1,
      sessions: [],
      failing: 0,
      machineMin: 0,
      adhesive,
      volumeMl,
    });
    const builds = [want('a', 'pva-interior', 70), want('b', 'pva-interior', 60), want('c', 'epoxy-slow', 5)];
    expect(glueToGet(builds, { ...DEMO_SHOP, bottles })).toEqual([
      { adhesive: 'pva-interior', wantedMl: 130, thereMl: 100, builds: ['a', 'b'] },
      { adhesive: 'epoxy-slow', wantedMl: 5, thereMl: 0, builds: ['c'] },
    ]);
    expect(glueToGet([want('a', 'pva-interior', 100)], { ...DEMO_SHOP, bottles })).toEqual([]);
  });
});

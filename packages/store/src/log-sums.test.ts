import { DEMO_SHOP, seasonRuns } from '@lean-clasp/core/demo';
import { evidenceOf, type Trends } from '@lean-clasp/core/learning';
import { readAfterwards, readRun } from '@lean-clasp/core/runs';
import { type Database, openDatabase } from './database';
import { type RunStore, runStore } from './runs';

const NOW = 1_780_000_000_000;
const SEASON = seasonRuns(DEMO_SHOP, NOW);

describe('the log added up', () => {
  let db: Database;
  let runs: RunStore;
  let trends: Trends;

  beforeAll(async () => {
    db = await openDatabase(':memory:');
    runs = runStore(db, () => NOW);
    for (const { events, ...head } of SEASON) {
      await runs.begin(head);
      await runs.add(head.id, events);
    }
    // One that was only begun, and one that cannot be read, tell nothing and stop nothing.
    const [first] = SEASON;
    if (first === undefined) throw new Error('the demo has a season');
    const { events, ...head } = first;
    expect(events.length).toBeGreaterThan(10);
    await runs.begin({ ...head, id: 'only-begun' });
    await runs.begin({ ...head, id: 'unreadable' });
    await db.updateTable('runs').set({ summary: '', evidence: '' }).where('id', '=', 'unreadable').execute();
    trends = await runs.trends();
  });
  afterAll(() => db.destroy());

  const taught = SEASON.flatMap((run) => evidenceOf(run) ?? []);

  it('keeps what each glue-up teaches, the newest first', async () => {
    const kept = await runs.evidence(3);
    expect(kept).toEqual(taught.slice(-3).reverse());
    expect(await runs.evidence(400)).toHaveLength(taught.length);
  });

  it('tells with each line of the log how much of its fuse was burnt', async () => {
    const { runs: lines } = await runs.page({ limit: 400 });
    const told = new Map(lines.map(({ id, fuseUsed }) => [id, fuseUsed]));
    for (const { runId, fuseUsed } of taught) expect(told.get(runId)).toBe(fuseUsed);
    expect(told.get('only-begun')).toBeNull();
  });

  it('has the pace that adding up by hand gives', () => {
    const byHand = new Map<string, [number, number]>();
    for (const { atMs, works } of taught) {
      for (const { work, takenMin, builtInMin } of works) {
        const key = `${new Date(atMs).toISOString().slice(0, 7)} ${work}`;
        const [taken, builtIn] = byHand.get(key) ?? [0, 0];
        byHand.set(key, [taken + takenMin, builtIn + builtInMin]);
      }
    }
    const byWork = trends.pace.filter(({ method }) => method === '');
    expect(byWork).toHaveLength(byHand.size);
    for (const { month, work, factor } of byWork) {
      const [taken, builtIn] = byHand.get(`${month} ${work}`) ?? [0, 1];
      expect(factor).toBeCloseTo(taken / builtIn, 9);
    }
    expect(
      new Set(trends.pace.filter(({ method }) => method !== '').map(({ method }) => method)).size,
    ).toBeGreaterThan(1);
  });

  it('has the Brier score that adding up by hand gives', () => {
    const told = taught.flatMap(({ likely, kept }) =>
      likely === null || kept === null ? [] : [{ likely, kept: kept ? 1 : 0 }],
    );
    const brier = told.reduce((sum, { likely, kept }) => sum + (likely - kept) ** 2, 0) / told.length;
    expect(trends.calibration.brier).toBeCloseTo(brier, 9);
    expect(trends.calibration.bins.reduce((sum, bin) => sum + bin.runs, 0)).toBe(told.length);
    const mean = told.reduce((sum, { kept }) => sum + kept, 0) / told.length;
    expect(trends.calibration.brierOfMean).toBeCloseTo(mean * (1 - mean), 9);
  });

  it('counts causes and coupons', () => {
    expect(trends.causes.find(({ cause }) => cause === 'too-cold')?.runs).toBe(1);
    const coupons = trends.coupons.reduce((sum, { runs: count }) => sum + count, 0);
    expect(coupons).toBeGreaterThan(8);
    expect(trends.reached.every(({ flatMm, squareMm }) => flatMm !== null || squareMm !== null)).toBe(true);
    expect(trends.glue.every(({ gPerM2 }) => gPerM2 > 50 && gPerM2 < 1000)).toBe(true);
  });

  it('tells coupons bottle by bottle, and glue taken where it was weighed', () => {
    const broken = SEASON.flatMap((run) => {
      const pct = readAfterwards(run).coupon?.woodFailurePct ?? null;
      return pct === null ? [] : [{ pct, bottle: run.promise.bottle?.id }];
    });
    const bottles = new Set(broken.map(({ bottle }) => bottle));
    expect(bottles.size).toBeGreaterThan(1);
    for (const bottle of bottles) {
      const own = broken.filter((each) => each.bottle === bottle);
      const told = trends.coupons.filter((each) => each.bottle === bottle);
      expect(new Set(told.map(({ openedOn }) => openedOn)).size).toBe(1);
      const sum = told.reduce((total, { runs: count, pct }) => total + count * pct, 0);
      expect(sum).toBeCloseTo(
        own.reduce((total, { pct }) => total + pct, 0),
        6,
      );
    }
    const weighed = SEASON.flatMap((run) => {
      const { glueG } = readRun(run).record;
      return glueG === null ? [] : [{ run, glueG }];
    });
    const months = weighed.map(({ run }) => new Date(run.startedAtMs).toISOString().slice(0, 7));
    for (const { month, takenGPerM2 } of trends.glue) {
      const own = weighed.filter((_, i) => months[i] === month);
      if (own.length === 0) expect(takenGPerM2).toBeNull();
      else
        expect(takenGPerM2).toBeCloseTo(
          own.reduce((sum, { glueG }) => sum + glueG, 0) /
            own.reduce((sum, { run }) => sum + (run.promise.job?.gluedM2 ?? 0), 0),
          9,
        );
    }
    expect(weighed.length).toBeGreaterThan(5);
  });

  it('counts where a lesson was told, and where it went wrong all the same', () => {
    const told = SEASON.filter(({ promise }) =>
      promise.lessons?.some(({ lesson }) => lesson === 'planed-too-early'),
    );
    const wrong = told.filter(({ events }) => events.some(({ payload }) => payload?.cause));
    expect(told.length).toBeGreaterThan(5);
    expect(trends.lessons.find(({ lesson }) => lesson === 'planed-too-early')).toEqual({
      lesson: 'planed-too-early',
      runs: told.length,
      wrong: wrong.length,
    });
  });

  it('is narrowed by words, kind, glue and what went wrong', async () => {
    const of = async (asked: Partial<Parameters<RunStore['page']>[0]>) =>
      (await runs.page({ limit: 100, ...asked })).runs.map(({ buildName }) => buildName);
    expect(new Set(await of({ text: 'flats' }))).toEqual(new Set(['Winter flats']));
    expect(await of({ text: 'telephone' })).toEqual(['Sledge runners']);
    expect(await of({ text: '100%' })).toEqual([]);
    expect(new Set(await of({ template: 'case' }))).toEqual(new Set(['Prop crates']));
    expect(await of({ adhesive: 'epoxy-slow' })).toEqual([]);
    expect((await of({ wrong: true })).length).toBe(
      SEASON.filter(({ events }) => events.some(({ payload }) => payload?.cause)).length,
    );
  });
});

it('adds up to nothing where nothing was run', async () => {
  const db = await openDatabase(':memory:');
  const { calibration, ...rest } = await runStore(db, () => NOW).trends();
  expect(Object.values(rest).flat()).toEqual([]);
  expect(calibration).toEqual({ bins: [], brier: null, brierOfMean: null });
  await db.destroy();
});

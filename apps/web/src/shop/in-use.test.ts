import { type RunSummary, summaryOf } from '@lean-clasp/core/runs';
import { DEMO_SHOP, pastRuns, stageFloor } from '@lean-clasp/core/demo';
import { freeNow, inUse } from './in-use';

const NOW = 1_780_000_000_000;
const [past] = pastRuns(stageFloor(DEMO_SHOP), 'stage-floor', DEMO_SHOP, NOW).map(summaryOf);
if (past === undefined) throw new Error('the demo has runs');
const clampedAt = (minutesAgo: number, change: Partial<RunSummary> = {}): RunSummary => ({
  ...past,
  clampedAtMs: NOW - minutesAgo * 60_000,
  promise: { ...past.promise, clampMin: 60, lots: [{ rackId: 'pipe', count: 3 }] },
  ...change,
});

describe('what is tied up now', () => {
  it('counts clamps until they may come off, and says until when', () => {
    const tied = inUse([clampedAt(20), clampedAt(50), clampedAt(61)], NOW);
    expect(tied.get('pipe')).toEqual({
      count: 6,
      untilMs: NOW + 40 * 60_000,
      builds: ['Stage floor', 'Stage floor'],
    });
  });

  it('does not know when a glue-up under way lets go, and forgets those given up', () => {
    expect(inUse([clampedAt(0, { state: 'running' })], NOW).get('pipe')?.untilMs).toBeNull();
    expect(inUse([clampedAt(5, { state: 'abandoned' })], NOW).size).toBe(0);
    const old = clampedAt(5);
    // Runs from before lots were noted hold nothing that is known.
    const before = Object.fromEntries(Object.entries(old.promise).filter(([key]) => key !== 'lots'));
    expect(inUse([{ ...old, promise: before as RunSummary['promise'] }], NOW).size).toBe(0);
  });

  it('leaves on the rack only what is free, never less than nothing', () => {
    const countOf = (id: string, shop = DEMO_SHOP) => shop.rack.find((lot) => lot.id === id)?.count ?? NaN;
    const free = freeNow(DEMO_SHOP, inUse([clampedAt(20)], NOW));
    expect(countOf('pipe', free)).toBe(countOf('pipe') - 3);
    expect(countOf('trigger', free)).toBe(countOf('trigger'));
    const many = Array.from({ length: 9 }, () => clampedAt(20));
    expect(countOf('pipe', freeNow(DEMO_SHOP, inUse(many, NOW)))).toBe(0);
  });

  it('freezes the lots of a plan with its promise, ends of cauls too', () => {
    const lots = past.promise.lots ?? [];
    expect(lots.find(({ rackId }) => rackId === 'trigger')?.count).toBe(4);
    expect(lots.reduce((sum, { count }) => sum + count, 0)).toBe(4 + past.promise.clamps);
  });
});

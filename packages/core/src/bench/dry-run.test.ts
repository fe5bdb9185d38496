import fc from 'fast-check';
import { planBuild } from '../plan';
import { maplePanel, TEST_SHOP } from '../test-support/builds';
import { benchScript, dryRunOf, type Lap, stepsOfSession } from '.';

const script = benchScript(planBuild(maplePanel({ crew: 1 }), TEST_SHOP));
const steps = stepsOfSession(script);
const lapsAt = (factor: (i: number) => number): Lap[] =>
  steps.map(({ id, startMin, endMin }, i) => ({
    operation: id,
    tookMs: (endMin - startMin) * 60_000 * factor(i),
    mishap: false,
  }));

describe('a dry run', () => {
  it('walks every step once, in the order of the bench', () => {
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
    expect(steps.map(({ endMin }) => endMin)).toEqual(
      steps.map(({ endMin }) => endMin).sort((a, b) => a - b),
    );
  });

  it('finds the pace it was walked at, whatever that was, of the whole and of each kind', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.4, max: 3, noNaN: true }),
        fc.integer({ min: 1, max: 20 }),
        (pace, of) => {
          const found = dryRunOf(script, lapsAt(() => pace).slice(0, of));
          expect(found?.whole.factor).toBeCloseTo(pace, 6);
          expect(found?.hesitations).toEqual([]);
          const kinds = found?.byKind ?? [];
          const sum = (name: 'plannedMin' | 'takenMin' | 'count') =>
            kinds.reduce((all, each) => all + each[name], 0);
          expect(sum('plannedMin')).toBeCloseTo(found?.whole.plannedMin ?? NaN, 9);
          expect(sum('takenMin')).toBeCloseTo(found?.whole.takenMin ?? NaN, 9);
          expect(sum('count')).toBe(of);
        },
      ),
      { seed: 31, numRuns: 60 },
    );
  });

  it('names the step at which somebody had to think, and leaves mishaps out of the pace', () => {
    const slow = lapsAt((i) => (i === 4 ? 9 : 1));
    expect(dryRunOf(script, slow)?.hesitations).toEqual([steps[4]?.id]);
    const noted = slow.map((lap, i) => ({ ...lap, mishap: i === 4 }));
    expect(dryRunOf(script, noted)?.whole.factor).toBeCloseTo(1, 6);
    expect(dryRunOf(script, noted)?.hesitations).toEqual([]);
  });

  it('tells a pace only where enough was walked, and no faster than hands go', () => {
    expect(
      dryRunOf(
        script,
        lapsAt(() => 1.2),
      )?.tells,
    ).toBe(true);
    expect(dryRunOf(script, lapsAt(() => 1.2).slice(0, 5))?.tells).toBe(false);
    expect(
      dryRunOf(
        script,
        lapsAt(() => 0.06),
      )?.tells,
    ).toBe(false);
  });

  it('comes to nothing while nothing was walked', () => {
    expect(dryRunOf(script, [])).toBeNull();
    expect(dryRunOf(script, [{ operation: 'gone', tookMs: 1000, mishap: false }])).toBeNull();
  });
});

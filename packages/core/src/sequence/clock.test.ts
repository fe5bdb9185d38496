import fc from 'fast-check';
import { searchClock } from './clock-search';
import { type Job, spanOf, usedShare, type Work } from './job';
import { Lags } from './lags';
import { arcsOf } from './tightest';

const KINDS = ['spread', 'close', 'clamp'] as const;

/** A few works in whole minutes, some before others, some soon after others. */
const jobs = (mostHands: number): fc.Arbitrary<Job> =>
  fc
    .record({
      works: fc.array(
        fc.record({ minutes: fc.integer({ min: 1, max: 3 }), hands: fc.integer({ min: 1, max: mostHands }) }),
        { minLength: 2, maxLength: 5 },
      ),
      before: fc.array(fc.tuple(fc.nat(4), fc.nat(4)), { maxLength: 4 }),
      limits: fc.array(
        fc.record({
          from: fc.nat(4),
          to: fc.nat(4),
          fromEnd: fc.boolean(),
          windowMin: fc.integer({ min: 2, max: 7 }),
        }),
        { maxLength: 3 },
      ),
    })
    .map(({ works, before, limits }) => {
      const at = (i: number) => i % works.length;
      return {
        works: works.map((work, i): Work => ({ ...work, kind: KINDS[i % 3] ?? 'spread', joints: [i] })),
        before: before.flatMap(([x, y]): [number, number][] => (at(x) < at(y) ? [[at(x), at(y)]] : [])),
        limits: limits
          .map((limit) => ({ ...limit, from: at(limit.from), to: at(limit.to) }))
          .filter(({ from, to }) => from !== to),
      };
    });

/** Whether starts keep every order, window and pair of hands, and end in time; looked at minute by minute. */
function keeps(job: Job, crew: number, spanMin: number, startMin: readonly number[]): boolean {
  const end = (i: number) => (startMin[i] ?? 0) + (job.works[i]?.minutes ?? 0);
  if (spanOf(job, startMin) > spanMin + 1e-6 || usedShare(job, startMin) > 1 + 1e-6) return false;
  if (!job.before.every(([x, y]) => end(x) <= (startMin[y] ?? 0) + 1e-6)) return false;
  return startMin.every((now) => {
    const busy = job.works.filter((_, i) => (startMin[i] ?? 0) <= now + 1e-6 && end(i) > now + 1e-6);
    return busy.reduce((sum, { hands }) => sum + hands, 0) <= crew;
  });
}

/** Every way of starting all works at whole minutes. With whole minutes throughout, some of these is as good as any. */
function* everyStart(job: Job, spanMin: number, begun: readonly number[] = []): Generator<readonly number[]> {
  const next = job.works[begun.length];
  if (next === undefined) {
    yield begun;
    return;
  }
  for (let at = 0; at + next.minutes <= spanMin; at += 1) yield* everyStart(job, spanMin, [...begun, at]);
}

describe('the clock', () => {
  it('finds starts that keep everything where there are some, and tells where there are none', () => {
    const seen = { found: 0, none: 0 };
    fc.assert(
      fc.property(
        jobs(2),
        fc.integer({ min: 2, max: 3 }),
        fc.integer({ min: 4, max: 8 }),
        (job, crew, spanMin) => {
          const answer = searchClock(job, crew, { usedShare: 1, spanMin }, { left: Infinity });
          if (answer === 'gave-up') throw new Error('there was no end to the effort');
          const some = [...everyStart(job, spanMin)].find((startMin) => keeps(job, crew, spanMin, startMin));
          expect(answer === null).toBe(some === undefined);
          if (answer !== null) expect(keeps(job, crew, spanMin, answer.startMin)).toBe(true);
          seen[answer === null ? 'none' : 'found'] += 1;
        },
      ),
      { seed: 21, numRuns: 400 },
    );
    expect(seen.found).toBeGreaterThan(60);
    expect(seen.none).toBeGreaterThan(60);
  });

  it('gives up where its effort ends before either is known', () => {
    const work: Work = { kind: 'close', joints: [0], minutes: 2, hands: 1 };
    const job: Job = { works: [work, work, work, work], before: [], limits: [] };
    expect(searchClock(job, 1, { usedShare: 1, spanMin: 8 }, { left: 1 })).toBe('gave-up');
    expect(searchClock(job, 1, { usedShare: 1, spanMin: 8 }, { left: 100 })).not.toBe('gave-up');
  });

  it('keeps one of the alternatives, and says which', () => {
    const work = (minutes: number): Work => ({ kind: 'close', joints: [0], minutes, hands: 1 });
    const job: Job = { works: [work(3), work(2), work(1)], before: [[0, 1]], limits: [] };
    const answer = searchClock(job, 2, { usedShare: 1, spanMin: 5 }, { left: 100 }, [
      // This would take six minutes.
      [[1, 2]],
      [[2, 1]],
    ]);
    expect(answer).toMatchObject({ alternative: 1 });
  });
});

/** Longest ways from each to each (Floyd and Warshall); null where one leads back to where it began, and is longer than nothing. */
function longestWays(size: number, arcs: readonly (readonly [number, number, number])[]): number[][] | null {
  const way = Array.from({ length: size }, (_, i) =>
    Array.from({ length: size }, (_, j) => (i === j ? 0 : -Infinity)),
  );
  const at = (i: number, j: number) => way[i]?.[j] ?? -Infinity;
  const lengthen = (i: number, j: number, minutes: number) => {
    const row = way[i];
    if (row !== undefined && minutes > at(i, j)) row[j] = minutes;
  };
  for (const [i, j, minutes] of arcs) lengthen(i, j, minutes);
  for (let k = 0; k < size; k += 1) {
    for (let i = 0; i < size; i += 1) {
      for (let j = 0; j < size; j += 1) lengthen(i, j, at(i, k) + at(k, j));
    }
  }
  return way.some((row, i) => (row[i] ?? 0) > 1e-9) ? null : way;
}

describe('lags', () => {
  it('are the longest ways between works, and contradict each other where a way leads round', () => {
    const seen = { kept: 0, contradicted: 0 };
    fc.assert(
      fc.property(jobs(1), fc.integer({ min: 2, max: 7 }), (job, spanMin) => {
        const works = job.works.length;
        const [begin, end] = [works, works + 1];
        const expected = longestWays(works + 2, [
          ...arcsOf(job, []).map(({ from, to, baseMin, windowMin }): [number, number, number] => [
            from,
            to,
            baseMin - 0.75 * windowMin,
          ]),
          ...job.works.flatMap(({ minutes }, i): [number, number, number][] => [
            [begin, i, 0],
            [i, end, minutes],
          ]),
          [end, begin, -spanMin],
        ]);
        const lags = Lags.of(job, 0.75, spanMin);
        expect(lags === null).toBe(expected === null);
        seen[lags === null ? 'contradicted' : 'kept'] += 1;
        if (lags === null || expected === null) return;
        for (let i = 0; i < works; i += 1) {
          expect(lags.earliestOf(i)).toBeCloseTo(expected[begin]?.[i] ?? NaN, 9);
          expect(lags.latestOf(i)).toBeCloseTo(-(expected[i]?.[begin] ?? NaN), 9);
          for (let j = 0; j < works; j += 1) {
            const wanted = expected[i]?.[j] ?? NaN;
            if (wanted === -Infinity) expect(lags.between(i, j)).toBe(-Infinity);
            else expect(lags.between(i, j)).toBeCloseTo(wanted, 9);
          }
        }
      }),
      { seed: 22, numRuns: 300 },
    );
    expect(seen.kept).toBeGreaterThan(50);
    expect(seen.contradicted).toBeGreaterThan(50);
  });

  it('leave a copy as it is', () => {
    const work: Work = { kind: 'spread', joints: [0], minutes: 1, hands: 1 };
    const lags = Lags.of({ works: [work, work], before: [], limits: [] }, 1, 10);
    const copy = lags?.copy();
    expect(lags?.insert(0, 1, 4)).toBe(true);
    expect(lags?.earliestOf(1)).toBe(4);
    expect(copy?.earliestOf(1)).toBe(0);
    expect(lags?.insert(1, 0, 1)).toBe(false);
  });
});

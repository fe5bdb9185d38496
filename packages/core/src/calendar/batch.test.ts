import fc from 'fast-check';
import { type BatchJob, batchOf } from './batch';

const jobs = fc.record({
  pieces: fc.integer({ min: 1, max: 14 }),
  handsOnMin: fc.integer({ min: 1, max: 12 }),
  clampMin: fc.integer({ min: 0, max: 40 }),
  unclampMin: fc.integer({ min: 0, max: 3 }),
  clampSets: fc.integer({ min: 1, max: 6 }),
});

/** The same rules minute by minute: the next piece where there are clamps for it, else off with what is due. */
function byTheMinute({ pieces, handsOnMin, clampMin, unclampMin, clampSets }: BatchJob) {
  const startMin: number[] = [];
  const cured: number[] = [];
  let [minute, busyUntil, done] = [0, 0, 0];
  while (startMin.length < pieces || cured.length > 0) {
    if (minute >= busyUntil) {
      const mayBegin = startMin.length < pieces && cured.length < clampSets;
      if (!mayBegin && (cured[0] ?? Infinity) <= minute) {
        cured.shift();
        busyUntil = minute + unclampMin;
        done = busyUntil;
        // Taking off may take no time at all: the same minute goes on.
        if (unclampMin === 0) continue;
      } else if (mayBegin) {
        startMin.push(minute);
        busyUntil = minute + handsOnMin;
        cured.push(busyUntil + clampMin);
      }
    }
    minute += 1;
  }
  return { startMin, done };
}

describe('batchOf', () => {
  it('does as the rules say, minute by minute', () => {
    fc.assert(
      fc.property(jobs, (job) => {
        const { startMin, doneMin } = batchOf(job);
        expect({ startMin, done: doneMin }).toEqual(byTheMinute(job));
      }),
      { numRuns: 300 },
    );
  });

  it('flows at the rate it states, once it flows', () => {
    fc.assert(
      fc.property(jobs, (job) => {
        const many = 240;
        const { startMin, perHour } = batchOf({ ...job, pieces: many });
        const half = many / 2;
        const eachMin = ((startMin[many - 1] ?? 0) - (startMin[half - 1] ?? 0)) / half;
        // Half a round of clamps may fall on either side of what is measured.
        const slack = (job.handsOnMin + job.clampMin + job.unclampMin) / half;
        expect(Math.abs(60 / perHour - eachMin)).toBeLessThanOrEqual(slack + 1e-9);
      }),
      { numRuns: 200 },
    );
  });

  it('tells how many sets of clamps let it flow: with those hands hold it up, with one fewer clamps do', () => {
    fc.assert(
      fc.property(jobs, (job) => {
        const { clampSetsToFlow: enough } = batchOf(job);
        expect(batchOf({ ...job, clampSets: enough }).heldUpBy).toBe('hands');
        if (enough > 1) expect(batchOf({ ...job, clampSets: enough - 1 }).heldUpBy).toBe('clamps');
      }),
    );
  });
});

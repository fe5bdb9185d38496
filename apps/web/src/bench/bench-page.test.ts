import type { FuseReading } from '@lean-clasp/core/bench';
import { type RunSummary, summaryOf } from '@lean-clasp/core/runs';
import { DEMO_SHOP, pastRuns, stageFloor } from '@lean-clasp/core/demo';
import { cuesPassed, cueWords } from './cues';
import { instantWords, releaseOf } from './release';

const reading = (leftMin: number | null, burnt: number): FuseReading => ({
  fuse: {
    joint: 'b_c',
    label: 'B–C',
    lit: 'spread:b_c',
    closed: 'close:b_c',
    holds: ['spread:b_c', 'close:b_c'],
    openMin: 4,
    closedMin: 6,
    totalMin: 10,
  },
  state: leftMin === null ? 'unlit' : 'open',
  leftMin,
  burnt,
});
const cues = (leftMin: number | null, burnt: number) =>
  cuesPassed(reading(leftMin, burnt)).map(({ cue }) => cue);

describe('releaseOf', () => {
  const [past] = pastRuns(stageFloor(DEMO_SHOP), 'stage-floor', DEMO_SHOP, Date.now()).map(summaryOf);
  if (past === undefined) throw new Error('no past run');

  it('goes by what was promised until the clamps are off, and by that from then on', () => {
    const promised = releaseOf(past).clampsOffMs ?? 0;
    expect(promised).toBe((past.clampedAtMs ?? 0) + (past.promise.clampMin ?? NaN) * 60_000);
    const early = promised - 600_000;
    expect(releaseOf({ ...past, clampsOffAtMs: early })).toEqual({
      ...releaseOf(past),
      clampsOffMs: early,
    });
  });
});

describe('cues', () => {
  it('come at half, at two minutes and at the end', () => {
    expect(cues(3, 0.25)).toEqual([]);
    expect(cues(2.5, 0.5)).toEqual(['half']);
    expect(cues(1.9, 0.55)).toEqual(['half', 'two-minutes']);
    expect(cues(-0.1, 1)).toEqual(['half', 'two-minutes', 'out']);
    expect(cues(null, 0)).toEqual([]);
  });

  it('carry a key of their own for each window of each fuse', () => {
    const open = cuesPassed(reading(1, 0.8));
    const closed = cuesPassed({ ...reading(1, 0.8), state: 'closed' });
    expect(new Set([...open, ...closed].map(({ key }) => key)).size).toBe(4);
    expect(cueWords('half', 'B–C')).toBe('B C, half its time gone');
  });
});

describe('release times', () => {
  const [run] = pastRuns(stageFloor(DEMO_SHOP), 'b', DEMO_SHOP, 1_780_000_000_000).map(summaryOf) as [
    RunSummary,
  ];

  it('count from the last clamp by what was promised', () => {
    const { clampsOffMs } = releaseOf(run);
    expect(((clampsOffMs ?? 0) - (run.clampedAtMs ?? 0)) / 60_000).toBeCloseTo(run.promise.clampMin ?? 0, 6);
    expect(releaseOf({ ...run, clampedAtMs: null })).toEqual({ clampsOffMs: null, machineMs: null });
  });

  it('are said as one says them', () => {
    const noon = new Date(2026, 3, 14, 12, 0).getTime();
    const hours = 3_600_000;
    expect(instantWords(noon + 2 * hours, noon)).toBe('today 14:00');
    expect(instantWords(noon + 20 * hours, noon)).toBe('tomorrow 08:00');
    expect(instantWords(noon - 13 * hours, noon)).toBe('yesterday 23:00');
    expect(instantWords(noon + 48 * hours, noon)).toBe('16 Apr 2026, 12:00');
  });
});

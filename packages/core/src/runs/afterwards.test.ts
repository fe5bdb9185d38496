import fc from 'fast-check';
import { RECHECKS, type RunEvent, STRETCH_LOOKS } from '../formats';
import { couponState, nextRecheck, readAfterwards, summaryOf } from '.';

const START = 1_780_000_000_000;
const DAY = 86_400_000;

const told = (seq: number, more: Partial<RunEvent>, device = 'a'): RunEvent => ({
  id: `${device}-${seq}`,
  device,
  seq,
  atMs: START + seq * 1000,
  hand: 0,
  kind: 'note',
  ...more,
});
const stretch = (look: (typeof STRETCH_LOOKS)[number]) => ({ look, where: 'end' as const, gapMm: null });

describe('what is noted once the piece is left alone', () => {
  it('is the newest telling of each thing, whatever came of the others', () => {
    const events = [
      told(0, { joint: 'j1', payload: { stretches: [stretch('open')] } }),
      told(1, { joint: 'j2', payload: { stretches: [stretch('starved'), stretch('ridge')] } }),
      told(2, { joint: 'j1', payload: { stretches: [] } }),
      told(3, { payload: { picture: { id: 'p1', caption: '', gone: false } } }),
      told(4, { payload: { picture: { id: 'p2', caption: '', gone: false } } }),
      told(5, { payload: { picture: { id: 'p1', caption: 'the stop', gone: false } } }),
      told(6, { payload: { picture: { id: 'p2', caption: '', gone: true } } }),
      told(7, { payload: { coupon: { woodFailurePct: null } } }),
      told(8, { payload: { coupon: { woodFailurePct: 80 } } }),
      told(9, { payload: { recheck: { due: 'week', found: 'opened' } } }),
      told(10, { payload: { recheck: { due: 'week', found: 'sound' } } }),
    ];
    const { stretches, pictures, coupon, rechecks } = readAfterwards({ events });
    expect(stretches.get('j1')).toEqual([]);
    expect(stretches.get('j2')).toHaveLength(2);
    expect(pictures).toEqual([{ id: 'p1', caption: 'the stop', atMs: START + 3000 }]);
    expect(coupon?.woodFailurePct).toBe(80);
    expect(rechecks.get('week')?.found).toBe('sound');
  });

  it('tells readings with the clamps off from those at the bench', () => {
    const reading = (off: number) => ({
      check: 'winding',
      values: { high: 'B', wind: off },
      accepted: false,
    });
    const events = [
      told(0, { kind: 'reading', operation: 'check:winding', payload: { reading: reading(3) } }),
      told(1, { kind: 'reading', payload: { reading: reading(1) } }),
    ];
    expect([...readAfterwards({ events }).readings.values()].map(({ values }) => values.wind)).toEqual([1]);
  });

  it('is the same in whatever order it arrives from several devices', () => {
    const some = fc.array(
      fc.record({
        device: fc.constantFrom('a', 'b'),
        joint: fc.constantFrom('j1', 'j2'),
        look: fc.constantFrom(...STRETCH_LOOKS),
        due: fc.constantFrom(...RECHECKS),
        pct: fc.integer({ min: 0, max: 100 }),
      }),
      { maxLength: 20 },
    );
    fc.assert(
      fc.property(some, fc.nat(20), (drafts, at) => {
        const events = drafts.map(({ device, joint, look, due, pct }, seq) =>
          told(
            seq,
            {
              joint,
              payload: {
                stretches: [stretch(look)],
                coupon: { woodFailurePct: pct },
                recheck: { due, found: 'sound' },
              },
            },
            device,
          ),
        );
        const shuffled = [...events.slice(at), ...events.slice(0, at)];
        expect(readAfterwards({ events: shuffled })).toEqual(readAfterwards({ events }));
      }),
      { seed: 17, numRuns: 100 },
    );
  });
});

describe('later looks', () => {
  it('come after a week and after a season, and end where the piece is out of reach', () => {
    expect(nextRecheck(START, {}, START)).toEqual({ due: 'week', atMs: START + 7 * DAY });
    expect(nextRecheck(START, { week: 'sound' }, START)).toEqual({ due: 'season', atMs: START + 91 * DAY });
    expect(nextRecheck(START, { week: 'sound', season: 'moved' }, START)).toBeNull();
    expect(nextRecheck(START, { week: 'out-of-reach' }, START)).toBeNull();
    expect(nextRecheck(null, {}, START)).toBeNull();
  });

  it('are let be once their time is long past: the week passes into the season, and that into nothing', () => {
    expect(nextRecheck(START, {}, START + 68 * DAY)?.due).toBe('season');
    expect(nextRecheck(START, {}, START + 152 * DAY)).toBeNull();
  });
});

describe('a broken coupon', () => {
  it.each([
    [100, 'holds'],
    [75, 'holds'],
    [74, 'close'],
    [50, 'close'],
    [49, 'fails'],
    [0, 'fails'],
  ] as const)('with %s %% of torn wood %s', (pct, state) => {
    expect(couponState(pct)).toBe(state);
  });

  it('and the looks stand in the summary of its run', () => {
    const promise = {
      adhesive: 'pva-interior',
      climate: { tempC: 20, rhPct: 50 },
      crew: 1,
      clamps: 4,
      handsOnMin: 8,
      windowMin: 10,
      lowestMPa: 1,
      flatMm: 0.4,
      clampMin: 40,
      machineMin: 1440,
    };
    const run = {
      format: 'lean-clasp/run' as const,
      version: 2 as const,
      id: 'r',
      buildId: 'b',
      buildName: 'Shelf',
      buildRevision: null,
      session: 0,
      piece: 0,
      startedAtMs: START,
      script: null,
      promise,
      events: [
        told(0, { kind: 'finish' }),
        told(1, { payload: { coupon: { woodFailurePct: 60 } } }),
        told(2, { payload: { recheck: { due: 'week', found: 'line-shows' } } }),
      ],
    };
    expect(summaryOf(run)).toMatchObject({ couponPct: 60, rechecks: { week: 'line-shows' } });
  });
});

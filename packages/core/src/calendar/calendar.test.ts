import fc from 'fast-check';
import { findCalculation } from '../calculations';
import { InputError } from '../basics/checks';
import cases from '../test-support/reference/calendar.json';
import type { CalendarInput } from './input';
import { Openings } from './openings';
import { minuteOfWeek, readWallTime, writeWallTime } from './wall-time';

interface Answer {
  readonly items: readonly {
    readonly id: string;
    readonly start: string;
    readonly handsEnd: string;
    readonly clampsOff: string;
  }[];
  readonly finish: string | null;
  readonly status: string;
  readonly findings: readonly { readonly code: string; readonly sessions: readonly string[] }[];
}

function calendar(input: unknown): Answer {
  return findCalculation('calendar')?.compute(input as never) as Answer;
}

const minutes = (text: string) => readWallTime(text.slice(0, 16), 'test') + Number(text.slice(17)) / 60;

function isIn({ day, fromMin, toMin }: CalendarInput['hours'][number], at: number): boolean {
  const week = minuteOfWeek(at);
  return week >= day * 1440 + fromMin && week < day * 1440 + toMin;
}

/** Rules broken by dates, in words: hours, hands, benches, clamps and waits, looked at minute by minute. */
function violations(input: CalendarInput, { items }: Answer): string[] {
  const found: string[] = [];
  const placed = items.map((item) => ({
    ...input.sessions.find(({ id }) => id === item.id),
    from: minutes(item.start),
    handsEnd: minutes(item.handsEnd),
    off: minutes(item.clampsOff),
  }));
  for (const one of placed) {
    for (let at = one.from; at < one.handsEnd; at += 1) {
      if (!input.hours.some((each) => isIn(each, at))) found.push(`${one.id} works after hours`);
    }
    for (const { id, wait } of one.after ?? []) {
      const other = placed.find((each) => each.id === id);
      if (other === undefined) continue;
      const ready =
        wait === 'machine' || wait === 'cure'
          ? other.handsEnd + (other[`${wait}Min`] ?? 0)
          : other.off + (wait === 'clamp' ? 0 : wait);
      if (one.from < ready - 1e-6) found.push(`${one.id} does not wait for ${id}`);
    }
    const there = placed.filter(({ from, off }) => from <= one.from && off > one.from);
    const sum = (value: (each: (typeof placed)[number]) => number) =>
      there.reduce((total, each) => total + value(each), 0);
    if (sum((each) => (each.handsEnd > one.from ? (each.crew ?? 1) : 0)) > input.shop.crew)
      found.push('too few hands');
    if (sum((each) => each.bench ?? 1) > input.shop.benches) found.push('too few benches');
    for (const kind of Object.keys(input.shop.clamps)) {
      if (sum((each) => each.clamps?.[kind] ?? 0) > (input.shop.clamps[kind] ?? 0))
        found.push(`too few ${kind}`);
    }
  }
  return found;
}

/** The earliest finish by trying every start on a coarse grid: all durations and hours are multiples of it. */
function bruteFinish(input: CalendarInput, step: number): number {
  const start = readWallTime(input.start, 'start');
  let best = Infinity;
  const tryFrom = (chosen: Answer['items'], left: CalendarInput['sessions'], finish: number) => {
    if (finish >= best) return;
    if (left.length === 0) {
      best = finish;
      return;
    }
    const [next, ...rest] = left;
    if (next === undefined) return;
    for (
      let at = start;
      at + next.setUpMin + next.handsOnMin + next.clampMin < best && at < start + 2 * 1440;
      at += step
    ) {
      if (!input.hours.some((each) => isIn(each, at))) continue;
      const handsEnd = at + next.setUpMin + next.handsOnMin;
      const item = {
        id: next.id,
        start: writeWallTime(at),
        handsEnd: writeWallTime(handsEnd),
        clampsOff: writeWallTime(handsEnd + next.clampMin),
      };
      const items = [...chosen, item];
      if (violations(input, { items, finish: null, status: '', findings: [] }).length > 0) continue;
      tryFrom(items, rest, Math.max(finish, handsEnd + next.clampMin));
    }
  };
  tryFrom([], input.sessions, -Infinity);
  return best;
}

describe('calendar', () => {
  it.each(cases.cases.map((each) => [each.name, each] as const))('%s, exactly', (_, { input, expected }) => {
    const answer = calendar(input);
    expect(answer.status).toBe('proven');
    expect(answer.finish).toBe(expected.finish);
    expect(violations(input as CalendarInput, answer)).toEqual([]);
  });

  it('finishes as early as trying every start does', () => {
    const session = (i: number) =>
      fc.record({
        id: fc.constant(`s${i}`),
        setUpMin: fc.constantFrom(0, 60),
        handsOnMin: fc.constant(60),
        clampMin: fc.constantFrom(60, 120, 600),
        crew: fc.constantFrom(1, 2),
        bench: fc.constantFrom(0, 1),
        clamps: fc.record({ bar: fc.constantFrom(2, 4) }),
        machineMin: fc.constant(180),
        after:
          i === 0
            ? fc.constant([])
            : fc.oneof(
                fc.constant([]),
                fc
                  .constantFrom<'clamp' | 'machine' | 60>('clamp', 'machine', 60)
                  .map((wait) => [{ id: `s${i - 1}`, wait }]),
              ),
      });
    fc.assert(
      fc.property(
        fc.tuple(session(0), session(1), session(2)),
        fc.constantFrom(0, 60, 120),
        (sessions, later) => {
          const input: CalendarInput = {
            sessions,
            shop: { clamps: { bar: 6 }, benches: 1, crew: 2 },
            hours: [1, 2, 3, 4, 5].flatMap((day) => [
              { day, fromMin: 480, toMin: 720 },
              { day, fromMin: 780, toMin: 960 },
            ]),
            start: writeWallTime(readWallTime('2027-03-02T08:00', 'start') + later).slice(0, 16),
          };
          const answer = calendar(input);
          expect(answer.status).toBe('proven');
          expect(violations(input, answer)).toEqual([]);
          expect(minutes(answer.finish ?? '')).toBe(bruteFinish(input, 60));
        },
      ),
      { seed: 3, numRuns: 40 },
    );
  });

  const base = cases.cases[0]?.input as CalendarInput;
  const changed = (change: Partial<CalendarInput>) => calendar({ ...base, ...change });

  it('names the session that has no place, and why', () => {
    expect(changed({ shop: { ...base.shop, clamps: { bar: 5 } } }).findings).toEqual([
      { code: 'too-few-clamps', sessions: ['s1'] },
      { code: 'too-few-clamps', sessions: ['s4'] },
    ]);
    expect(changed({ shop: { ...base.shop, crew: 1 } }).findings[0]?.code).toBe('too-few-hands');
    expect(changed({ hours: [{ day: 1, fromMin: 480, toMin: 500 }] }).findings[0]?.code).toBe(
      'no-opening-long-enough',
    );
    expect(changed({ hours: [] })).toMatchObject({ status: 'infeasible', items: [], finish: null });
    const circle = base.sessions.map((each) =>
      each.id === 's2' ? { ...each, after: [{ id: 's4', wait: 'clamp' as const }] } : each,
    );
    expect(changed({ sessions: circle }).findings).toEqual([
      { code: 'waits-in-a-circle', sessions: ['s2', 's3', 's4'] },
    ]);
  });

  it.each<[string, Partial<CalendarInput>, string]>([
    ['a day that does not exist', { start: '2027-02-30T08:00' }, 'start'],
    ['hours that end before they begin', { hours: [{ day: 1, fromMin: 600, toMin: 540 }] }, 'hours.0.toMin'],
    [
      'a wait for nobody',
      { sessions: [{ ...base.sessions[0]!, after: [{ id: 'x', wait: 'clamp' }] }] },
      'sessions.0.after.0.id',
    ],
    [
      'a wait of unknown length',
      {
        sessions: base.sessions.map((each) => ({
          ...each,
          machineMin: undefined,
          after: each.id === 's4' ? [{ id: 's3', wait: 'machine' as const }] : [],
        })),
      },
      'sessions.3.after.0.wait',
    ],
    ['two sessions with one id', { sessions: [base.sessions[0]!, base.sessions[0]!] }, 'sessions.1.id'],
  ])('refuses %s', (_, change, field) => {
    let thrown: unknown = null;
    try {
      changed(change);
    } catch (error) {
      thrown = error;
    }
    expect(thrown).toBeInstanceOf(InputError);
    expect((thrown as InputError).field).toBe(field);
  });

  it('dates thirty sessions and says that better ones may exist', () => {
    const sessions = Array.from({ length: 30 }, (_, i) => ({
      ...base.sessions[i % 3]!,
      id: `n${i}`,
      after: [],
    }));
    const answer = changed({ sessions });
    expect(answer.items).toHaveLength(30);
    expect(violations({ ...base, sessions }, answer)).toEqual([]);
  });
});

describe('Openings', () => {
  it('makes touching openings one, also over midnight and over the week', () => {
    const night = Openings.of([
      { day: 6, fromMin: 1200, toMin: 1440 },
      { day: 0, fromMin: 0, toMin: 120 },
      { day: 1, fromMin: 480, toMin: 600 },
      { day: 1, fromMin: 600, toMin: 700 },
    ]);
    expect(night.longestMin()).toBe(360);
    const saturday = readWallTime('2027-03-06T21:00', 'test');
    expect(night.nextStart(saturday, 300)).toBe(saturday);
    expect(night.closesAfter(saturday)).toBe(readWallTime('2027-03-07T02:00', 'test'));
    expect(night.nextStart(saturday + 61, 300)).toBe(readWallTime('2027-03-13T20:00', 'test'));
    expect(night.nextStart(readWallTime('2027-03-07T01:30', 'test'), 220)).toBe(
      readWallTime('2027-03-08T08:00', 'test'),
    );
  });

  it('is never closed where the whole week is open', () => {
    const always = Openings.of([0, 1, 2, 3, 4, 5, 6].map((day) => ({ day, fromMin: 0, toMin: 1440 })));
    expect(always.longestMin()).toBe(Infinity);
    expect(always.nextStart(12345.5, 1e6)).toBe(12345.5);
    expect(always.closesAfter(12345)).toBeNull();
  });
});

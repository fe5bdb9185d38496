import { afterAsking, type AirReading, NO_SENSOR, simulatedAir } from '.';
import { isSane } from './reading';

const NOW = Date.parse('2026-11-24T10:00:00Z');
const reading = (change: Partial<AirReading> = {}): AirReading => ({
  format: 'lean-clasp/air',
  version: 1,
  tempC: 17.2,
  rhPct: 51,
  takenAt: '2026-11-24T09:58:00Z',
  ...change,
});
const asked = (change: Partial<AirReading> = {}) => ({ kind: 'reading', reading: reading(change) }) as const;

describe('afterAsking', () => {
  const good = afterAsking(NO_SENSOR, asked(), NOW);

  it('takes a sane reading', () => {
    expect(good).toEqual({
      state: 'fresh',
      air: { tempC: 17.2, rhPct: 51 },
      takenAtMs: Date.parse('2026-11-24T09:58:00Z'),
    });
  });

  it.each([
    ['no answer', { kind: 'no-answer' } as const, 'gone'],
    ['−40 °C', asked({ tempC: -40 }), 'mad'],
    ['130 %', asked({ rhPct: 130 }), 'mad'],
    ['a time that is none', asked({ takenAt: '2026-99-99T99:99' }), 'mad'],
  ])('keeps the last sane value at %s, and says so', (_, answer, state) => {
    expect(afterAsking(good, answer, NOW)).toEqual({ ...good, state });
  });

  it('says when a reading is old, and has nothing before the first', () => {
    expect(afterAsking(good, asked({ takenAt: '2026-11-24T09:30:00Z' }), NOW).state).toBe('stale');
    expect(afterAsking(NO_SENSOR, { kind: 'no-answer' }, NOW)).toEqual({ ...NO_SENSOR, state: 'gone' });
  });
});

describe('simulatedAir', () => {
  const day = Array.from({ length: 1440 }, (_, minute) => simulatedAir(minute, 3));

  it('is the same every time, and another day with another seed', () => {
    expect(simulatedAir(777, 3)).toEqual(simulatedAir(777, 3));
    expect(day).not.toEqual(Array.from({ length: 1440 }, (_, minute) => simulatedAir(minute, 4)));
  });

  it('has a cold, damp morning and a warm, drier afternoon', () => {
    const mean = (from: number, to: number, of: 'tempC' | 'rhPct') => {
      const airs = day.slice(from, to).flatMap((answer) => (answer.kind === 'air' ? [answer.air[of]] : []));
      return airs.reduce((sum, value) => sum + value, 0) / airs.length;
    };
    expect(mean(150, 210, 'tempC')).toBeCloseTo(9, 0);
    expect(mean(870, 930, 'tempC')).toBeCloseTo(21, 0);
    expect(mean(150, 210, 'rhPct')).toBeGreaterThan(mean(870, 930, 'rhPct') + 25);
  });

  it('fails now and then, in both ways, and is sane otherwise', () => {
    const count = (kind: string) => day.filter((answer) => answer.kind === kind).length;
    expect(count('silent')).toBeGreaterThan(20);
    expect(count('silent')).toBeLessThan(120);
    expect(count('mad')).toBeGreaterThan(2);
    for (const answer of day) {
      if (answer.kind === 'air') expect(isSane(answer.air)).toBe(true);
      if (answer.kind === 'mad') expect(isSane(answer.air)).toBe(false);
    }
  });
});

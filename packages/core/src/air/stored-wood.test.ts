import { balanceDays, equilibriumMoisturePct } from '../materials';
import { airAtHour, type AirSample, bestHours, runningMeans, thinned, usualDay } from './series';
import { storedMoisturePct, usualMoisturePct } from './stored-wood';

const DAY_MS = 86_400_000;
const NOW = Date.parse('2026-11-27T12:00:00Z');
const MILD = { tempC: 20, rhPct: 50 };
const DAMP = { tempC: 10, rhPct: 85 };
const hourly = (days: number, air: (atMs: number) => { tempC: number; rhPct: number }): AirSample[] =>
  Array.from({ length: 24 * days + 1 }, (_, i) => NOW - (24 * days - i) * 3_600_000).map((takenAtMs) => ({
    ...air(takenAtMs),
    takenAtMs,
  }));
const shop = (change: object = {}) => ({ hours: [], climate: MILD, ...change });
const PLAIN = { openPored: false };

describe('balanceDays', () => {
  it('grows with the square of the thickness, is half in open-pored wood, and a day at least', () => {
    expect(balanceDays(20, false)).toBe(10);
    expect(balanceDays(40, false)).toBe(40);
    expect(balanceDays(20, true)).toBe(5);
    expect(balanceDays(0.6, false)).toBe(1);
    expect(() => balanceDays(0, false)).toThrow(/thicknessMm/);
  });
});

describe('wood that nobody has metered', () => {
  it('lies in the usual air: the mean over the hours noted, else the air noted for now', () => {
    expect(usualMoisturePct(shop())).toBeCloseTo(equilibriumMoisturePct(20, 50), 9);
    const hours = [
      { hour: 6, ...DAMP },
      { hour: 15, ...MILD },
    ];
    expect(usualMoisturePct(shop({ hours, climate: DAMP }))).toBeCloseTo(
      (equilibriumMoisturePct(10, 85) + equilibriumMoisturePct(20, 50)) / 2,
      9,
    );
    expect(storedMoisturePct(20, PLAIN, shop())).toBe(usualMoisturePct(shop()));
  });

  it('goes by the mean of its own time constant, between known ones by their logarithm', () => {
    const airMeans = [
      { days: 40, mcPct: 12 },
      { days: 10, mcPct: 8 },
    ];
    expect(storedMoisturePct(20, PLAIN, shop({ airMeans }))).toBe(8);
    expect(storedMoisturePct(40, PLAIN, shop({ airMeans }))).toBe(12);
    // 20 days lie half way between 10 and 40 by their logarithm.
    expect(storedMoisturePct(20 * Math.SQRT2, PLAIN, shop({ airMeans }))).toBeCloseTo(10, 9);
    expect(storedMoisturePct(3, PLAIN, shop({ airMeans }))).toBe(8);
    expect(storedMoisturePct(120, PLAIN, shop({ airMeans }))).toBe(12);
  });
});

describe('runningMeans', () => {
  const usualPct = equilibriumMoisturePct(20, 50);

  it('starts from the usual air and ends where the air has been for long', () => {
    expect(runningMeans([], usualPct, NOW).every(({ mcPct }) => mcPct === usualPct)).toBe(true);
    const means = runningMeans(
      hourly(10, () => DAMP),
      usualPct,
      NOW,
    );
    const balance = equilibriumMoisturePct(10, 85);
    // Ten days of it: by 1 − 1/e at ten days, all but through at one.
    expect(means.find(({ days }) => days === 10)?.mcPct).toBeCloseTo(
      balance + (usualPct - balance) / Math.E,
      6,
    );
    expect(means.find(({ days }) => days === 1)?.mcPct).toBeCloseTo(balance, 2);
    const sorted = means.map(({ mcPct }) => mcPct);
    expect(sorted).toEqual([...sorted].sort((a, b) => b - a));
  });

  it('is what stepping the same law minute by minute comes to', () => {
    const samples = hourly(6, (atMs) => (Math.floor(atMs / DAY_MS) % 2 === 0 ? MILD : DAMP));
    for (const { days, mcPct } of runningMeans(samples, 9, NOW)) {
      let stepped = 9;
      const minutes = 6 * 24 * 60;
      for (let i = 0; i < minutes; i += 1) {
        const atMs = NOW - (minutes - i) * 60_000;
        const own = samples.findLast(({ takenAtMs }) => takenAtMs <= atMs) as AirSample;
        stepped += (equilibriumMoisturePct(own.tempC, own.rhPct) - stepped) / (days * 1440);
      }
      expect(Math.abs(mcPct - stepped)).toBeLessThan(0.01);
    }
  });

  it('is moved next to nothing by one cold damp night, for a board', () => {
    const samples = hourly(20, (atMs) => (NOW - atMs < DAY_MS / 2 ? { tempC: 6, rhPct: 96 } : MILD));
    const board = runningMeans(samples, usualPct, NOW).find(({ days }) => days === 10)?.mcPct ?? 0;
    expect(board - usualPct).toBeGreaterThan(0);
    expect(board - usualPct).toBeLessThan(1);
  });

  it('lets a reading stand for a day at most, and takes nothing from the future', () => {
    const old = [{ ...DAMP, takenAtMs: NOW - 60 * DAY_MS }];
    const [, , ten] = runningMeans(old, usualPct, NOW);
    expect((ten?.mcPct ?? 0) - usualPct).toBeLessThan(0.01);
    expect(runningMeans([{ ...DAMP, takenAtMs: NOW + DAY_MS }], usualPct, NOW)[0]?.mcPct).toBe(usualPct);
  });

  it('does not care in which order readings come', () => {
    const samples = hourly(3, (atMs) => ({ tempC: 15, rhPct: 40 + ((atMs / 3_600_000) % 24) }));
    expect(runningMeans([...samples].reverse(), usualPct, NOW)).toEqual(runningMeans(samples, usualPct, NOW));
  });
});

describe('usualDay', () => {
  const hourOf = (atMs: number) => new Date(atMs).getUTCHours();

  it('is the mean of each hour of the wall, once most hours have been read', () => {
    const samples = hourly(4, (atMs) => ({ tempC: hourOf(atMs), rhPct: 50 }));
    const day = usualDay(samples, hourOf);
    expect(day.map(({ hour }) => hour)).toEqual(Array.from({ length: 24 }, (_, i) => i));
    for (const { hour, tempC } of day) expect(tempC).toBeCloseTo(hour, 9);
    expect(usualDay(samples.slice(0, 15), hourOf)).toEqual([]);
  });
});

describe('airAtHour', () => {
  const HOURS = [
    { hour: 6, tempC: 10, rhPct: 70 },
    { hour: 14, tempC: 18, rhPct: 50 },
    { hour: 22, tempC: 12, rhPct: 60 },
  ];

  it('lies on the line between the hours that are known, over midnight too', () => {
    expect(airAtHour(HOURS, 14)).toEqual({ tempC: 18, rhPct: 50 });
    expect(airAtHour(HOURS, 10)).toEqual({ tempC: 14, rhPct: 60 });
    const night = airAtHour(HOURS, 2);
    expect(night?.tempC).toBeCloseTo(11, 12);
    expect(airAtHour(HOURS, 24)?.tempC).toBeCloseTo(airAtHour(HOURS, 0)?.tempC ?? 0, 12);
  });

  it('is the one that is known, and nobody’s guess where none is', () => {
    expect(airAtHour(HOURS.slice(0, 1), 19)).toEqual({ tempC: 10, rhPct: 70 });
    expect(airAtHour([], 9)).toBeNull();
  });
});

describe('bestHours', () => {
  const hours = Array.from({ length: 24 }, (_, hour) => ({ hour, tempC: hour, rhPct: 50 }));

  it('is the hour in which the glue stays open longest, and those next to it that come near', () => {
    const openMinAt = ({ tempC }: { tempC: number }) => 20 - Math.abs(tempC - 8) * 0.9;
    expect(bestHours(hours, openMinAt)).toEqual({ fromHour: 6, toHour: 11, openMin: 18.2 });
  });

  it('does not run past the ends of the day, and is none where the glue never sets', () => {
    expect(bestHours(hours, () => 10)).toEqual({ fromHour: 0, toHour: 24, openMin: 10 });
    expect(bestHours(hours, () => null)).toBeNull();
    expect(bestHours([], () => 10)).toBeNull();
    // Too cold to set in the morning: those hours are not offered.
    expect(bestHours(hours, ({ tempC }) => (tempC < 10 ? null : 10))?.fromHour).toBe(10);
  });
});

it('thins a series evenly, its ends kept', () => {
  const samples = hourly(10, () => MILD);
  const few = thinned(samples, 25);
  expect(few).toHaveLength(25);
  expect([few[0], few.at(-1)]).toEqual([samples[0], samples.at(-1)]);
  expect(thinned(samples, 1000)).toEqual(samples);
});

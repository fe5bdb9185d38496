import fc from 'fast-check';
import { adhesiveWindow, findAdhesive } from '../adhesives';
import type { AirSample } from '../air';
import { inBalancePct, PLAIN_TRAITS } from '../materials';
import { type AirSince, type InClamps, releaseByAir } from '.';

const START = 1_780_000_000_000;
const HOUR = 3_600_000;
const planned = { tempC: 20, rhPct: 50 };
const run: InClamps = {
  clampedAtMs: START,
  promise: { adhesive: 'pva-interior', climate: planned, clampMin: 60, machineMin: 1440 },
};
const hourOf = (atMs: number) => Math.floor(atMs / HOUR) % 24;
const air = (more: Partial<AirSince>): AirSince => ({
  samples: [],
  hours: [],
  nowMs: START,
  hourOf,
  ...more,
});
const every = (stepMs: number, untilMs: number, tempAt: (atMs: number) => number): AirSample[] =>
  Array.from({ length: Math.ceil((untilMs - START) / stepMs) }, (_, i) => ({
    takenAtMs: START + i * stepMs,
    tempC: tempAt(START + i * stepMs),
    rhPct: 50,
  }));

describe('release by the air as it has been', () => {
  it('is as promised in the air that was planned, and where nothing was read', () => {
    const asPlanned = { clampsOffMs: START + HOUR, machineMs: START + 24 * HOUR };
    expect(releaseByAir(run, air({}))).toEqual(asPlanned);
    const samples = every(HOUR / 6, START + 30 * HOUR, () => 20);
    const read = releaseByAir(run, air({ samples, nowMs: START + 30 * HOUR }));
    expect(read.clampsOffMs).toBeCloseTo(asPlanned.clampsOffMs, -1);
    expect(read.machineMs).toBeCloseTo(asPlanned.machineMs, -1);
  });

  it('adds up the rates of a night that turned cold, minute by minute', () => {
    fc.assert(
      fc.property(fc.integer({ min: 11, max: 20 }), fc.integer({ min: 5, max: 12 }), (coldC, hoursOfCold) => {
        const tempAt = (atMs: number) => (atMs - START < hoursOfCold * HOUR ? coldC : 20);
        const nowMs = START + 48 * HOUR;
        const { machineMs } = releaseByAir(run, air({ samples: every(HOUR / 6, nowMs, tempAt), nowMs }));
        const clampAt = (tempC: number) =>
          adhesiveWindow(findAdhesive('pva-interior'), {
            tempC,
            rhPct: 50,
            faces: 1,
            traits: PLAIN_TRAITS,
            mcPct: inBalancePct(planned),
          }).clampMin?.high as number;
        let cured = 0;
        let minute = 0;
        while (cured < 1440) {
          cured += clampAt(20) / clampAt(tempAt(START + minute * 60_000));
          minute += 1;
        }
        expect(((machineMs as number) - START) / 60_000).toBeGreaterThan(minute - 3);
        expect(((machineMs as number) - START) / 60_000).toBeLessThan(minute + 3);
      }),
      { seed: 17, numRuns: 30 },
    );
  });

  it('stands still where it is too cold to set, and goes on by the usual day', () => {
    const nowMs = START + 3 * HOUR;
    const samples = every(HOUR / 6, nowMs, () => 2);
    const warm = Array.from({ length: 24 }, (_, hour) => ({ hour, tempC: 20, rhPct: 50 }));
    const { clampsOffMs } = releaseByAir(run, air({ samples, nowMs, hours: warm }));
    expect(clampsOffMs).toBeCloseTo(nowMs + HOUR, -1);
    const frozen = Array.from({ length: 24 }, (_, hour) => ({ hour, tempC: 1, rhPct: 50 }));
    expect(releaseByAir(run, air({ samples, nowMs, hours: frozen }))).toEqual({
      clampsOffMs: null,
      machineMs: null,
    });
  });

  it('tells nothing where nothing was promised', () => {
    const promise = { ...run.promise, clampMin: null, machineMin: null };
    expect(releaseByAir({ ...run, promise }, air({}))).toEqual({ clampsOffMs: null, machineMs: null });
  });
});

import { DEMO_SHOP, pastRuns, stageFloor } from '@lean-clasp/core/demo';
import { summaryOf } from '@lean-clasp/core/runs';
import { renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { api } from '../api/api';
import { makeStore } from '../app/store';
import { useReleaseNow } from './use-release';

const START = 1_780_000_000_000;
const HOUR = 3_600_000;
const [run] = pastRuns(stageFloor(DEMO_SHOP), 'stage-floor', DEMO_SHOP, START);
if (run === undefined) throw new Error('the demo has runs');
const summary = { ...summaryOf(run), clampedAtMs: START, clampsOffAtMs: null };
const promisedMs = START + (summary.promise.clampMin ?? 0) * 60_000;

/** The release as it is told two hours on, with readings of some warmth every ten minutes since. */
async function releaseIn(tempC: number | null) {
  const store = makeStore(localStorage);
  const samples =
    tempC === null
      ? []
      : Array.from({ length: 13 }, (_, i) => ({ takenAtMs: START + (i * HOUR) / 6, tempC, rhPct: 45 }));
  await store.dispatch(api.util.upsertQueryData('airSeries', 14, { samples, means: [], usualDay: [] }));
  const wrapper = ({ children }: { readonly children: ReactNode }) => (
    <Provider store={store}>{children}</Provider>
  );
  return renderHook(() => useReleaseNow(summary, START + 2 * HOUR), { wrapper }).result.current;
}

describe('release by the air since', () => {
  it('is later in colder air than was planned, and never earlier in warmer', async () => {
    const cold = await releaseIn(summary.promise.climate.tempC - 7);
    expect(cold.laterMin).toBeGreaterThan(10);
    expect(cold.clampsOffMs).toBeGreaterThan(promisedMs);
    const warm = await releaseIn(summary.promise.climate.tempC + 8);
    expect(warm).toMatchObject({ laterMin: 0, clampsOffMs: promisedMs });
  });

  it('is as promised where nothing was read, and never where it does not set', async () => {
    expect(await releaseIn(null)).toMatchObject({ laterMin: 0, clampsOffMs: promisedMs });
    const frozen = await releaseIn(1);
    expect(frozen.clampsOffMs).toBeGreaterThan(promisedMs);
  });
});

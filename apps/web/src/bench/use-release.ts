import type { AirSeries } from '@lean-clasp/core/air';
import { releaseByAir, type RunSummary } from '@lean-clasp/core/runs';
import { useMemo } from 'react';
import { useAirSeries } from '../air/use-shop-now';
import { type Release, releaseOf } from './release';

const MS_PER_MIN = 60_000;
/** The air is looked at anew so often, ms. */
const ANEW_MS = 60_000;
/** Less later than this is not worth telling, min. */
const WORTH_MIN = 10;

/** Release times, and by how much the air since has moved them. */
export interface ReleaseNow extends Release {
  /** Minutes later than promised; 0 where it is as promised, infinite where it does not set in this air. */
  readonly laterMin: number;
}

/** A run as its release depends on it. */
type Clamped = Pick<RunSummary, 'clampedAtMs' | 'promise'> & Partial<Pick<RunSummary, 'clampsOffAtMs'>>;

/**
 * When clamps come off and the wood may be worked, by the air as it has been since: later where that was colder than planned, never
 * earlier than promised, since the sensor may hang in a warmer corner than the work stands in.
 */
export function releaseNow(
  { clampedAtMs, promise }: Clamped,
  series: AirSeries | null,
  nowMs: number,
): ReleaseNow {
  const promised = releaseOf({ clampedAtMs, clampsOffAtMs: null, promise });
  const since = series?.samples.some(({ takenAtMs }) => takenAtMs >= (clampedAtMs ?? Infinity)) ?? false;
  if (clampedAtMs === null || series === null || !since) return { ...promised, laterMin: 0 };
  const byAir = releaseByAir(
    { clampedAtMs, promise },
    {
      samples: series.samples,
      hours: series.usualDay,
      nowMs,
      hourOf: (ms) => new Date(ms).getHours(),
    },
  );
  return moved(promised, byAir);
}

/** The same for a screen, looked at anew every minute while anything of it is still to come. */
export function useReleaseNow({ clampedAtMs, clampsOffAtMs, promise }: Clamped, nowMs: number): ReleaseNow {
  const { machineMs, clampsOffMs } = releaseOf({ clampedAtMs, clampsOffAtMs: null, promise });
  const waits = clampsOffAtMs == null || nowMs < (machineMs ?? clampsOffMs ?? 0) + 2 * ANEW_MS;
  const series = useAirSeries(clampedAtMs !== null && waits);
  const atMs = Math.floor(nowMs / ANEW_MS) * ANEW_MS;
  return useMemo(
    () => releaseNow({ clampedAtMs, promise }, series, atMs),
    [clampedAtMs, promise, series, atMs],
  );
}

/** The later of what was promised and what the air asks for. */
function moved(promised: Release, byAir: Release): ReleaseNow {
  const later = (one: number | null, other: number | null) =>
    one === null ? null : other === null ? Infinity : Math.max(one, other);
  const clampsOffMs = later(promised.clampsOffMs, byAir.clampsOffMs);
  const laterMin =
    clampsOffMs === null || promised.clampsOffMs === null
      ? 0
      : (clampsOffMs - promised.clampsOffMs) / MS_PER_MIN;
  if (laterMin < WORTH_MIN) return { ...promised, laterMin: 0 };
  return { clampsOffMs, machineMs: later(promised.machineMs, byAir.machineMs), laterMin };
}

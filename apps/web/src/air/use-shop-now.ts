import { type AirReport, type AirSeries, NO_SENSOR } from '@lean-clasp/core/air';
import type { ShopDocument } from '@lean-clasp/core/formats';
import { useMemo } from 'react';
import { selectAir, useAirQuery, useAirSeriesQuery } from '../api/api';
import { useAppSelector } from '../app/store';

/** The page asks the server this often, and not while nobody looks. */
const POLL_MS = 30_000;
/** So long as the server does not know yet of a sensor that was just set. */
const SOON_MS = 2000;
/** The server reads the sensor by itself this often; asking for its record more often shows nothing new. */
const SERIES_POLL_MS = 600_000;
/** Days of readings that are looked at. */
const SERIES_DAYS = 14;
/** Steps in which the air moves plans: finer is noise. */
const STEP = { tempC: 0.5, rhPct: 1, mcPct: 0.1 };

const inSteps = (value: number, step: number) => Math.round(value / step) * step;

/** The shop's sensor as the server last reported it. */
export function useAirReport(watched: boolean): AirReport {
  const known = useAppSelector(selectAir).data?.state;
  const { data, isError } = useAirQuery(undefined, {
    skip: !watched,
    pollingInterval: known === 'none' ? SOON_MS : POLL_MS,
    skipPollingIfUnfocused: true,
  });
  if (!watched) return NO_SENSOR;
  return isError ? { ...(data ?? NO_SENSOR), state: 'gone' } : (data ?? NO_SENSOR);
}

/** What the server has kept of the sensor's readings; null before it answers. */
export function useAirSeries(watched: boolean): AirSeries | null {
  const { data } = useAirSeriesQuery(SERIES_DAYS, {
    skip: !watched,
    pollingInterval: SERIES_POLL_MS,
    skipPollingIfUnfocused: true,
  });
  return data ?? null;
}

/** The part of a shop that its sensor knows better than what was typed in; nothing before its first reading. */
function readBySensor({ air }: AirReport, series: AirSeries | null): Partial<ShopDocument> {
  const climate = ({ tempC, rhPct }: ShopDocument['climate']) => ({
    tempC: inSteps(tempC, STEP.tempC),
    rhPct: inSteps(rhPct, STEP.rhPct),
  });
  return {
    ...(air === null ? {} : { climate: climate(air) }),
    ...(series === null || series.means.length === 0
      ? {}
      : {
          airMeans: series.means.map(({ days, mcPct }) => ({ days, mcPct: inSteps(mcPct, STEP.mcPct) })),
        }),
    ...(series === null || series.usualDay.length === 0
      ? {}
      : { hours: series.usualDay.map(({ hour, ...usual }) => ({ hour, ...climate(usual) })) }),
  };
}

/**
 * The shop with what its sensor reads, where the person lets plans go by it: the air now, what wood has come to by the air of the
 * last weeks, and the usual day.
 */
export function useShopNow(shop: ShopDocument | null): ShopDocument | null {
  const follows = shop?.sensor?.follow ?? false;
  const report = useAirReport(follows);
  const series = useAirSeries(follows);
  // By its text, so that a report that says the same moves no plan.
  const read = JSON.stringify(readBySensor(report, series));
  return useMemo(
    () =>
      shop === null || read === '{}' ? shop : { ...shop, ...(JSON.parse(read) as Partial<ShopDocument>) },
    [shop, read],
  );
}

import { type AirReport, NO_SENSOR } from '@lean-clasp/core/air';
import type { ShopDocument } from '@lean-clasp/core/formats';
import { useMemo } from 'react';
import { selectAir, useAirQuery } from '../api/api';
import { useAppSelector } from '../app/store';

/** The page asks the server this often, and not while nobody looks. */
const POLL_MS = 30_000;
/** So long as the server does not know yet of a sensor that was just set. */
const SOON_MS = 2000;
/** Steps in which the air moves plans: finer is noise. */
const STEP = { tempC: 0.5, rhPct: 1 };

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

/** The shop with the air that its sensor reads, where the person lets plans go by it. */
export function useShopNow(shop: ShopDocument | null): ShopDocument | null {
  const { air } = useAirReport(shop?.sensor?.follow ?? false);
  const tempC = air === null ? null : inSteps(air.tempC, STEP.tempC);
  const rhPct = air === null ? null : inSteps(air.rhPct, STEP.rhPct);
  return useMemo(
    () => (shop === null || tempC === null || rhPct === null ? shop : { ...shop, climate: { tempC, rhPct } }),
    [shop, tempC, rhPct],
  );
}

import { useMemo } from 'react';
import { useRunsQuery } from '../api/api';
import { useNow } from '../parts/use-now';
import { type InUse, inUse } from './in-use';

/** How often what is tied up is looked at again, ms. */
const LOOK_EVERY_MS = 60_000;

/** What is tied up now, by lot of the rack, and when that was looked at. */
export function useInUse(): { readonly tied: ReadonlyMap<string, InUse>; readonly nowMs: number } {
  const { data: runs } = useRunsQuery();
  const nowMs = useNow(true, LOOK_EVERY_MS);
  return useMemo(() => ({ tied: inUse(runs ?? [], nowMs), nowMs }), [runs, nowMs]);
}

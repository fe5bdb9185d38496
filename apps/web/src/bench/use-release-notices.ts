import type { AirSeries } from '@lean-clasp/core/air';
import type { RunSummary } from '@lean-clasp/core/runs';
import { useEffect, useRef, useState } from 'react';
import { useAirSeries } from '../air/use-shop-now';
import { useRunsQuery } from '../api/api';
import { releaseNow } from './use-release';

/** Timers longer than this overflow in browsers; the next look sets them again, ms. */
const LONGEST_MS = 86_400_000;
/** What passed longer ago was told, or nobody waits for it, ms. */
const PASSED_MS = 60_000;

/** Whether this device may be told; null where it cannot. */
export const mayNotify = (): NotificationPermission | null =>
  'Notification' in globalThis ? Notification.permission : null;

/** The next clamps that may come off by the air as it has been, and what; nothing for what does not set in it. */
function nextOff(
  runs: readonly RunSummary[],
  told: ReadonlySet<string>,
  series: AirSeries | null,
  nowMs: number,
) {
  return runs
    .filter(({ id, state, clampsOffAtMs }) => state === 'clamped' && clampsOffAtMs == null && !told.has(id))
    .flatMap((run) => {
      const { clampsOffMs } = releaseNow(run, series, nowMs);
      const waits = clampsOffMs !== null && clampsOffMs < Infinity && clampsOffMs > nowMs - PASSED_MS;
      return waits ? [{ id: run.id, name: run.buildName, atMs: clampsOffMs }] : [];
    })
    .sort((a, b) => a.atMs - b.atMs)[0];
}

async function tell(id: string, name: string): Promise<void> {
  const title = `Clamps may come off: ${name}`;
  const registration = await navigator.serviceWorker.getRegistration().catch(() => undefined);
  // Telephones tell only through the worker.
  if (registration !== undefined) await registration.showNotification(title, { tag: id });
  else new Notification(title, { tag: id });
}

/** Tells on this device when clamps may come off, one after the other, as long as a page of the program is open somewhere on it. */
export function useReleaseNotices(): void {
  const allowed = mayNotify() === 'granted';
  const { data } = useRunsQuery(undefined, { skip: !allowed });
  const series = useAirSeries(allowed);
  const told = useRef(new Set<string>());
  const [looks, setLooks] = useState(0);
  useEffect(() => {
    const next = data === undefined ? undefined : nextOff(data, told.current, series, Date.now());
    if (next === undefined) return undefined;
    const timer = setTimeout(
      () => {
        if (Date.now() >= next.atMs) {
          told.current.add(next.id);
          tell(next.id, next.name).catch(() => undefined);
        }
        setLooks((before) => before + 1);
      },
      Math.min(LONGEST_MS, Math.max(0, next.atMs - Date.now())),
    );
    return () => clearTimeout(timer);
  }, [data, series, looks]);
}

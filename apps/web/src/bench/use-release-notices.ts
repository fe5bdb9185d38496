import type { RunSummary } from '@lean-clasp/core/runs';
import { useEffect } from 'react';
import { useRunsQuery } from '../api/api';
import { releaseOf } from './release';

/** Timers longer than this overflow in browsers; the next look sets them again, ms. */
const LONGEST_MS = 86_400_000;
/** What passed longer ago was told, or nobody waits for it, ms. */
const PASSED_MS = 60_000;

/** Whether this device may be told; null where it cannot. */
export const mayNotify = (): NotificationPermission | null =>
  'Notification' in globalThis ? Notification.permission : null;

/** The next clamps that may come off, and what. */
function nextOff(runs: readonly RunSummary[], nowMs: number) {
  return runs
    .flatMap((run) => {
      const { clampsOffMs } = releaseOf(run);
      const waits = run.state === 'clamped' && run.clampsOffAtMs == null && clampsOffMs !== null;
      return waits && clampsOffMs > nowMs - PASSED_MS
        ? [{ id: run.id, name: run.buildName, atMs: clampsOffMs }]
        : [];
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

/** Tells on this device when clamps may come off, as long as a page of the program is open somewhere on it. */
export function useReleaseNotices(): void {
  const allowed = mayNotify() === 'granted';
  const { data } = useRunsQuery(undefined, { skip: !allowed });
  useEffect(() => {
    const next = data === undefined ? undefined : nextOff(data, Date.now());
    if (next === undefined) return undefined;
    const timer = setTimeout(
      () => {
        if (Date.now() >= next.atMs) tell(next.id, next.name).catch(() => undefined);
      },
      Math.min(LONGEST_MS, Math.max(0, next.atMs - Date.now())),
    );
    return () => clearTimeout(timer);
  }, [data]);
}

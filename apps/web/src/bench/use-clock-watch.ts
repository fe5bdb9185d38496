import { useEffect, useState } from 'react';
import { requestJson } from '../api/request';
import { useAppDispatch } from '../app/store';
import { browserStorage } from '../keeping/browser-storage';
import { runClock, TOGETHER_MS } from './run-clock';
import { noteEvent } from './run-sync';

const LOOK_EVERY_MS = 1000;
/** Answers of the server take their time, ms. */
const SERVER_MS = 5000;
const OFFSET_KEY = 'lean-clasp.clock';
/** A clock that was set is remembered for as long as a glue-up may last, ms. */
const REMEMBERED_MS = 86_400_000;

/** What the clock of this device did while a run was on. */
export interface ClockChange {
  readonly byMs: number;
  /** Set by somebody, or stood still while the device slept. */
  readonly how: 'set' | 'slept';
}

async function serverNow(): Promise<number | null> {
  try {
    return (await requestJson<{ nowMs: number }>('/api/health')).nowMs;
  } catch {
    return null;
  }
}

/** Watches the wall clock of this device while a run is on; no fuse changes because it is set. */
export function useClockWatch(runId: string): ClockChange | null {
  const dispatch = useAppDispatch();
  const [change, setChange] = useState<ClockChange | null>(null);
  useEffect(() => {
    // Out of sight, a device may have slept.
    let hidden = false;
    const look = async () => {
      const jump = runClock.jumped();
      const wasHidden = hidden;
      hidden = document.hidden;
      if (jump === null) return;
      const server = await serverNow();
      const slept =
        server === null
          ? wasHidden && jump.byMs > 0
          : Math.abs(server - Date.now()) < SERVER_MS && Math.abs(server - runClock.now()) >= SERVER_MS;
      if (slept) runClock.set(Date.now());
      rememberOffset();
      setChange({ byMs: jump.byMs, how: slept ? 'slept' : 'set' });
      dispatch(noteEvent(runId, { kind: 'clock-set', payload: { byMs: jump.byMs } }));
    };
    const seen = () => {
      hidden ||= document.hidden;
    };
    document.addEventListener('visibilitychange', seen);
    const timer = setInterval(() => void look(), LOOK_EVERY_MS);
    return () => {
      document.removeEventListener('visibilitychange', seen);
      clearInterval(timer);
    };
  }, [dispatch, runId]);
  return change;
}

function rememberOffset(): void {
  try {
    const offsetMs = runClock.now() - Date.now();
    browserStorage().setItem(OFFSET_KEY, JSON.stringify({ offsetMs, atMs: runClock.now() }));
  } catch {
    // Full or forbidden: the run goes on, and a reload would ask the server for the time.
  }
}

/** Goes by the clock that the run goes by: this device's as it was, or the server's for a run of another device. */
export async function takeUpClock(begunHere: boolean): Promise<void> {
  if (begunHere) {
    const kept = rememberedOffset();
    if (kept !== null) runClock.set(Date.now() + kept);
    return;
  }
  const server = await serverNow();
  if (server !== null && Math.abs(server - runClock.now()) >= TOGETHER_MS) runClock.set(server);
}

function rememberedOffset(): number | null {
  try {
    const { offsetMs, atMs } = JSON.parse(browserStorage().getItem(OFFSET_KEY) ?? '{}') as {
      offsetMs?: number;
      atMs?: number;
    };
    const known = offsetMs !== undefined && atMs !== undefined && Number.isFinite(offsetMs);
    return known && Math.abs(Date.now() + offsetMs - atMs) < REMEMBERED_MS ? offsetMs : null;
  } catch {
    return null;
  }
}

import type { RunSummary } from '@lean-clasp/core/runs';
import dayjs from 'dayjs';

const MS_PER_MIN = 60_000;

/** When clamps come off – did, once they have – and when the wood may meet a plane, by what was promised; null where unknown. */
export interface Release {
  readonly clampsOffMs: number | null;
  readonly machineMs: number | null;
}

/** Release times of a run that is, or was, in its clamps. */
export function releaseOf({
  clampedAtMs,
  clampsOffAtMs = null,
  promise,
}: Pick<RunSummary, 'clampedAtMs' | 'clampsOffAtMs' | 'promise'>): Release {
  const after = (minutes: number | null) =>
    clampedAtMs === null || minutes === null ? null : clampedAtMs + minutes * MS_PER_MIN;
  return { clampsOffMs: clampsOffAtMs ?? after(promise.clampMin), machineMs: after(promise.machineMin) };
}

/** An instant as one says it in the shop: today's by the clock, another day's with its date. */
export function instantWords(ms: number, nowMs: number): string {
  const at = dayjs(ms);
  const days = at.startOf('day').diff(dayjs(nowMs).startOf('day'), 'day');
  const clock = at.format('HH:mm');
  if (days === 0) return `today ${clock}`;
  if (days === 1) return `tomorrow ${clock}`;
  if (days === -1) return `yesterday ${clock}`;
  return at.format('D MMM YYYY, HH:mm');
}

import type { RunSummary } from './replay';

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

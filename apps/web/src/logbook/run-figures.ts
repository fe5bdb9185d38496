import type { RunSummary } from '@lean-clasp/core/runs';

const MS_PER_MIN = 60_000;

/** Minutes from the first bead to the last step done; null while running or given up. */
export function handsOnMinutes({
  startedAtMs,
  clampedAtMs,
}: Pick<RunSummary, 'startedAtMs' | 'clampedAtMs'>): number | null {
  return clampedAtMs === null ? null : (clampedAtMs - startedAtMs) / MS_PER_MIN;
}

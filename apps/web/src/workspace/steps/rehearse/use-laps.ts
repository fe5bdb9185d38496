import type { Lap } from '@lean-clasp/core/bench';
import { isRecord, useKept } from '../../../keeping/use-kept';

/** A dry run as it is kept in this browser: a reload goes on where it was. */
interface Kept {
  /** When the step on show was begun; null while nothing runs. */
  readonly sinceMs: number | null;
  readonly laps: readonly Lap[];
}

const asDryRun = (kept: unknown): Kept => {
  if (!isRecord(kept)) return { sinceMs: null, laps: [] };
  const { sinceMs, laps } = kept;
  return {
    sinceMs: typeof sinceMs === 'number' ? sinceMs : null,
    laps: Array.isArray(laps) ? (laps as Lap[]) : [],
  };
};

/** The stopwatch of a dry run of one session of a build. */
export function useLaps(buildId: string, session: number) {
  const [kept, keep] = useKept(`lean-clasp.dry-run.${buildId}.${session}`, asDryRun);
  return {
    ...kept,
    begin: () => keep({ sinceMs: Date.now(), laps: [] }),
    /** Ends the step on show; the next begins, or nothing does. */
    lap: (operation: string, mishap: boolean, last: boolean) =>
      keep({
        sinceMs: last ? null : Date.now(),
        laps: [...kept.laps, { operation, tookMs: Date.now() - (kept.sinceMs ?? Date.now()), mishap }],
      }),
    stop: () => keep({ ...kept, sinceMs: null }),
  };
}

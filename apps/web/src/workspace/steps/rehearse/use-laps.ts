import type { Lap } from '@lean-clasp/core/bench';
import { useState } from 'react';
import { browserStorage } from '../../../keeping/browser-storage';

/** A dry run as it is kept in this browser: a reload goes on where it was. */
interface Kept {
  /** When the step on show was begun; null while nothing runs. */
  readonly sinceMs: number | null;
  readonly laps: readonly Lap[];
}

const NOTHING: Kept = { sinceMs: null, laps: [] };

function read(key: string): Kept {
  try {
    const { sinceMs = null, laps = [] } = JSON.parse(browserStorage().getItem(key) ?? '{}') as Partial<Kept>;
    return { sinceMs, laps: Array.isArray(laps) ? laps : [] };
  } catch {
    return NOTHING;
  }
}

/** The stopwatch of a dry run of one session of a build. */
export function useLaps(buildId: string, session: number) {
  const key = `lean-clasp.dry-run.${buildId}.${session}`;
  const [kept, setKept] = useState(() => read(key));
  const write = (next: Kept) => {
    try {
      browserStorage().setItem(key, JSON.stringify(next));
    } catch {
      // Full or forbidden: it holds until the page is left.
    }
    setKept(next);
  };
  return {
    ...kept,
    begin: () => write({ sinceMs: Date.now(), laps: [] }),
    /** Ends the step on show; the next begins, or nothing does. */
    lap: (operation: string, mishap: boolean, last: boolean) =>
      write({
        sinceMs: last ? null : Date.now(),
        laps: [...kept.laps, { operation, tookMs: Date.now() - (kept.sinceMs ?? Date.now()), mishap }],
      }),
    stop: () => write({ ...kept, sinceMs: null }),
  };
}

import type { AirReport } from '@lean-clasp/core/air';
import { formatWait } from '@lean-clasp/core/units';

/** How long ago a reading was taken. */
function ago(takenAtMs: number | null, nowMs: number): string {
  if (takenAtMs === null) return 'no reading yet';
  const minutes = Math.max(0, Math.round((nowMs - takenAtMs) / 60_000));
  return minutes === 0 ? 'read just now' : `read ${formatWait(minutes)} ago`;
}

/** The age of a reading is shown to the minute. */
export const AGE_EVERY_MS = 30_000;

/** What the sensor is worth now, in a sentence; the last sane value is kept whatever happens. */
export function airWords({ state, takenAtMs }: AirReport, nowMs: number): string {
  const kept =
    takenAtMs === null ? 'the air typed in is used' : `the last good value is kept, ${ago(takenAtMs, nowMs)}`;
  switch (state) {
    case 'none':
      return 'No sensor is set.';
    case 'fresh':
      return `The sensor answers, ${ago(takenAtMs, nowMs)}.`;
    case 'stale':
      return `The sensor repeats an old reading: ${ago(takenAtMs, nowMs)}.`;
    case 'gone':
      return `The sensor does not answer: ${kept}.`;
    case 'mad':
      return `The sensor sends nonsense: ${kept}.`;
  }
}

/** The same in two words beside the figures; empty while all is well. */
export const airNote = ({ state }: AirReport): string =>
  ({ none: '', fresh: '', stale: 'old reading', gone: 'sensor silent', mad: 'sensor mad' })[state];

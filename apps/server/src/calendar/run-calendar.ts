import type { RunDocument } from '@lean-clasp/core/formats';
import { nextRecheck, releaseOf, summaryOf } from '@lean-clasp/core/runs';
import { RECHECK_NAMES } from '@lean-clasp/words';
import { createEvents, type EventAttributes } from 'ics';

/** How long an entry is drawn in a calendar, min: one comes, does it, and goes. */
const LASTS_MIN = 15;
/** So long before it the alarm goes, min: time to wash hands. */
const AHEAD_MIN = 5;

/** Something that is to be done about a run at an instant. */
interface Due {
  readonly what: string;
  readonly atMs: number;
  readonly says: string;
}

/** What is to come of a run: clamps off, first machining, the next look. */
function dueOf(run: RunDocument, nowMs: number): Due[] {
  const summary = summaryOf(run);
  const { clampsOffMs, machineMs } = releaseOf({ ...summary, clampsOffAtMs: null });
  const next = nextRecheck(summary.clampedAtMs, summary.rechecks ?? {}, nowMs);
  const off = summary.clampsOffAtMs == null ? clampsOffMs : null;
  return [
    ...(off === null ? [] : [{ what: 'clamps-off', atMs: off, says: 'Clamps may come off' }]),
    ...(machineMs === null ? [] : [{ what: 'machining', atMs: machineMs, says: 'May meet a plane' }]),
    ...(next === null
      ? []
      : [{ what: `look-${next.due}`, atMs: next.atMs, says: `Look at it ${RECHECK_NAMES[next.due]}` }]),
  ];
}

/**
 * What is to come of runs as one calendar (RFC 5545), each entry with an alarm. Entries keep their UID and count up their SEQUENCE with
 * what happens in the run, so that one read in again moves them and makes no second.
 * @param fromMs what was due before this instant is left out.
 */
export function runCalendar(
  runs: readonly RunDocument[],
  nowMs: number,
  fromMs = Number.NEGATIVE_INFINITY,
): string {
  const entries = runs.flatMap((run) =>
    dueOf(run, nowMs)
      .filter(({ atMs }) => atMs >= fromMs)
      .map(({ what, atMs, says }): EventAttributes => ({
        uid: `${run.id}-${what}@lean-clasp`,
        sequence: run.events.length,
        title: `${says}: ${run.buildName}`,
        start: Math.round(atMs),
        startInputType: 'utc',
        startOutputType: 'utc',
        duration: { minutes: LASTS_MIN },
        alarms: [{ action: 'display', description: says, trigger: { before: true, minutes: AHEAD_MIN } }],
      })),
  );
  const { error, value } = createEvents(entries, { productId: 'lean-clasp', calName: 'Glue-ups' });
  if (value == null) throw error ?? new Error('no calendar was written');
  return value;
}

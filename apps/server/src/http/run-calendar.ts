import type { RunDocument } from '@lean-clasp/core/formats';
import { nextRecheck, releaseOf, summaryOf } from '@lean-clasp/core/runs';
import { RECHECK_NAMES } from '@lean-clasp/words';
import { createEvents, type EventAttributes } from 'ics';

/** How long an entry is drawn in a calendar, min: one comes, does it, and goes. */
const LASTS_MIN = 15;
/** So long before it the alarm goes, min: time to wash hands. */
const AHEAD_MIN = 5;

/**
 * What is to come of a run as a calendar (RFC 5545): clamps off, first machining, the next look, each with an alarm. Entries keep their
 * UID and count up their SEQUENCE with what happens in the run, so that one read in again moves them and makes no second.
 */
export function runCalendar(run: RunDocument, nowMs: number): string {
  const summary = summaryOf(run);
  const { clampsOffMs, machineMs } = releaseOf({ ...summary, clampsOffAtMs: null });
  const next = nextRecheck(summary.clampedAtMs, summary.rechecks ?? {}, nowMs);
  const entries: EventAttributes[] = [];
  const add = (what: string, atMs: number | null, says: string): void => {
    if (atMs === null) return;
    entries.push({
      productId: 'lean-clasp',
      uid: `${run.id}-${what}@lean-clasp`,
      sequence: run.events.length,
      title: `${says}: ${run.buildName}`,
      start: Math.round(atMs),
      startInputType: 'utc',
      startOutputType: 'utc',
      duration: { minutes: LASTS_MIN },
      alarms: [{ action: 'display', description: says, trigger: { before: true, minutes: AHEAD_MIN } }],
    });
  };
  add('clamps-off', summary.clampsOffAtMs == null ? clampsOffMs : null, 'Clamps may come off');
  add('machining', machineMs, 'May meet a plane');
  if (next !== null) add(`look-${next.due}`, next.atMs, `Look at it ${RECHECK_NAMES[next.due]}`);
  const { error, value } = createEvents(entries);
  if (value == null) throw error ?? new Error('no calendar was written');
  return value;
}

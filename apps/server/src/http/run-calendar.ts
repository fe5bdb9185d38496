import type { RunDocument } from '@lean-clasp/core/formats';
import { nextRecheck, releaseOf, summaryOf } from '@lean-clasp/core/runs';
import { RECHECK_NAMES } from '@lean-clasp/words';
import ical, { ICalAlarmType } from 'ical-generator';

/** How long an entry is drawn in a calendar, min: one comes, does it, and goes. */
const LASTS_MS = 15 * 60_000;

/**
 * What is to come of a run as a calendar (RFC 5545): clamps off, first machining, the next look, each with an alarm. Entries keep their
 * UID and count up their SEQUENCE with what happens in the run, so that one read in again moves them and makes no second.
 */
export function runCalendar(run: RunDocument, nowMs: number): string {
  const summary = summaryOf(run);
  const { clampsOffMs, machineMs } = releaseOf(summary);
  const next = nextRecheck(summary.clampedAtMs, summary.rechecks ?? {}, nowMs);
  const entries = [
    {
      what: 'clamps-off',
      atMs: summary.clampsOffAtMs === null ? clampsOffMs : null,
      says: 'Clamps may come off',
    },
    { what: 'machining', atMs: machineMs, says: 'May meet a plane' },
    {
      what: `look-${next?.due ?? ''}`,
      atMs: next?.atMs ?? null,
      says: next === null ? '' : `Look at it ${RECHECK_NAMES[next.due]}`,
    },
  ];
  const calendar = ical({
    name: run.buildName,
    prodId: { company: 'Lean Clasp', product: 'Lean Clasp', language: 'EN' },
  });
  for (const { what, atMs, says } of entries) {
    if (atMs === null) continue;
    const entry = calendar.createEvent({
      id: `${run.id}-${what}@lean-clasp`,
      sequence: run.events.length,
      stamp: new Date(nowMs),
      start: new Date(atMs),
      end: new Date(atMs + LASTS_MS),
      summary: `${says}: ${run.buildName}`,
    });
    entry.createAlarm({ type: ICalAlarmType.display, trigger: 0, description: says });
  }
  return calendar.toString();
}

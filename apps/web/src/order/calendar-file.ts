import { writeWallTime } from '@lean-clasp/core/calendar';
import type { DatedSessionOfBuild } from '@lean-clasp/core/plan';
import { createEvents, type DateArray, type EventAttributes } from 'ics';
import { saveFile, slug } from '../parts/save-file';

/** A session of a named build on the calendar. */
export type NamedSession = Pick<DatedSessionOfBuild, 'session' | 'start' | 'handsEnd' | 'clampsOff'> & {
  readonly name: string;
};

/** Sessions as a calendar file in local wall time: hands-on work, and a mark when clamps come off. */
export function calendarFile(sessions: readonly NamedSession[]): string {
  const events = sessions.flatMap(({ name, session, start, handsEnd, clampsOff }): EventAttributes[] => {
    const uid = (what: string) => `${what}-${slug(name)}-${session + 1}-${Math.round(start)}@lean-clasp`;
    const common = { productId: 'lean-clasp', startInputType: 'local', startOutputType: 'local' } as const;
    return [
      {
        ...common,
        uid: uid('glue-up'),
        title: `Glue up: ${name}, session ${session + 1}`,
        start: dateArray(start),
        end: dateArray(handsEnd),
        endInputType: 'local',
        endOutputType: 'local',
        description: 'Set-up and hands-on work. Follow the label of the glue.',
      },
      {
        ...common,
        uid: uid('clamps-off'),
        title: `Clamps off: ${name}, session ${session + 1}`,
        start: dateArray(clampsOff),
        duration: { minutes: 5 },
      },
    ];
  });
  const { error, value } = createEvents(events);
  if (value == null) throw error ?? new Error('no calendar was written');
  return value;
}

/** Calendar programs count in whole minutes. */
function dateArray(at: number): DateArray {
  const text = writeWallTime(Math.round(at));
  const part = (from: number, to: number) => Number(text.slice(from, to));
  return [part(0, 4), part(5, 7), part(8, 10), part(11, 13), part(14, 16)];
}

/** Hands the file to the browser. */
export function downloadCalendar(name: string, sessions: readonly NamedSession[]): void {
  saveFile(`${slug(name)}.ics`, calendarFile(sessions), 'text/calendar');
}

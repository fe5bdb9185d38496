import { readWallTime } from '@lean-clasp/core/calendar';
import ICAL from 'ical.js';
import { calendarFile } from './calendar-file';

describe('calendarFile', () => {
  it('is read back by another reader as local times', () => {
    const name = 'Lamp posts, "five" sides';
    const start = readWallTime('2027-03-01T15:40', 'start');
    const text = calendarFile([
      {
        name,
        session: 0,
        start,
        handsEnd: start + 21.4,
        clampsOff: start + 90,
      },
      {
        name,
        session: 1,
        start: start + 1000,
        handsEnd: start + 1030,
        clampsOff: start + 1100,
      },
    ]);
    const events = new ICAL.Component(ICAL.parse(text) as unknown[])
      .getAllSubcomponents('vevent')
      .map((each) => new ICAL.Event(each));
    expect(events).toHaveLength(4);
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(4);
    const [glueUp, clampsOff] = events;
    expect(glueUp?.summary).toBe('Glue up: Lamp posts, "five" sides, session 1');
    expect(glueUp?.startDate.toString()).toBe('2027-03-01T15:40:00');
    expect(glueUp?.startDate.zone).toBe(ICAL.Timezone.localTimezone);
    expect(glueUp?.endDate.toString()).toBe('2027-03-01T16:01:00');
    expect(clampsOff?.startDate.toString()).toBe('2027-03-01T17:10:00');
  });
});

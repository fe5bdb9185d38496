import ICAL from 'ical.js';
import request from './contract';
import { startTestServer, type TestServer } from './start';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.discard());

/** Entries of a calendar, read by a parser that did not write it. */
function entriesOf(text: string) {
  const calendar = new ICAL.Component(ICAL.parse(text) as string);
  return calendar.getAllSubcomponents('vevent').map((component) => {
    const event = new ICAL.Event(component);
    return {
      uid: event.uid,
      summary: event.summary,
      sequence: event.sequence,
      atMs: event.startDate.toJSDate().getTime(),
      alarms: component.getAllSubcomponents('valarm').length,
    };
  });
}

describe('the calendar of a run', () => {
  it('has each release to the second, with an alarm, and moves with what happens', async () => {
    const run = (await request(server.url).get('/api/runs/demo-run-2')).body as {
      promise: { machineMin: number };
      events: { kind: string; atMs: number; seq: number; device: string }[];
    };
    const clampedAtMs = run.events.find(({ kind }) => kind === 'finish')?.atMs ?? 0;
    const first = await request(server.url).get('/api/runs/demo-run-2/calendar.ics').expect(200);
    expect(first.headers['content-type']).toContain('text/calendar');
    const before = entriesOf(first.text);
    const plane = before.find(({ uid }) => uid === 'demo-run-2-machining@lean-clasp');
    expect(plane?.summary).toBe('May meet a plane: Stage floor');
    expect(Math.abs((plane?.atMs ?? 0) - (clampedAtMs + run.promise.machineMin * 60_000))).toBeLessThan(1001);
    for (const { alarms } of before) expect(alarms).toBe(1);
    expect(
      before.some(({ uid }) => uid === 'demo-run-2-look-season@lean-clasp' || uid.includes('look-week')),
    ).toBe(true);

    const off = {
      id: 'tablet-0',
      device: 'tablet',
      seq: 0,
      hand: 0,
      kind: 'clamps-off',
      atMs: 1_780_000_000_000,
    };
    await request(server.url)
      .post('/api/runs/demo-run-2/events')
      .send({ events: [off] })
      .expect(200);
    const after = entriesOf((await request(server.url).get('/api/runs/demo-run-2/calendar.ics')).text);
    expect(after.map(({ uid }) => uid)).not.toContain('demo-run-2-clamps-off@lean-clasp');
    for (const { uid, sequence } of after) {
      expect(sequence).toBeGreaterThan(before.find((each) => each.uid === uid)?.sequence ?? Infinity);
    }
  });

  it('is not there for runs that nobody knows', async () => {
    await request(server.url).get('/api/runs/other/calendar.ics').expect(404);
    await request(server.url).post('/api/runs/demo-run-2/calendar.ics').expect(405);
  });
});

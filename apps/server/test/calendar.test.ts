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

  it('is one of all runs for those who subscribe, at an address that a new passphrase changes', async () => {
    const addressNow = async () =>
      ((await request(server.url).get('/api/network').expect(200)).body as { calendar: string }).calendar;
    const address = await addressNow();
    const feed = await request(server.url).get(address).expect(200);
    expect(feed.headers['content-type']).toContain('text/calendar');
    const entries = entriesOf(feed.text);
    expect(new Set(entries.map(({ uid }) => uid)).size).toBe(entries.length);
    const [, alone] = /^(.*?)-(?:clamps-off|machining|look)/.exec(entries[0]?.uid ?? '') ?? [];
    const single = entriesOf((await request(server.url).get(`/api/runs/${alone}/calendar.ics`)).text);
    expect(single).toContainEqual(entries[0]);
    for (const { atMs } of entries) expect(atMs).toBeGreaterThan(1_780_000_000_000 - 31 * 86_400_000);

    // From the network, without coming in.
    const outside = (path: string) => request(server.url).get(path).set('x-forwarded-for', '192.0.2.9');
    await outside(address).expect(200);
    await outside('/api/calendar/guess.ics').expect(404);
    await request(server.url)
      .put('/api/network/passphrases/bench')
      .send({ passphrase: 'mallet water and rag' })
      .expect(200);
    await outside(address).expect(404);
    await outside(await addressNow()).expect(200);
  });

  it('is not there for runs that nobody knows', async () => {
    await request(server.url).get('/api/runs/other/calendar.ics').expect(404);
    await request(server.url).post('/api/runs/demo-run-2/calendar.ics').expect(405);
  });
});

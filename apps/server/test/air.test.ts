import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { createValidator } from '@lean-clasp/validation';
import request from 'supertest';
import { airWatch } from '../src/air/air-watch';
import { type LastAir, lastAir, openDatabase } from '../src/store';
import { startTestServer } from './start';

type Answer = { readonly status: number; readonly body: string };

let answer: Answer = { status: 200, body: '' };
let asked = 0;
let sensor: Server;
let address: string;

const reading = (tempC: number, rhPct: number, takenAt: string): Answer => ({
  status: 200,
  body: JSON.stringify({ format: 'lean-clasp/air', version: 1, tempC, rhPct, takenAt }),
});

beforeAll(async () => {
  sensor = createServer((_request, response) => {
    asked += 1;
    response.writeHead(answer.status, { 'content-type': 'application/json' }).end(answer.body);
  });
  await new Promise<void>((done) => sensor.listen(0, '127.0.0.1', done));
  address = `http://127.0.0.1:${(sensor.address() as AddressInfo).port}/air`;
});
afterAll(() => new Promise((done) => sensor.close(done)));

describe('airWatch', () => {
  const START = Date.parse('2026-11-24T08:00:00Z');
  const nothing: LastAir = { find: () => Promise.resolve(null), keep: () => Promise.resolve() };
  const watching = (where: () => string | null = () => address, last = nothing) => {
    let nowMs = START;
    const watch = airWatch({
      address: () => Promise.resolve(where()),
      validator: createValidator(),
      last,
      now: () => nowMs,
    });
    return {
      report: watch.report,
      later: (seconds: number) => {
        nowMs += 1000 * seconds;
      },
    };
  };

  it('remembers the last sane value over a restart, of this sensor only', async () => {
    const db = await openDatabase(':memory:');
    try {
      answer = reading(16.5, 58, '2026-11-24T07:59:30Z');
      await watching(undefined, lastAir(db)).report();
      answer = { status: 503, body: '' };
      const again = watching(undefined, lastAir(db));
      expect(await again.report()).toEqual({
        state: 'gone',
        air: { tempC: 16.5, rhPct: 58 },
        takenAtMs: Date.parse('2026-11-24T07:59:30Z'),
      });
      const other = watching(() => `${address}?another`, lastAir(db));
      expect(await other.report()).toMatchObject({ state: 'gone', air: null });
    } finally {
      await db.destroy();
    }
  });

  it('keeps the last sane value through silence, nonsense and things that are no readings', async () => {
    const { report, later } = watching();
    answer = reading(16.5, 58, '2026-11-24T07:59:30Z');
    const good = await report();
    expect(good).toMatchObject({ state: 'fresh', air: { tempC: 16.5, rhPct: 58 } });
    for (const [bad, state] of [
      [{ status: 503, body: '' }, 'gone'],
      [reading(-40, 130, '2026-11-24T08:01:00Z'), 'mad'],
      [{ status: 200, body: 'warm' }, 'gone'],
      [{ status: 200, body: '{"format":"lean-clasp/air","version":1}' }, 'gone'],
      [{ status: 200, body: ' '.repeat(5000) }, 'gone'],
    ] as const) {
      later(30);
      answer = bad;
      expect(await report()).toEqual({ ...good, state });
    }
    later(30);
    answer = reading(17, 55, '2026-11-24T08:03:00Z');
    expect(await report()).toMatchObject({ state: 'fresh', air: { tempC: 17 } });
  });

  it('does not ask again at once, and starts afresh at another address', async () => {
    let where: string | null = address;
    const { report, later } = watching(() => where);
    answer = reading(15, 60, '2026-11-24T08:00:00Z');
    const before = asked;
    await report();
    later(5);
    await report();
    expect(asked - before).toBe(1);
    where = 'http://127.0.0.1:9/air';
    expect(await report()).toEqual({ state: 'gone', air: null, takenAtMs: null });
    where = null;
    expect((await report()).state).toBe('none');
  });
});

describe('GET /api/air', () => {
  it('goes by the address that the shop names, takes no other kind of address, and none when it is taken out', async () => {
    const server = await startTestServer();
    const shop = request(server.url);
    const edit = (baseRevision: number, patch: object, inverse: object) =>
      shop.patch('/api/shops/shop').send({
        baseRevision,
        kind: 'edit',
        label: 'Sensor',
        group: `g${baseRevision}`,
        patch: [patch],
        inverse: [inverse],
      });
    const at = (value: string) => ({ op: 'replace', path: '/sensor/address', value });
    try {
      answer = reading(19.2, 47, new Date().toISOString());
      await shop.get('/api/air').expect(200, { state: 'none', air: null, takenAtMs: null });
      const gone = { op: 'remove', path: '/sensor' };
      const set = { op: 'add', path: '/sensor', value: { address, follow: true } };
      await edit(0, set, gone).expect(200);
      const report = await shop.get('/api/air').expect(200);
      expect(report.body).toMatchObject({ state: 'fresh', air: { tempC: 19.2, rhPct: 47 } });
      await edit(1, at('file:///etc/passwd'), at(address)).expect(422);
      await edit(1, gone, set).expect(200);
      await shop.get('/api/air').expect(200, { state: 'none', air: null, takenAtMs: null });
    } finally {
      await server.discard();
    }
  });
});

import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { ShopDocument } from '@lean-clasp/core/formats';
import { STARTER_SHOP } from '@lean-clasp/core/templates';
import { createValidator } from '@lean-clasp/validation';
import request from './contract';
import { airWatch } from '../src/air/air-watch';
import { equilibriumMoisturePct } from '@lean-clasp/core/materials';
import { type AirLog, airLog, openDatabase } from '@lean-clasp/store';
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
  const nothing: AirLog = {
    last: () => Promise.resolve(null),
    keep: () => Promise.resolve(),
    all: () => Promise.resolve([]),
  };
  const shopAt = (at: string | null): ShopDocument => ({
    ...STARTER_SHOP,
    ...(at === null ? {} : { sensor: { address: at, follow: true } }),
  });
  const watching = (where: () => string | null = () => address, log = nothing) => {
    let nowMs = START;
    const watch = airWatch({
      shop: () => Promise.resolve(shopAt(where())),
      validator: createValidator(),
      log,
      now: () => nowMs,
    });
    return {
      report: watch.report,
      series: watch.series,
      later: (seconds: number) => {
        nowMs += 1000 * seconds;
      },
    };
  };

  it('remembers the last sane value over a restart, of this sensor only', async () => {
    const db = await openDatabase(':memory:');
    try {
      answer = reading(16.5, 58, '2026-11-24T07:59:30Z');
      await watching(undefined, airLog(db)).report();
      answer = { status: 503, body: '' };
      const again = watching(undefined, airLog(db));
      expect(await again.report()).toEqual({
        state: 'gone',
        air: { tempC: 16.5, rhPct: 58 },
        takenAtMs: Date.parse('2026-11-24T07:59:30Z'),
      });
      const other = watching(() => `${address}?another`, airLog(db));
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

  it('keeps a reading every ten minutes, whoever asks in between, and none that is nonsense', async () => {
    const db = await openDatabase(':memory:');
    try {
      const { report, later, series } = watching(undefined, airLog(db));
      const minutes = [0, 4, 9, 10, 14, 20, 30];
      let at = 0;
      for (const minute of minutes) {
        later(60 * (minute - at));
        at = minute;
        const takenAt = new Date(START + 60_000 * minute).toISOString();
        answer = reading(minute === 20 ? 130 : 10 + minute / 10, 60, takenAt);
        await report();
      }
      const { samples } = await series(1);
      expect(samples.map(({ takenAtMs }) => (takenAtMs - START) / 60_000)).toEqual([0, 9, 30]);
      expect(samples.map(({ tempC }) => tempC)).toEqual([10, 10.9, 13]);
    } finally {
      await db.destroy();
    }
  });

  it('tells what wood has come to by the whole record, and a chart no more than it can show', async () => {
    const db = await openDatabase(':memory:');
    try {
      const log = airLog(db);
      const { series } = watching(undefined, log);
      expect(await series(14)).toEqual({ samples: [], means: [], usualDay: [] });
      const hours = Array.from({ length: 24 * 60 }, (_, i) => START - i * 3_600_000);
      await log.keep(
        address,
        hours.map((takenAtMs) => ({ takenAtMs, tempC: 15, rhPct: 70 })),
      );
      await log.keep(address, [{ takenAtMs: START - 500 * 86_400_000, tempC: 30, rhPct: 10 }]);
      const { samples, means, usualDay } = await series(30);
      expect(samples.length).toBeLessThanOrEqual(600);
      expect(samples.at(-1)?.takenAtMs).toBe(START);
      expect(START - (samples[0]?.takenAtMs ?? 0)).toBeLessThanOrEqual(30 * 86_400_000);
      const balance = equilibriumMoisturePct(15, 70);
      expect(means.map(({ days }) => days)).toEqual([1, 3, 10, 30, 90]);
      // Sixty days of it: wood of a day or ten is there, a thick beam half way from the usual 20 °C and 50 %.
      expect(means[0]?.mcPct).toBeCloseTo(balance, 3);
      expect(means[4]?.mcPct).toBeGreaterThan(equilibriumMoisturePct(20, 50) + 0.3 * (balance - 9.2));
      expect(means[4]?.mcPct).toBeLessThan(balance - 0.5);
      expect(usualDay).toHaveLength(24);
    } finally {
      await db.destroy();
    }
  });

  it('forgets what is older than a year and a month', async () => {
    const db = await openDatabase(':memory:');
    try {
      const log = airLog(db);
      await log.keep(address, [{ takenAtMs: START - 401 * 86_400_000, tempC: 9, rhPct: 60 }]);
      expect(await log.all()).toHaveLength(1);
      await log.keep(address, [{ takenAtMs: START, tempC: 19, rhPct: 50 }]);
      expect((await log.all()).map(({ tempC }) => tempC)).toEqual([19]);
      await log.keep(address, []);
      expect(await log.all()).toHaveLength(1);
    } finally {
      await db.destroy();
    }
  });

  it('is asked once, however many pages want to know at the same time', async () => {
    answer = reading(19, 50, '2026-11-24T08:00:00Z');
    const watch = airWatch({
      shop: () => Promise.resolve(shopAt(address)),
      validator: createValidator(),
      log: nothing,
      now: () => START,
    });
    asked = 0;
    const reports = await Promise.all(Array.from({ length: 50 }, () => watch.report()));
    expect(asked).toBe(1);
    expect(new Set(reports.map(({ air }) => air?.tempC))).toEqual(new Set([19]));
  });

  it('takes no more of an answer than a reading is long, from one that never ends', async () => {
    let written = 0;
    const endless = createServer((_request, response) => {
      const more = setInterval(() => {
        response.write('x'.repeat(64_000));
        written += 64_000;
      }, 1);
      response.on('close', () => clearInterval(more));
    });
    await new Promise<void>((done) => endless.listen(0, '127.0.0.1', done));
    const { port } = endless.address() as AddressInfo;
    const watch = airWatch({
      shop: () => Promise.resolve(shopAt(`http://127.0.0.1:${port}/`)),
      validator: createValidator(),
      log: nothing,
      now: () => START,
    });
    try {
      expect((await watch.report()).air).toBeNull();
      await new Promise((done) => setTimeout(done, 200));
      const cut = written;
      await new Promise((done) => setTimeout(done, 200));
      expect(written).toBe(cut);
      expect(written).toBeLessThan(2_000_000);
    } finally {
      endless.closeAllConnections();
      await new Promise((done) => endless.close(done));
    }
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

describe('GET /api/air/series', () => {
  it('is empty where nothing was read, and wants a number of days that can be', async () => {
    const server = await startTestServer();
    try {
      const shop = request(server.url);
      await shop.get('/api/air/series').expect(200, { samples: [], means: [], usualDay: [] });
      for (const days of ['0', 'soon', '5000']) {
        const answer = await shop.get(`/api/air/series?days=${days}`).expect(422);
        expect((answer.body as { error: { field: string } }).error.field).toBe('days');
      }
    } finally {
      await server.discard();
    }
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

import { copyFileSync, existsSync, mkdtempSync, readdirSync, renameSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { InputError } from '@lean-clasp/core/basics';
import Sqlite from 'better-sqlite3';
import pino from 'pino';
import request from 'supertest';
import { DEFAULT_PORT, readOptions } from '../src/config/options';
import { startServer } from '../src/server';
import { startTestServer, WORKER } from './start';

const world = { logger: pino({ level: 'silent' }), now: () => 0, version: 'test', worker: WORKER };

const listOf = async (url: string) =>
  ((await request(url).get('/api/builds?limit=200').expect(200)).body as { builds: { id: string }[] }).builds;

describe('readOptions', () => {
  it('takes the command line before the environment before the defaults', () => {
    const env = { LEAN_CLASP_PORT: '5001', LEAN_CLASP_HOST: '0.0.0.0', LEAN_CLASP_DATA: '/somewhere' };
    expect(readOptions(['--port', '5002'], env)).toMatchObject({
      port: 5002,
      portNamed: true,
      host: '0.0.0.0',
      dataDir: '/somewhere',
    });
    expect(readOptions([], {})).toMatchObject({
      port: DEFAULT_PORT,
      portNamed: false,
      host: '127.0.0.1',
      demo: false,
      sensor: null,
    });
  });

  it.each([[['--port', 'many']], [['--port', '70000']], [['--colour', 'red']]])('refuses %j', (args) => {
    expect(() => readOptions(args, {})).toThrow(InputError);
  });
});

describe('a folder that is in use, or goes away', () => {
  it('is refused to a second server, which says why', async () => {
    const first = await startTestServer();
    await expect(startTestServer({ dataDir: first.dataDir })).rejects.toThrow(/Another server already uses/);
    await request(first.url).get('/api/builds').expect(200);
    await first.discard();
  });

  it('refuses changes while its file is gone, in words, and goes on when it is back', async () => {
    const server = await startTestServer();
    const path = join(server.dataDir, 'lean-clasp.sqlite');
    renameSync(path, `${path}.away`);
    const asked = { template: 'reglue', name: 'Seat', project: '', service: 'dry', answers: {} };
    const refused = await request(server.url).post('/api/builds').send(asked).expect(503);
    expect(refused.body).toMatchObject({ error: { code: 'storage-gone' } });
    await request(server.url).get('/api/health').expect(200);
    renameSync(`${path}.away`, path);
    await request(server.url).post('/api/builds').send(asked).expect(201);
    await server.discard();
  });

  it('is copied at the start, and told where a copy can be found', async () => {
    const server = await startTestServer();
    const copies = join(server.dataDir, 'copies');
    const deadline = Date.now() + 10_000;
    while (!existsSync(copies) || readdirSync(copies).every((name) => name.endsWith('.half'))) {
      if (Date.now() > deadline) throw new Error('no copy was made');
      await new Promise((done) => setTimeout(done, 50));
    }
    expect(readdirSync(copies)[0]).toMatch(/^lean-clasp-2026-05-\d\dT\d{6}\.sqlite$/);
    await server.discard();
  });
});

describe('a server', () => {
  it('keeps every edit and run over a restart', async () => {
    const first = await startTestServer();
    const before = (await request(first.url).get('/api/builds/stage-floor')).body as { revision: number };
    await request(first.url)
      .patch('/api/builds/stage-floor')
      .send({
        baseRevision: before.revision,
        kind: 'edit',
        label: 'Crew',
        group: 'g',
        patch: [{ op: 'replace', path: '/crew', value: 2 }],
        inverse: [{ op: 'replace', path: '/crew', value: 1 }],
      })
      .expect(200);
    await first.stop();
    const second = await startTestServer({ dataDir: first.dataDir });
    const after = (await request(second.url).get('/api/builds/stage-floor')).body as {
      body: { crew: number };
    };
    expect(after.body.crew).toBe(2);
    expect(((await request(second.url).get('/api/runs')).body as { runs: unknown[] }).runs).toHaveLength(24);
    expect((await request(second.url).get('/api/builds/stage-floor/edits')).body).toHaveLength(1);
    await second.discard();
  });

  it('starts empty without the demo: a starter shop and no builds', async () => {
    const plain = await startTestServer({ demo: false });
    expect((await request(plain.url).get('/api/builds')).body).toEqual({ builds: [], next: null });
    expect((await request(plain.url).get('/api/shops/shop')).body).toMatchObject({
      body: { name: 'My shop' },
    });
    await plain.discard();
  });

  it('moves on from a taken default port, and refuses a taken port that was named', async () => {
    const squatter = createServer();
    const port = await new Promise<number>((done) => {
      squatter.listen(0, '127.0.0.1', () => done((squatter.address() as { port: number }).port));
    });
    const dataDir = mkdtempSync(join(tmpdir(), 'lean-clasp-port-'));
    const options = { dataDir, port, host: '127.0.0.1', https: false, names: [], demo: false, sensor: null };
    const moved = await startServer({ ...options, portNamed: false }, world);
    expect(moved.url).not.toContain(`:${port}`);
    await moved.stop();
    await expect(startServer({ ...options, portNamed: true }, world)).rejects.toThrow(/taken; name another/);
    squatter.close();
  });
});

describe('a database from before', () => {
  const stored = join(__dirname, 'stored', 'lean-clasp-1.sqlite');
  async function onStored() {
    const dataDir = mkdtempSync(join(tmpdir(), 'lean-clasp-stored-'));
    copyFileSync(stored, join(dataDir, 'lean-clasp.sqlite'));
    return startTestServer({ dataDir, demo: false });
  }

  it('is copied, then brought up to date: every build opens and takes edits', async () => {
    const server = await onStored();
    const copy = join(server.dataDir, 'lean-clasp.before-2.sqlite');
    expect(existsSync(copy)).toBe(true);
    const list = await listOf(server.url);
    expect(list).toHaveLength(19);
    for (const { id } of list) {
      const { revision, body } = (await request(server.url).get(`/api/builds/${id}`).expect(200)).body as {
        revision: number;
        body: { version: number; crew: number };
      };
      expect(body.version).toBe(2);
      await request(server.url)
        .patch(`/api/builds/${id}`)
        .send({
          baseRevision: revision,
          kind: 'edit',
          label: 'Crew',
          group: 'g',
          patch: [{ op: 'replace', path: '/crew', value: 3 }],
          inverse: [{ op: 'replace', path: '/crew', value: body.crew }],
        })
        .expect(200);
    }
    const { runs } = (await request(server.url).get('/api/runs')).body as {
      runs: { id: string; state: string; record: { note: string } }[];
    };
    expect(runs.map(({ state }) => state)).toEqual(runs.map(() => 'clamped'));
    expect(runs.every(({ record }) => record.note.length > 0)).toBe(true);
    const whole = (await request(server.url).get(`/api/runs/${runs[0]?.id ?? ''}`)).body as {
      version: number;
      events: unknown[];
    };
    expect(whole.version).toBe(2);
    expect(whole.events.length).toBeGreaterThan(10);
    await server.discard();
  });

  it('logs where undo stops, once: a second start changes nothing', async () => {
    const first = await onStored();
    const logOf = async (url: string) =>
      (await request(url).get('/api/builds/stage-floor/edits')).body as { kind: string; revision: number }[];
    const log = await logOf(first.url);
    expect(log.map(({ kind }) => kind)).toEqual(['edit', 'edit', 'undo', 'upgrade']);
    expect(log.at(-1)?.revision).toBe(4);
    await first.stop();
    const second = await startTestServer({ dataDir: first.dataDir, demo: false });
    expect(await logOf(second.url)).toEqual(log);
    await second.discard();
  });

  it('keeps what it cannot read as it is, and shows the others', async () => {
    const dataDir = mkdtempSync(join(tmpdir(), 'lean-clasp-damaged-'));
    const path = join(dataDir, 'lean-clasp.sqlite');
    copyFileSync(stored, path);
    const db = new Sqlite(path);
    db.prepare("update documents set body = ? where id = 'lantern'").run(
      '{"version":1,"template":"edge-panel"}',
    );
    db.close();
    const server = await startTestServer({ dataDir, demo: false });
    const list = await listOf(server.url);
    expect(list.map(({ id }) => id)).not.toContain('lantern');
    expect(list).toHaveLength(18);
    await server.stop();
    const kept = new Sqlite(path, { readonly: true });
    const row = kept.prepare("select body from documents where id = 'lantern'").get() as { body: string };
    kept.close();
    expect(row.body).toBe('{"version":1,"template":"edge-panel"}');
    await server.discard();
  });
});

import { createServer } from 'node:net';
import { InputError } from '@lean-clasp/core';
import pino from 'pino';
import request from 'supertest';
import { DEFAULT_PORT, readOptions } from '../src/config/options';
import { startServer } from '../src/server';
import { startTestServer } from './start';

const world = { logger: pino({ level: 'silent' }), now: () => 0, version: 'test' };

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
    expect((await request(second.url).get('/api/runs')).body).toHaveLength(2);
    expect((await request(second.url).get('/api/builds/stage-floor/edits')).body).toHaveLength(1);
    await second.discard();
  });

  it('starts empty without the demo: a starter shop and no builds', async () => {
    const plain = await startTestServer({ demo: false });
    expect((await request(plain.url).get('/api/builds')).body).toEqual([]);
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
    const options = { dataDir: ':memory:', port, host: '127.0.0.1', demo: false, sensor: null };
    const moved = await startServer({ ...options, portNamed: false }, world);
    expect(moved.url).not.toContain(`:${port}`);
    await moved.stop();
    await expect(startServer({ ...options, portNamed: true }, world)).rejects.toThrow(/taken; name another/);
    squatter.close();
  });
});

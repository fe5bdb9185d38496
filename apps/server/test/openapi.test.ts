import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { createCalculator } from '@lean-clasp/validation';
import type { Response } from 'supertest';
import request, { DOCUMENT, followsContract } from './contract';
import { startTestServer, type TestServer } from './start';

/** A validator of such documents, as a program of its own. */
const VALIDATE = join(__dirname, '../../../node_modules/.bin/validate-api');

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.discard());

describe('the document of the HTTP interface', () => {
  it('is served, sound OpenAPI 3.1, and has every sum at an address of its own', async () => {
    const served = await request(server.url).get('/api/openapi.json').expect(200);
    expect(served.body).toEqual(JSON.parse(JSON.stringify(DOCUMENT)));
    const written = join(server.dataDir, 'openapi.json');
    writeFileSync(written, served.text);
    const said = execFileSync(process.execPath, [VALIDATE, written], { encoding: 'utf8' });
    expect(JSON.parse(said)).toEqual({ valid: true });
    expect((served.body as { openapi: string }).openapi).toBe('3.1.0');
    const { paths } = served.body as { paths: object };
    for (const { name } of createCalculator().list()) expect(Object.keys(paths)).toContain(`/calc/${name}`);
  });

  it('tells every operation apart by a name of its own', () => {
    const paths = DOCUMENT.paths as Record<string, Record<string, { operationId: string }>>;
    const names = Object.values(paths).flatMap((path) =>
      Object.values(path).map(({ operationId }) => operationId),
    );
    expect(new Set(names).size).toBe(names.length);
  });

  it('holds for every sum with its own example', async () => {
    for (const { name, example } of createCalculator().list()) {
      await request(server.url)
        .post(`/api/calc/${name}`)
        .send(example as object)
        .expect(200);
    }
  });

  it('knows what the server can be asked, and what not', async () => {
    // Addresses that the document tells of are there: asked without anything they refuse, but not as unknown.
    const paths = DOCUMENT.paths as Record<string, Record<string, unknown>>;
    for (const [path, methods] of Object.entries(paths)) {
      const address = `/api${path.replace(/\{\w+\}/g, 'none')}`;
      for (const method of Object.keys(methods)) {
        if (method === 'get' || path.startsWith('/calc/')) continue;
        const answer = await fetch(`${server.url}${address}`, { method: method.toUpperCase() });
        const { error } =
          answer.status === 204 ? {} : ((await answer.json()) as { error?: { message: string } });
        expect([method, path, error?.message]).not.toEqual([
          method,
          path,
          'There is nothing at this address.',
        ]);
        expect([method, path, answer.status]).not.toEqual([method, path, 405]);
      }
    }
  });

  it('would be broken by what it does not tell of', () => {
    const answered = (method: string, path: string, body: unknown, sent?: unknown) =>
      followsContract({
        status: 200,
        type: 'application/json',
        body,
        request: { method, url: `http://shop${path}`, _data: sent },
      } as unknown as Response);
    expect(() => answered('GET', '/api/moon', {})).toThrow('tells of no GET /api/moon');
    expect(() => answered('GET', '/api/health', { status: 'ok' })).toThrow('required');
    expect(() => answered('GET', '/api/runs?colour=red', { runs: [], next: null })).toThrow('?colour');
    expect(() => answered('POST', '/api/calc/emc', {}, { tempC: 'warm', rhPct: 50 })).toThrow('tempC');
  });
});

import { createValidator } from '@lean-clasp/validation';
import type { TSchema } from '@sinclair/typebox';
import type { RunDocument, ShopDocument } from '@lean-clasp/core/formats';
import type { LoggedEdit } from '@lean-clasp/store';
import request from './contract';
import { ownHosts } from '../src/http/own-host';
import { startTestServer, type TestServer } from './start';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.discard());

const api = () => request(server.url);
const asked = { template: 'edge-panel', name: 'Counter top', project: '', service: 'dry', answers: {} };
const edit = (baseRevision: number, name: string, before: string) => ({
  baseRevision,
  kind: 'edit',
  label: 'Name',
  group: 'g1',
  patch: [{ op: 'replace', path: '/name', value: name }],
  inverse: [{ op: 'replace', path: '/name', value: before }],
});

describe('health and headers', () => {
  it('answers who it is, under a strict policy and without saying what it runs on', async () => {
    const response = await api()
      .get('/api/health')
      .expect(200, { status: 'ok', version: 'test', nowMs: 1_780_000_000_000 });
    expect(response.headers['content-security-policy']).toContain("script-src 'self' 'wasm-unsafe-eval'");
    expect(response.headers['content-security-policy']).not.toContain('upgrade-insecure-requests');
    expect(response.headers['x-content-type-options']).toBe('nosniff');
    expect(response.headers['x-powered-by']).toBeUndefined();
  });

  it('answers unknown addresses in the one error shape', async () => {
    const response = await api().get('/api/nowhere').expect(404);
    expect(response.body).toEqual({
      error: {
        code: 'not-found',
        field: '',
        message: expect.any(String) as string,
        allowed: expect.any(String) as string,
      },
    });
  });
});

describe('calculations', () => {
  it('lists names with their schemas', async () => {
    const response = await api().get('/api/calc').expect(200);
    const listed = response.body as { name: string; input: { type: string }; output: { type: string } }[];
    expect(listed.map(({ name }) => name)).toContain('emc');
    for (const { input, output } of listed) expect([input.type, output.type]).toEqual(['object', 'object']);
  });

  it('answers', async () => {
    const response = await api().post('/api/calc/emc').send({ tempC: 21.1, rhPct: 50 }).expect(200);
    expect((response.body as { emcPct: number }).emcPct).toBeCloseTo(9.24, 2);
  });

  it('answers 422 for bad input, 400 for what is not JSON, 413 for what is too large', async () => {
    const bad = await api().post('/api/calc/emc').send({ tempC: 'warm', rhPct: 50 }).expect(422);
    expect(bad.body).toMatchObject({ error: { code: 'not-a-number', field: 'tempC' } });
    const torn = await api()
      .post('/api/calc/emc')
      .set('content-type', 'application/json')
      .send('{"tempC":')
      .expect(400);
    expect(torn.body).toMatchObject({ error: { code: 'not-json' } });
    const big = await api()
      .post('/api/calc/emc')
      .send({ tempC: 20, rhPct: 50, note: 'x'.repeat(5_000_000) })
      .expect(413);
    expect(big.body).toMatchObject({ error: { code: 'too-large' } });
    await api().get('/api/health').expect(200);
  });

  it('takes JSON whatever it is called, and says what a bare number is not', async () => {
    await api()
      .post('/api/calc/emc')
      .set('content-type', 'text/plain')
      .send('{"tempC":20,"rhPct":50}')
      .expect(200);
    await api().post('/api/calc/emc').set('content-type', 'application/json').send('12').expect(422);
  });
});

describe('plans', () => {
  it('answers with sessions, clamps, verdicts and fixes in words', async () => {
    const response = await api()
      .post('/api/plan')
      .send({ template: 'tenon-frame', answers: {}, crew: 2 })
      .expect(200);
    const plan = response.body as {
      sessions: { joints: string[] }[];
      bench: { says: string }[];
      verdicts: Record<string, { says: string }>;
    };
    expect(plan.sessions.flatMap(({ joints }) => joints).length).toBeGreaterThan(3);
    expect(plan.bench.length).toBeGreaterThan(10);
    expect(Object.keys(plan.verdicts)).toEqual(['inTime', 'tight', 'square', 'flat']);
    for (const { says } of Object.values(plan.verdicts)) expect(says).toMatch(/ /);
  });

  it('says what is wrong with what cannot be planned', async () => {
    const none = await api().post('/api/plan').send({}).expect(422);
    expect(none.body).toMatchObject({ error: { code: 'missing', field: 'template' } });
    const long = await api()
      .post('/api/plan')
      .send({ template: 'edge-panel', answers: { lengthMm: 40_000 } })
      .expect(422);
    expect(long.body).toMatchObject({ error: { field: 'answers.lengthMm' } });
  });
});

describe('files of a plan', () => {
  const ask = {
    what: 'sheet',
    format: 'pdf',
    paper: 'a4',
    units: 'metric',
    session: null,
    link: null,
    today: null,
    closesInMin: null,
  };
  const plan = { template: 'tenon-frame', answers: {} };

  it('are made off the thread that answers, each of its own type', async () => {
    const sheet = await api().post('/api/paper').send({ ask, plan }).buffer().expect(200);
    expect(sheet.type).toBe('application/pdf');
    expect((sheet.body as Buffer).subarray(0, 5).toString()).toBe('%PDF-');
    const drawing = await api()
      .post('/api/paper')
      .send({ ask: { ...ask, what: 'drawing', format: 'svg' }, plan })
      .expect(200);
    expect(drawing.type).toBe('image/svg+xml');
  });

  it('are refused in words where there is no such file, or nothing is asked', async () => {
    const wheel = { ...ask, what: 'full-size', item: 'wheel' };
    const none = await api().post('/api/paper').send({ ask: wheel, plan }).expect(422);
    expect(none.body).toMatchObject({ error: { field: 'item' } });
    await api().post('/api/paper').send({ ask }).expect(422);
    await api().post('/api/paper').send([]).expect(422);
    await api().get('/api/paper').expect(405);
  });
});

describe('a file of lessons', () => {
  it('is looked at and kept by nobody', async () => {
    const lesson = {
      id: 'l1',
      title: 'Tape the jaws',
      happened: 'A stain under every jaw.',
      cause: 'Iron and tannin.',
      cost: 'An hour of scraping.',
      change: 'Tape on the jaws.',
      when: [{ trait: 'kind', any: ['edge-panel'] }],
      at: 'before',
      learnedOn: null,
      runId: null,
    };
    const file = { format: 'lean-clasp/lessons', version: 1, lessons: [lesson] };
    const looked = await api().post('/api/lessons/check').send(file).expect(200);
    expect(looked.body).toEqual(file);
    const shop = (await api().get('/api/shops/shop')).body as { body: ShopDocument };
    expect(shop.body.lessons?.own.map(({ id }) => id) ?? []).not.toContain('l1');
    const bad = await api()
      .post('/api/lessons/check')
      .send({ ...file, lessons: [{ ...lesson, at: 'never' }] })
      .expect(422);
    expect(bad.body).toMatchObject({ error: { field: 'lessons.0.at' } });
    await api().get('/api/lessons/check').expect(405);
  });
});

describe('the shop list', () => {
  it('is a file over the builds that wait, or over those that are named', async () => {
    const all = await api().get('/api/shop-list').buffer().expect(200);
    expect([all.type, all.headers['content-disposition']]).toEqual([
      'application/pdf',
      'attachment; filename=shop-list.pdf',
    ]);
    const one = await api()
      .get('/api/shop-list?build=stage-floor&units=imperial&paper=letter')
      .buffer()
      .expect(200);
    expect((one.body as Buffer).subarray(0, 5).toString()).toBe('%PDF-');
    await api().get('/api/shop-list?build=none').expect(404);
    await api().get('/api/shop-list?paper=slate').expect(422);
    await api()
      .get(`/api/shop-list?${'build=x&'.repeat(21)}`)
      .expect(422);
    await api().post('/api/shop-list').expect(405);
  });
});

describe('schemas', () => {
  it('of every document are published, and hold for what is served', async () => {
    const published = await api().get('/api/schemas').expect(200);
    const schemas = published.body as Record<string, TSchema>;
    expect(Object.keys(schemas)).toEqual(['build', 'shop', 'run', 'lessons']);
    const validator = createValidator();
    const floor = (await api().get('/api/builds/stage-floor').expect(200)).body as { body: unknown };
    const shop = (await api().get('/api/shops/shop').expect(200)).body as { body: unknown };
    expect(() => validator.check(schemas.build as TSchema, floor.body)).not.toThrow();
    expect(() => validator.check(schemas.shop as TSchema, shop.body)).not.toThrow();
    expect(() => validator.check(schemas.build as TSchema, shop.body)).toThrow();
  });
});

describe('everything as one file', () => {
  it('is saved, looked at and read in again, to no change', async () => {
    const saved = await api().get('/api/archive').responseType('blob').expect(200);
    expect(saved.type).toBe('application/zip');
    const send = (query: string) =>
      api()
        .post(`/api/archive${query}`)
        .type('application/zip')
        .send(saved.body as Buffer);
    const looked = await send('?mode=replace&only=look').expect(200);
    expect(looked.body).toMatchObject({
      builds: { fresh: 0, changed: 0, binned: 0 },
      runs: { fresh: 0 },
      shop: 'same',
      faults: [],
    });
    expect((looked.body as { builds: { same: number } }).builds.same).toBeGreaterThan(20);
    await send('').expect(200);
    await send('?mode=guess').expect(422);
    await api().post('/api/archive').type('application/zip').send(Buffer.from('no zip')).expect(422);
    await api().post('/api/archive').send({}).expect(415);
    await api().put('/api/archive').expect(405);
  });
});

describe('builds', () => {
  it('takes lists of words and of numbers as answers, and refuses lists of neither', async () => {
    const start = {
      template: 'tenon-frame',
      name: 'Side door',
      project: '',
      service: 'dry',
      answers: { railJoinery: ['', 'half-lap'], railWidthsMm: [110, 0, 80] },
    };
    const made = await api().post('/api/builds').send(start).expect(201);
    const { id } = made.body as { id: string };
    const kept = await api().get(`/api/builds/${id}`).expect(200);
    expect(kept.body).toMatchObject({ body: { answers: start.answers } });
    const nested = { ...start, answers: { railJoinery: [['half-lap']] } };
    await api().post('/api/builds').send(nested).expect(422);
    const unknown = { ...start, answers: { railJoinery: ['magnet'] } };
    const refused = await api().post('/api/builds').send(unknown).expect(422);
    expect(refused.body).toMatchObject({ error: { field: 'answers.railJoinery.0' } });
  });

  it('makes one from the template and removes it', async () => {
    const made = await api().post('/api/builds').send(asked).expect(201);
    const { id, revision, body } = made.body as { id: string; revision: number; body: { name: string } };
    expect([revision, body.name]).toEqual([0, 'Counter top']);
    const list = await api().get('/api/builds').expect(200);
    const line = (list.body as { builds: { id: string; name: string; glued: boolean }[] }).builds.find(
      (each) => each.id === id,
    );
    expect(line).toMatchObject({ name: 'Counter top', glued: false });
    await api().delete(`/api/builds/${id}`).expect(204);
    await api().get(`/api/builds/${id}`).expect(404);
    await api().delete(`/api/builds/${id}`).expect(404);
    const bin = (await api().get('/api/bin').expect(200)).body as { documents: { id: string }[] };
    expect(bin.documents.map((each) => each.id)).toEqual([id]);
    await api().post(`/api/bin/${id}/restore`).expect(204);
    await api().post(`/api/bin/${id}/restore`).expect(404);
    await api().get(`/api/builds/${id}`).expect(200);
  });

  it('lists by pages, is asked for anew and not sent again where nothing has changed', async () => {
    const first = await api().get('/api/builds?limit=5').expect(200);
    const { builds, next } = first.body as { builds: { id: string }[]; next: string };
    expect(builds).toHaveLength(5);
    const second = (await api().get('/api/builds').query({ limit: 200, after: next }).expect(200)).body as {
      builds: { id: string }[];
      next: null;
    };
    expect(second.next).toBeNull();
    expect(new Set([...builds, ...second.builds].map(({ id }) => id)).size).toBe(5 + second.builds.length);
    const found = (await api().get('/api/builds').query({ text: 'stage' }).expect(200)).body as {
      builds: { id: string; glued: boolean }[];
    };
    expect(found.builds).toMatchObject([{ id: 'stage-floor', glued: true }]);
    expect(first.text.length).toBeLessThan(100_000);
    await api()
      .get('/api/builds?limit=5')
      .set('if-none-match', first.headers.etag ?? '')
      .expect(304);
    await api().get('/api/builds?limit=0').expect(422);
    await api().get('/api/builds?after=nowhere').expect(422);
  });

  it('reads in one that was saved elsewhere, as one more, of an earlier version too; or says why not', async () => {
    const { body } = (await api().get('/api/builds/stage-floor').expect(200)).body as { body: object };
    const read = await api().post('/api/builds/read').send(body).expect(201);
    const { id, body: kept } = read.body as { id: string; body: object };
    expect(id).not.toBe('stage-floor');
    expect(kept).toEqual(body);
    const later = await api()
      .post('/api/builds/read')
      .send({ ...body, version: 99 })
      .expect(422);
    expect((later.body as { error: { message: string } }).error.message).toMatch(/version|later/);
    await api().post('/api/builds/read').send([]).expect(422);
    await api().get('/api/builds/read').expect(405);
    await api().delete(`/api/builds/${id}`).expect(204);
  });

  it.each([
    ['a 40 m board', { answers: { lengthMm: 40_000 } }, 'answers.lengthMm'],
    ['no boards', { answers: { boards: 0 } }, 'answers.boards'],
    ['an unknown wood', { answers: { species: 'plastic' } }, 'answers.species'],
    ['text for a length', { answers: { lengthMm: 'long' } }, 'answers.lengthMm'],
    ['no name', { name: '' }, 'name'],
    ['an unknown kind', { template: 'barrel' }, 'template'],
  ])('refuses %s', async (_name, change, field) => {
    const response = await api()
      .post('/api/builds')
      .send({ ...asked, ...change })
      .expect(422);
    expect(response.body).toMatchObject({ error: { field } });
  });
});

describe('edits', () => {
  const path = '/api/builds/stage-floor';

  it('apply on the newest revision, are logged, and clash with 409 on a stale one', async () => {
    const before = (await api().get(path)).body as { revision: number; body: { name: string } };
    const first = await api()
      .patch(path)
      .send(edit(before.revision, 'Floor', before.body.name))
      .expect(200);
    expect(first.body).toMatchObject({ revision: before.revision + 1, body: { name: 'Floor' } });
    const stale = await api()
      .patch(path)
      .send(edit(before.revision, 'Other', before.body.name))
      .expect(409);
    expect(stale.body).toMatchObject({
      error: { code: 'stale', field: 'baseRevision' },
      document: { revision: before.revision + 1, body: { name: 'Floor' } },
    });
    const log = (await api().get(`${path}/edits`).expect(200)).body as { revision: number; label: string }[];
    expect(log.at(-1)).toMatchObject({ revision: before.revision + 1, label: 'Name', kind: 'edit' });
  });

  it('leave nothing behind when they make no sense', async () => {
    const before = (await api().get(path)).body as { revision: number; body: unknown };
    const attempts = [
      { patch: [{ op: 'replace', path: '/boards/0/lengthMm', value: 40_000 }] },
      { patch: [{ op: 'replace', path: '/boards/0/species', value: 'plastic' }] },
      { patch: [{ op: 'replace', path: '/glue/adhesive', value: 'jam' }] },
      { patch: [{ op: 'replace', path: '/nowhere/at/all', value: 1 }] },
      { patch: [{ op: 'add', path: '/__proto__/polluted', value: true }] },
      { patch: 'all of it' },
    ];
    for (const attempt of attempts) {
      await api()
        .patch(path)
        .send({ ...edit(before.revision, 'x', 'y'), ...attempt })
        .expect(422);
    }
    expect((await api().get(path)).body).toEqual(before);
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
  });

  it('answer 404 for a build that is not there', async () => {
    await api()
      .patch('/api/builds/ghost')
      .send(edit(0, 'a', 'b'))
      .expect(404);
    await api().get('/api/builds/ghost/edits').expect(404);
  });
});

describe('the shop', () => {
  it('is edited like a build and refuses clamps of an unknown kind', async () => {
    const shop = (await api().get('/api/shops/shop').expect(200)).body as { revision: number };
    const response = await api()
      .patch('/api/shops/shop')
      .send({
        ...edit(shop.revision, 'x', 'y'),
        patch: [{ op: 'replace', path: '/rack/0/kind', value: 'string' }],
      })
      .expect(422);
    expect(response.body).toMatchObject({ error: { code: 'unknown-id', field: 'rack.0.kind' } });
  });
});

describe('runs', () => {
  type Sent = RunDocument;
  const listed = async () =>
    (await api().get('/api/runs').expect(200)).body as { runs: { id: string; record: { note: string } }[] };
  const demoRun = async () => (await api().get('/api/runs/demo-run-1').expect(200)).body as Sent;
  const note = (seq: number, text: string): Sent['events'][number] => ({
    id: `page-${seq}`,
    device: 'page',
    seq,
    atMs: 1_780_000_000_000,
    hand: 0,
    kind: 'note',
    payload: { record: { note: text } },
  });

  it('are narrowed, added up and learned from', async () => {
    const narrowed = await api().get('/api/runs?text=flats&template=tenon-frame').expect(200);
    const { runs } = narrowed.body as { runs: { buildName: string }[] };
    expect(new Set(runs.map(({ buildName }) => buildName))).toEqual(new Set(['Winter flats']));
    const trends = await api().get('/api/runs/trends').expect(200);
    expect((trends.body as { calibration: { brier: number } }).calibration.brier).toBeGreaterThan(0);
    const evidence = await api().get('/api/runs/evidence').expect(200);
    expect((evidence.body as { evidence: unknown[] }).evidence).toHaveLength(24);
    await api().post('/api/runs/trends').send({}).expect(405);
  });

  it('are saved as a table of the whole log', async () => {
    const { text, type, headers } = await api().get('/api/runs/log.csv').expect(200);
    expect([type, headers['content-disposition']]).toEqual(['text/csv', 'attachment; filename=log.csv']);
    const rows = text.trim().split('\r\n');
    expect(rows[0]).toBe('Build,Session,Begun,State,Glue,Planned (min),Taken (min),Note');
    expect(rows).toHaveLength(1 + (await listed()).runs.length);
    await api().post('/api/runs/log.csv').send({}).expect(405);
  });

  it('ship a winter with the demo; what happens is added once, however often it is sent', async () => {
    expect((await listed()).runs).toHaveLength(24);
    const before = await demoRun();
    const more = { events: [note(0, 'written twice')] };
    await api().post('/api/runs/demo-run-1/events').send(more).expect(200);
    const after = await api().post('/api/runs/demo-run-1/events').send(more).expect(200);
    expect((after.body as Sent).events).toHaveLength(before.events.length + 1);
    const { runs } = await listed();
    expect(runs.find(({ id }) => id === 'demo-run-1')?.record.note).toBe('written twice');
  });

  it('take their glue off the shelf once they are over, once, and leave that to be taken back', async () => {
    const shelf = async () =>
      ((await api().get('/api/shops/shop').expect(200)).body as { body: ShopDocument }).body.bottles;
    const head = await demoRun();
    const run = { ...head, id: 'poured', promise: { ...head.promise, glueMl: 40 } };
    const end: Sent['events'][number] = { ...note(0, ''), kind: 'finish', payload: {} };
    const before = await shelf();
    await api()
      .put('/api/runs/poured')
      .send({ ...run, events: [] })
      .expect(200);
    expect(await shelf()).toEqual(before);
    for (let i = 0; i < 2; i += 1) {
      await api()
        .post('/api/runs/poured/events')
        .send({ events: [end] })
        .expect(200);
    }
    const ml = (bottles: ShopDocument['bottles']) =>
      bottles
        .filter(({ adhesive }) => adhesive === head.promise.adhesive)
        .reduce((sum, { remainingMl }) => sum + remainingMl, 0);
    expect(ml(before) - ml(await shelf())).toBeCloseTo(40, 9);
    const log = (await api().get('/api/shops/shop/edits').expect(200)).body as LoggedEdit[];
    expect(log.at(-1)).toMatchObject({ id: 'used-poured', label: `Glue used: ${head.buildName}` });
    const { revision: baseRevision, label, group, patch, inverse } = log.at(-1) as LoggedEdit;
    const undo = { id: 'back', kind: 'undo', label, group, patch: inverse, inverse: patch, baseRevision };
    await api().patch('/api/shops/shop').send(undo).expect(200);
    expect(await shelf()).toEqual(before);
  });

  it('lose nothing to an older copy that comes again', async () => {
    const whole = await demoRun();
    const old = { ...whole, events: whole.events.slice(0, 2) };
    await api().put('/api/runs/demo-run-1').send(old).expect(200);
    expect(await demoRun()).toEqual(whole);
  });

  it.each([
    ['another promise', (run: Sent) => ({ ...run, promise: { ...run.promise, handsOnMin: 1 } })],
    ['another script', (run: Sent) => ({ ...run, script: null })],
    ['an event told otherwise', (run: Sent) => ({ ...run, events: [{ ...run.events[0], kind: 'mishap' }] })],
    ['an unknown build', (run: Sent) => ({ ...run, id: 'other', buildId: 'ghost', events: [] })],
    ['the year 255479', (run: Sent) => ({ ...run, id: 'other', startedAtMs: 8_000_000_000_000_000 })],
    ['next year', (run: Sent) => ({ ...run, id: 'other', startedAtMs: 1_811_000_000_000 })],
    ['events before it began', (run: Sent) => ({ ...run, id: 'other', startedAtMs: 1_779_999_999_999 })],
    ['a false id of an event', (run: Sent) => ({ ...run, events: [{ ...note(1, ''), id: 'page-2' }] })],
    ['no run at all', () => ({ id: 'other' })],
  ])('refuse %s', async (_what, change) => {
    const run = await demoRun();
    const sent = change(run);
    const response = await api().put(`/api/runs/${sent.id}`).send(sent).expect(422);
    expect((response.body as { error: { message: string } }).error.message.length).toBeGreaterThan(10);
    expect(await demoRun()).toEqual(run);
    await api().get('/api/runs/other').expect(404);
  });

  it('refuse another id than the address', async () => {
    await api()
      .put('/api/runs/other')
      .send(await demoRun())
      .expect(422);
    await api().post('/api/runs/other/events').send({ events: [] }).expect(404);
  });

  it('tell other screens what was noted', async () => {
    const follower = await fetch(`${server.url}/api/runs/demo-run-2/stream`);
    expect(follower.headers.get('content-type')).toContain('text/event-stream');
    const reader = follower.body?.getReader();
    const heard = (async () => {
      let text = '';
      while (!text.includes('data:')) {
        const { value, done } = (await reader?.read()) ?? { done: true, value: undefined };
        if (done) break;
        text += new TextDecoder().decode(value);
      }
      return text;
    })();
    await api()
      .post('/api/runs/demo-run-2/events')
      .send({ events: [note(7, 'heard elsewhere')] })
      .expect(200);
    expect(await heard).toContain('heard elsewhere');
    await reader?.cancel();
    await api().get('/api/runs/ghost/stream').expect(404);
  });
});

describe('another name for this server', () => {
  it.each(['evil.example', 'evil.example:80', 'localhost.evil.example', '127.0.0.1.evil.example'])(
    'is refused for every method, whatever the page says of itself: %s',
    async (host) => {
      for (const ask of [
        api().get('/api/builds'),
        api().get('/'),
        api().delete('/api/builds/stage-floor').set('origin', `http://${host}`),
        api().post('/api/calc/emc').set('origin', `http://${host}`).send({ tempC: 20, rhPct: 50 }),
      ]) {
        const response = await ask.set('host', host).expect(421);
        expect(response.body).toMatchObject({ error: { code: 'other-host' } });
      }
      await api().get('/api/builds/stage-floor').expect(200);
    },
  );

  it('is known where it is this machine', async () => {
    const port = new URL(server.url).port;
    await api().get('/api/health').set('host', `LocalHost:${port}`).expect(200);
    expect([...ownHosts('0.0.0.0', ['Bench.lan'])]).toEqual(
      expect.arrayContaining(['localhost', '127.0.0.1', '[::1]', 'bench.lan']),
    );
  });
});

describe('other sites', () => {
  it('may not even read, where the browser says that they ask', async () => {
    await api().get('/api/builds').set('sec-fetch-site', 'cross-site').expect(403);
    await api().get('/api/builds').set('sec-fetch-site', 'same-origin').expect(200);
  });

  it('may not change anything', async () => {
    const response = await api()
      .post('/api/calc/emc')
      .set('origin', 'http://elsewhere.example')
      .send({ tempC: 20, rhPct: 50 })
      .expect(403);
    expect(response.body).toMatchObject({ error: { code: 'other-origin' } });
    await api().post('/api/calc/emc').set('origin', server.url).send({ tempC: 20, rhPct: 50 }).expect(200);
  });
});

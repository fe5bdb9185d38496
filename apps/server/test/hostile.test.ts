import { CALCULATIONS } from '@lean-clasp/core/calculations';
import request from 'supertest';
import { hostile } from '../../../soak/hostile';
import { startTestServer, type TestServer } from './start';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
  // A first calculation, so that its worker is up.
  await request(server.url).post('/api/calc/emc').send({ tempC: 20, rhPct: 50 }).expect(200);
});
afterAll(() => server.discard());

const api = () => request(server.url);
const refusal = (body: unknown) =>
  (body as { error: { code: string; message: string; allowed: string } }).error;

/** Nothing of a request may take longer, ms. */
const ANSWERS_WITHIN_MS = 8000;

async function timed<T>(ask: () => Promise<T>): Promise<T> {
  const from = performance.now();
  const answer = await ask();
  expect(performance.now() - from).toBeLessThan(ANSWERS_WITHIN_MS);
  return answer;
}

describe('requests that mean no good', () => {
  it('are refused, all of them, and nothing stumbles or hangs', async () => {
    const { faults, sent, byStatus } = await hostile(server.url, { seed: 16, count: 600, atOnce: 4 });
    expect(faults.map(({ attempt, status, said }) => [attempt.method, attempt.path, status, said])).toEqual(
      [],
    );
    expect(sent).toBe(600);
    expect(Object.keys(byStatus)).toEqual(
      expect.arrayContaining(['200', '400', '404', '405', '413', '415', '422']),
    );
    await api().get('/api/health').expect(200);
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
  });

  it.each([
    ['an address that is no text', '/api/builds/%ff', 400],
    ['a method that an address does not know', '/api/runs/demo-run-1/events', 405],
    ['a place that is not there', '/api/nowhere', 404],
  ])('answer in the one error shape: %s', async (_, path, status) => {
    const response = await api().get(path).expect(status);
    expect(refusal(response.body).message.length).toBeGreaterThan(8);
    expect(refusal(response.body).allowed.length).toBeGreaterThan(2);
  });

  it('answer a body that is packed wrongly', async () => {
    const response = await api()
      .post('/api/calc/emc')
      .set('content-encoding', 'gzip')
      .set('content-type', 'application/json')
      .send('not packed at all')
      .expect(400);
    expect(refusal(response.body).code).toBe('bad-request');
  });

  it('answer a body that is nested without end', async () => {
    const deep = 100_000;
    const response = await timed(() =>
      api()
        .post('/api/plan')
        .set('content-type', 'application/json')
        .send(`${'{"a":'.repeat(deep)}1${'}'.repeat(deep)}`)
        .expect(422),
    );
    expect(refusal(response.body).message).toContain('nested too deep');
    const quoted = { tempC: 20, rhPct: 50, note: '[{"'.repeat(50) };
    await api().post('/api/calc/emc').send(quoted).expect(422, /note/);
  });

  it('answer figures beyond all measure, and wood without a stiffness', async () => {
    const [panel] = CALCULATIONS.filter(({ name }) => name === 'panel-pressure');
    const example = panel?.example as { clamps: { xMm: number }[]; boards: { species: unknown }[] };
    const far = { ...example, clamps: example.clamps.map((clamp) => ({ ...clamp, xMm: 1e308 })) };
    expect(refusal((await api().post('/api/calc/panel-pressure').send(far).expect(422)).body).code).toBe(
      'out-of-range',
    );
    const soft = { ...example, boards: example.boards.map((board) => ({ ...board, species: { sg: 0.6 } })) };
    await api().post('/api/calc/panel-pressure').send(soft).expect(422);
  });
});

describe('calculations that would last', () => {
  const joints = Array.from({ length: 200 }, (_, i) => ({ a: `p${i}`, b: `p${i + 1}` }));
  const sequence = CALCULATIONS.find(({ name }) => name === 'sequence')?.example as Record<string, unknown>;

  it.each([
    [
      'sixty boards six metres long',
      'panel-pressure',
      {
        boards: Array.from({ length: 60 }, (_, i) => ({ species: 'hard-maple', widthMm: 60 + i })),
        lengthMm: 6000,
        thicknessMm: 20,
        clamps: Array.from({ length: 40 }, (_, i) => ({ xMm: 100 + i * 148, forceN: 3000, padMm: 40 })),
      },
    ],
    ['two hundred joints', 'sequence', { ...sequence, ...longChain(sequence, joints) }],
  ])('answer or are refused within seconds, while others are served: %s', async (_, name, input) => {
    const lasting = timed(() => api().post(`/api/calc/${name}`).send(input));
    const waits: number[] = [];
    for (let i = 0; i < 20; i += 1) {
      const from = performance.now();
      await api().get('/api/health').expect(200);
      waits.push(performance.now() - from);
      await new Promise((done) => setTimeout(done, 50));
    }
    const answer = await lasting;
    expect([200, 422]).toContain(answer.status);
    if (answer.status === 422) expect(refusal(answer.body).message.length).toBeGreaterThan(10);
    waits.sort((a, b) => a - b);
    expect(waits[Math.floor(waits.length / 2)]).toBeLessThan(500);
  });
});

/** The example of an order with as many joints as told, one after the other. */
function longChain(example: Record<string, unknown>, joints: readonly { a: string; b: string }[]) {
  const [first] = (example.joints ?? []) as readonly Record<string, unknown>[];
  return {
    parts: [...joints.map(({ a }) => a), joints.at(-1)?.b ?? ''],
    joints: joints.map((each, i) => ({ ...first, ...each, id: `j${i}` })),
  };
}

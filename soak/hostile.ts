import { request as httpRequest } from 'node:http';
import { gzipSync } from 'node:zlib';
import { CALCULATIONS } from '@lean-clasp/core/calculations';
import { type Health, watchHealth } from './health';
import { type Random, seeded } from './random';

/** A request as somebody would send it who means no good, or knows no better. */
interface Attempt {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: string | Buffer | null;
}

/** What came of many attempts. */
export interface HostileOutcome {
  readonly sent: number;
  readonly byStatus: Readonly<Record<string, number>>;
  /** Attempts that were answered with a fault of the server, or with nothing. */
  readonly faults: readonly { readonly attempt: Attempt; readonly status: number; readonly said: string }[];
  readonly slowestMs: number;
  readonly health: Health;
}

const ABSURD: readonly unknown[] = [
  null,
  true,
  -1,
  0,
  1e308,
  -1e308,
  2 ** 53 + 2,
  5e-324,
  '',
  'x'.repeat(3000),
  '__proto__',
  'constructor',
  '../../etc/passwd',
  '%00',
  '\u0000',
  [],
  {},
  [[]],
  { __proto__: null, polluted: true },
  { length: 1e9 },
];

const PATHS: readonly string[] = [
  '/api/builds',
  '/api/builds/stage-floor',
  '/api/builds/stage-floor/edits',
  '/api/builds/ghost',
  '/api/shops/shop',
  '/api/shops/shop/edits',
  '/api/runs',
  '/api/runs/demo-run-1',
  '/api/runs/demo-run-1/events',
  '/api/bin',
  '/api/bin/ghost/restore',
  '/api/calc',
  '/api/plan',
  '/api/air/series',
  '/api/catalogue',
  '/api/session',
  '/api/network',
  '/api/network/passphrases/owner',
  '/api/network/passphrases/ghost',
  '/api/certificate',
  '/api/nowhere',
  '/api/%ff',
  '/api/builds/%ff',
  '/api/builds/%E0%A4%A',
  '/api/builds/..%2f..%2fetc%2fpasswd',
  '/%ff',
  '/assets/%ff',
  '//api//builds',
  `/api/builds/${'a'.repeat(6000)}`,
];
const QUERIES: readonly string[] = [
  '',
  '?limit=1e9',
  '?limit=-1',
  '?limit=abc',
  '?after=zzz',
  '?after=9.9.9',
  '?limit[]=3&limit[]=4',
  '?text=%25%5C_',
  '?text=%ff',
  '?days=1e400',
  '?state=__proto__',
  '?after=-5',
];
const METHODS: readonly string[] = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS', 'HEAD', 'TRACE'];
const OPERATIONS: readonly unknown[] = [
  { op: 'replace', path: '/name', value: 'x' },
  { op: 'replace', path: '', value: 3 },
  { op: 'add', path: '/boards/-', value: {} },
  { op: 'add', path: '/__proto__/polluted', value: true },
  { op: 'add', path: '/constructor/prototype/polluted', value: true },
  { op: 'remove', path: '' },
  { op: 'remove', path: '/boards' },
  { op: 'move', from: 'name', path: 'x' },
  { op: 'move', from: '/boards', path: '/boards/0' },
  { op: 'copy', from: '', path: '/x' },
  { op: 'test', path: '/name', value: {} },
  { op: 'test', path: 'name' },
  { op: 'replace', path: '/boards/0/widthMm', value: 1e308 },
  { op: 'replace', path: '/boards/1e9', value: 1 },
  { op: 'burn', path: '/' },
  null,
];

/** An answer's example with one place made absurd. */
function spoiled(value: unknown, random: Random, depth = 0): unknown {
  if (typeof value !== 'object' || value === null || depth > 5 || random.chance(0.15))
    return random.one(ABSURD);
  if (Array.isArray(value)) {
    if (value.length === 0 || random.chance(0.1))
      return Array.from({ length: random.whole(3000) }, () => (value[0] as unknown) ?? 1);
    const at = random.whole(value.length);
    return value.map((each: unknown, i) => (i === at ? spoiled(each, random, depth + 1) : each));
  }
  const names = Object.keys(value);
  const name = names.length === 0 || random.chance(0.1) ? 'extra' : random.one(names);
  return { ...value, [name]: spoiled((value as Record<string, unknown>)[name], random, depth + 1) };
}

function bodyFor(random: Random): unknown {
  const kind = random.whole(6);
  if (kind === 0) return random.one(ABSURD);
  if (kind === 1) {
    return {
      baseRevision: random.one([0, 1, -1, 1e9, 'x']),
      kind: random.one(['edit', 'undo', 'upgrade']),
      label: 'x',
      group: 'g',
      patch: Array.from({ length: 1 + random.whole(28) }, () => random.one(OPERATIONS)),
      inverse: [random.one(OPERATIONS)],
    };
  }
  if (kind === 2) {
    return {
      events: [
        {
          id: 'a-0',
          device: 'a',
          seq: random.one([0, -1, 1e9]),
          atMs: random.one([0, 1e12, 1e300]),
          hand: 0,
          kind: random.one(['done', 'x']),
        },
      ],
    };
  }
  if (kind === 3)
    return {
      template: random.one(['edge-panel', 'free', '__proto__', '']),
      answers: random.one(ABSURD),
      name: 'x',
      project: '',
      service: 'dry',
    };
  return spoiled(random.one(CALCULATIONS).example, random);
}

function attemptOf(random: Random): Attempt {
  const calc = random.chance(0.35);
  const method = calc ? 'POST' : random.one(METHODS);
  const path = calc
    ? `/api/calc/${random.chance(0.95) ? random.one(CALCULATIONS).name : random.one(['%ff', '__proto__', ''])}`
    : `${random.one(PATHS)}${random.one(QUERIES)}`;
  const headers: Record<string, string> = {
    'content-type': random.one(['application/json', 'text/plain', 'x']),
  };
  if (method === 'GET' || method === 'HEAD' || method === 'TRACE')
    return { method, path, headers, body: null };
  const how = random.whole(12);
  if (how === 0)
    return { method, path, headers: { ...headers, 'content-encoding': 'gzip' }, body: 'not packed at all' };
  if (how === 1)
    return {
      method,
      path,
      headers: { ...headers, 'content-encoding': random.one(['br', 'zip', 'deflate']) },
      body: '{}',
    };
  if (how === 2) return { method, path, headers, body: '['.repeat(1 + random.whole(20_000)) };
  if (how === 3) {
    const deep = 1 + random.whole(20_000);
    return { method, path, headers, body: `${'{"a":'.repeat(deep)}1${'}'.repeat(deep)}` };
  }
  if (how === 4) return { method, path, headers, body: '{"tempC":' };
  if (how === 5) {
    const bomb = gzipSync(Buffer.alloc(4_000_000, 0x20));
    return { method, path, headers: { ...headers, 'content-encoding': 'gzip' }, body: bomb };
  }
  return { method, path, headers, body: JSON.stringify(bodyFor(random)) };
}

/** No answer within this is a hang, ms. */
const HANG_MS = 30_000;

/** Every method may carry a body, as long as it says how long it is. */
const framed = (headers: Attempt['headers'], body: Attempt['body']) =>
  body === null ? headers : { ...headers, 'content-length': String(Buffer.byteLength(body)) };

/** Sends one as it is, without a client that would mend it. */
function send(url: URL, { method, path, headers, body }: Attempt): Promise<{ status: number; said: string }> {
  return new Promise((done) => {
    const request = httpRequest(
      {
        host: url.hostname,
        port: url.port,
        method,
        path,
        headers: framed(headers, body),
        timeout: HANG_MS,
        agent: false,
      },
      (response) => {
        let said = '';
        response.on('data', (chunk: Buffer) => {
          if (said.length < 400) said += chunk.toString();
          // A stream of events never ends by itself.
          if (response.headers['content-type']?.includes('event-stream')) response.destroy();
        });
        const end = () => done({ status: response.statusCode ?? 0, said });
        response.on('end', end);
        response.on('close', end);
      },
    );
    request.on('timeout', () => request.destroy(new Error('no answer')));
    request.on('error', (error) => done({ status: 0, said: error.message }));
    if (body !== null) request.write(body);
    request.end();
  });
}

/**
 * Sends seeded nonsense to a server, several at once, and asks after its health meanwhile.
 * @param count of attempts.
 */
export async function hostile(
  base: string,
  { seed, count, atOnce = 8 }: { readonly seed: number; readonly count: number; readonly atOnce?: number },
): Promise<HostileOutcome> {
  const url = new URL(base);
  const random = seeded(seed);
  const byStatus: Record<string, number> = {};
  const faults: HostileOutcome['faults'][number][] = [];
  let slowestMs = 0;
  let sent = 0;
  const health = watchHealth(base);
  const one = async () => {
    while (sent < count) {
      sent += 1;
      const attempt = attemptOf(random);
      const from = performance.now();
      const { status, said } = await send(url, attempt);
      slowestMs = Math.max(slowestMs, performance.now() - from);
      byStatus[status] = (byStatus[status] ?? 0) + 1;
      if (status >= 500 || status === 0) faults.push({ attempt, status, said });
    }
  };
  await Promise.all(Array.from({ length: atOnce }, one));
  return {
    sent,
    byStatus,
    faults,
    slowestMs,
    health: await health.stop(),
  };
}

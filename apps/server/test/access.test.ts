import { X509Certificate } from 'node:crypto';
import { readFileSync, statSync } from 'node:fs';
import { Agent, get } from 'node:https';
import { join } from 'node:path';
import request from './contract';
import { isHere } from '../src/access/visitor';
import { networkHosts } from '../src/http/own-host';
import { startTestServer, type TestServer } from './start';

const OWNER = 'three dry cauls waxed';
const BENCH = 'mallet water and rag';

/** Asks as a device on the network would: a server in between says for whom it asks. */
const visitor = ({ url }: { readonly url: string }, cookie = '') => {
  const headers = { 'x-forwarded-for': '192.0.2.7', ...(cookie === '' ? {} : { cookie }) };
  return {
    get: (path: string) => request(url).get(path).set(headers),
    post: (path: string) => request(url).post(path).set(headers),
    put: (path: string) => request(url).put(path).set(headers),
    patch: (path: string) => request(url).patch(path).set(headers),
    delete: (path: string) => request(url).delete(path).set(headers),
  };
};

const setPassphrase = (server: TestServer, role: string, passphrase: string) =>
  request(server.url).put(`/api/network/passphrases/${role}`).send({ passphrase });

/** The cookies that a device holds after signing in. */
async function signIn(server: TestServer, passphrase: string): Promise<string> {
  const response = await visitor(server).post('/api/session').send({ passphrase }).expect(200);
  return [response.headers['set-cookie'] ?? []]
    .flat()
    .map((each) => each.split(';')[0])
    .join('; ');
}

const rename = {
  baseRevision: 0,
  kind: 'edit',
  label: 'Name',
  group: 'g',
  patch: [{ op: 'replace', path: '/name', value: 'Stage' }],
  inverse: [{ op: 'replace', path: '/name', value: 'Stage floor' }],
};

describe('a device on the network', () => {
  let server: TestServer;
  beforeEach(async () => {
    server = await startTestServer();
  });
  afterEach(() => server.discard());

  it('gets nothing before it has said a passphrase, and cannot set one', async () => {
    const device = visitor(server);
    expect((await device.get('/api/session').expect(200)).body).toEqual({
      role: null,
      here: false,
      open: false,
    });
    for (const path of [
      '/api/builds',
      '/api/shops/shop',
      '/api/runs',
      '/api/network',
      '/api/calc',
      '/api/air',
      '/api/bin',
    ]) {
      expect((await device.get(path).expect(401)).body).toMatchObject({ error: { code: 'sign-in' } });
    }
    await device.patch('/api/builds/stage-floor').send(rename).expect(401);
    await device.post('/api/calc/emc').send({ tempC: 20, rhPct: 50 }).expect(401);
    await device.put('/api/network/passphrases/owner').send({ passphrase: OWNER }).expect(403);
    await device.post('/api/session').send({ passphrase: '' }).expect(401);
    await device.get('/api/health').expect(200);
  });

  it('signed in for the bench reads, runs and reckons, and changes no plan', async () => {
    await setPassphrase(server, 'bench', BENCH).expect(200);
    const device = visitor(server, await signIn(server, BENCH));
    expect((await device.get('/api/session')).body).toEqual({ role: 'bench', here: false, open: true });
    await device.get('/api/builds').expect(200);
    await device.post('/api/calc/emc').send({ tempC: 20, rhPct: 50 }).expect(200);
    const { runs } = (await device.get('/api/runs')).body as { runs: { id: string }[] };
    const run: unknown = (await device.get(`/api/runs/${runs[0]?.id ?? ''}`).expect(200)).body;
    await device
      .put(`/api/runs/${runs[0]?.id ?? ''}`)
      .send(run as object)
      .expect(200);
    const refused = await device.patch('/api/builds/stage-floor').send(rename).expect(403);
    expect(refused.body).toMatchObject({ error: { code: 'role' } });
    await device.delete('/api/builds/stage-floor').expect(403);
    await device.put('/api/network/passphrases/owner').send({ passphrase: OWNER }).expect(403);
  });

  it('signed in as owner changes plans, and is out once the passphrase is another', async () => {
    await setPassphrase(server, 'owner', OWNER).expect(200);
    const cookie = await signIn(server, `  ${OWNER} `);
    await visitor(server, cookie).patch('/api/builds/stage-floor').send(rename).expect(200);
    await setPassphrase(server, 'owner', `${OWNER} twice`).expect(200);
    await visitor(server, cookie).get('/api/builds').expect(401);
    await visitor(server).post('/api/session').send({ passphrase: OWNER }).expect(401);
  });

  it('holds a cookie that scripts cannot read, that no other site sends, and that cannot be made up', async () => {
    await setPassphrase(server, 'owner', OWNER);
    const response = await visitor(server).post('/api/session').send({ passphrase: OWNER });
    const cookies = [response.headers['set-cookie'] ?? []].flat();
    expect(cookies.length).toBeGreaterThan(0);
    for (const cookie of cookies) expect(cookie).toMatch(/httponly/i);
    for (const cookie of cookies) expect(cookie).toMatch(/samesite=strict/i);
    const [name, value] = (cookies[0]?.split(';')[0] ?? '').split('=');
    const forged = Buffer.from((value ?? '').replace('owner', 'bench') + 'x').toString('base64');
    await visitor(server, `${name}=${forged}; ${cookies[1]?.split(';')[0]}`)
      .get('/api/builds')
      .expect(401);
  });

  it('waits after ten wrong passphrases, the right one included', async () => {
    await setPassphrase(server, 'owner', OWNER);
    for (let i = 0; i < 10; i += 1) {
      await visitor(server)
        .post('/api/session')
        .send({ passphrase: `wrong ${i}` })
        .expect(401);
    }
    const answer = await visitor(server).post('/api/session').send({ passphrase: OWNER }).expect(429);
    expect(answer.body).toMatchObject({ error: { code: 'too-many' } });
  });

  it('takes no passphrase that is soon guessed, or that is the other role’s', async () => {
    await setPassphrase(server, 'owner', '   clamp    ').expect(422);
    await setPassphrase(server, 'owner', OWNER).expect(200);
    expect((await setPassphrase(server, 'bench', OWNER).expect(422)).body).toMatchObject({
      error: { field: 'passphrase' },
    });
    await setPassphrase(server, 'guest', OWNER).expect(404);
    await request(server.url).delete('/api/network/passphrases/owner').expect(200, []);
    await visitor(server).post('/api/session').send({ passphrase: OWNER }).expect(401);
  });

  it('signs out', async () => {
    await setPassphrase(server, 'owner', OWNER);
    const response = await visitor(server, await signIn(server, OWNER))
      .delete('/api/session')
      .expect(204);
    expect([response.headers['set-cookie'] ?? []].flat()[0]).toMatch(/^lean-clasp=;.*1970/i);
  });
});

describe('whoever is at the machine', () => {
  const from = (remoteAddress: string, localAddress: string, headers = {}) =>
    isHere({ socket: { remoteAddress, localAddress } as never, headers });

  it('is known by the loopback or its own address, and never through a server in between', () => {
    expect(from('127.0.0.1', '127.0.0.1')).toBe(true);
    expect(from('::ffff:127.0.0.1', '::ffff:127.0.0.1')).toBe(true);
    expect(from('::1', '::1')).toBe(true);
    expect(from('192.168.1.5', '192.168.1.5')).toBe(true);
    expect(from('192.168.1.9', '192.168.1.5')).toBe(false);
    expect(from('127.0.0.1', '127.0.0.1', { 'x-forwarded-for': '192.168.1.9' })).toBe(false);
  });
});

describe('networkHosts', () => {
  it('tells addresses only where others can reach them', () => {
    expect(networkHosts('127.0.0.1', ['shop.lan'])).toEqual([]);
    expect(networkHosts('192.168.1.5', ['shop.lan'])).toEqual(['shop.lan', '192.168.1.5']);
  });
});

describe('HTTPS', () => {
  it('speaks with a certificate of its own that stays the same, with secure cookies', async () => {
    const server = await startTestServer({ https: true });
    expect(server.url).toMatch(/^https:/);
    const cert = readFileSync(join(server.dataDir, 'certificate.pem'), 'utf8');
    expect(new X509Certificate(cert).subjectAltName).toContain('127.0.0.1');
    expect(statSync(join(server.dataDir, 'certificate-key.pem')).mode & 0o077).toBe(0);
    // The certificate is good by itself for whoever trusts it.
    const status = await new Promise<number | undefined>((done, fail) => {
      get(`${server.url}/api/health`, { agent: new Agent({ ca: cert }) }, (response) => {
        response.resume();
        done(response.statusCode);
      }).on('error', fail);
    });
    expect(status).toBe(200);
    const device = request(server.url);
    await device
      .put('/api/network/passphrases/owner')
      .trustLocalhost()
      .send({ passphrase: OWNER })
      .expect(200);
    const response = await device
      .post('/api/session')
      .set('x-forwarded-for', '192.0.2.7')
      .trustLocalhost()
      .send({ passphrase: OWNER })
      .expect(200);
    expect([response.headers['set-cookie'] ?? []].flat()[0]).toMatch(/; secure/i);
    await server.stop();
    const again = await startTestServer({ https: true, dataDir: server.dataDir });
    expect(readFileSync(join(server.dataDir, 'certificate.pem'), 'utf8')).toBe(cert);
    await again.discard();
  });
});

import request from './contract';
import { startTestServer, type TestServer } from './start';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.discard());

const START = [0xff, 0xd8];
const segment = (kind: number, ...bytes: number[]) => [0xff, kind, 0, bytes.length + 2, ...bytes];
const SCAN = [0xff, 0xda, 0, 2, 1, 2, 3, 0xff, 0xd9];
const plain = Buffer.from([...START, ...segment(0xe0, 74, 70), ...segment(0xdb, 1), ...SCAN]);
const put = (address: string, bytes: Buffer, type = 'image/jpeg') =>
  request(server.url).put(address).set('content-type', type).send(bytes);
const address = (id: string, run = 'demo-run-1') => `/api/runs/${run}/pictures/${id}`;

describe('pictures of a glue-up', () => {
  it('are kept as they were sent, once', async () => {
    await put(address('one'), plain).expect(204);
    await put(address('one'), plain).expect(204);
    const answer = await request(server.url).get(address('one')).expect(200);
    expect(answer.headers['content-type']).toBe('image/jpeg');
    expect((answer.body as Buffer).equals(plain)).toBe(true);
    const other = Buffer.from([...START, ...segment(0xdb, 2), ...SCAN]);
    await put(address('one'), other).expect(422);
  });

  it('tell nothing of camera, place or person', async () => {
    for (const kind of [0xe1, 0xed]) {
      const telling = Buffer.from([...START, ...segment(0xe0, 74), ...segment(kind, 69, 120), ...SCAN]);
      const answer = await put(address('telling'), telling).expect(422);
      expect((answer.body as { error: { allowed: string } }).error.allowed).toContain('without metadata');
    }
    await request(server.url).get(address('telling')).expect(404);
  });

  it.each([
    ['another picture', Buffer.from([0x89, 0x50, 0x4e, 0x47]), 'image/jpeg', 422],
    ['one that is cut off', plain.subarray(0, 9), 'image/jpeg', 422],
    ['no picture', Buffer.from('{}'), 'application/json', 415],
    ['one that is too large', Buffer.alloc(2_200_000, 1), 'image/jpeg', 413],
  ])('refuse %s', async (_, bytes, type, status) => {
    await put(address('bad'), bytes, type).expect(status);
  });

  it('belong to a run and stay in their folder', async () => {
    await put(address('two', 'no-such-run'), plain).expect(404);
    await put(address('..%2F..%2Fout'), plain).expect(422);
    await put(address('a', '..%2F..'), plain).expect(404);
    await request(server.url).delete(address('one')).expect(405);
  });

  it('are at most forty to a run', async () => {
    const run = 'demo-run-2';
    for (let i = 0; i < 40; i += 1) await put(address(`p${i}`, run), plain).expect(204);
    await put(address('more', run), plain).expect(422);
    await put(address('p0', run), plain).expect(204);
  });
});

import type { BuildDocument } from '@lean-clasp/core/formats';
import { DEMO_SHOP, pastRuns, stageFloor } from '@lean-clasp/core/demo';
import { type Database, documentStore, openDatabase, runStore } from '.';

let db: Database;
let clock = 0;
const builds = () =>
  documentStore<BuildDocument>(
    db,
    'build',
    (body) => {
      const build = body as BuildDocument;
      if (build.name === '') throw new Error('a build needs a name');
      return build;
    },
    () => (clock += 1),
  );
const rename = (from: string, to: string) => ({
  kind: 'edit' as const,
  label: 'Name',
  group: to,
  patch: [{ op: 'replace' as const, path: '/name', value: to }],
  inverse: [{ op: 'replace' as const, path: '/name', value: from }],
});

beforeEach(async () => {
  db = await openDatabase(':memory:');
});
afterEach(() => db.destroy());

describe('documentStore', () => {
  it('counts revisions and keeps every edit in order, forward and back', async () => {
    const store = builds();
    await store.create('a', stageFloor(DEMO_SHOP));
    expect(await store.edit('a', 0, rename('Stage floor', 'One'))).toMatchObject({ kind: 'done' });
    expect(await store.edit('a', 1, rename('One', 'Two'))).toMatchObject({ document: { revision: 2 } });
    expect((await store.history('a')).map(({ revision, inverse }) => [revision, inverse[0]])).toEqual([
      [1, { op: 'replace', path: '/name', value: 'Stage floor' }],
      [2, { op: 'replace', path: '/name', value: 'One' }],
    ]);
  });

  it('writes neither document nor log when the edit is stale, does not fit or makes no sense', async () => {
    const store = builds();
    await store.create('a', stageFloor(DEMO_SHOP));
    expect(await store.edit('a', 5, rename('', 'x'))).toMatchObject({
      kind: 'stale',
      document: { revision: 0 },
    });
    const nowhere = { ...rename('', 'x'), patch: [{ op: 'remove' as const, path: '/boards/99' }] };
    expect(await store.edit('a', 0, nowhere)).toMatchObject({ kind: 'patch-does-not-fit' });
    await expect(store.edit('a', 0, rename('Stage floor', ''))).rejects.toThrow('needs a name');
    expect(await store.edit('ghost', 0, rename('', 'x'))).toEqual({ kind: 'missing' });
    expect(await store.find('a')).toMatchObject({ revision: 0, body: { name: 'Stage floor' } });
    expect(await store.history('a')).toEqual([]);
  });

  it('lists the newest first and takes a removed one’s log with it', async () => {
    const store = builds();
    await store.create('old', stageFloor(DEMO_SHOP));
    await store.create('new', stageFloor(DEMO_SHOP));
    await store.edit('old', 0, rename('Stage floor', 'Touched'));
    expect((await store.list()).map(({ id }) => id)).toEqual(['old', 'new']);
    expect(await store.remove('old')).toBe(true);
    expect(await store.remove('old')).toBe(false);
    expect(await db.selectFrom('document_edits').selectAll().execute()).toEqual([]);
  });

  it('keeps kinds apart', async () => {
    await builds().create('a', stageFloor(DEMO_SHOP));
    const shops = documentStore(
      db,
      'shop',
      (body) => body,
      () => 0,
    );
    expect(await shops.find('a')).toBeUndefined();
    expect(await shops.list()).toEqual([]);
  });
});

describe('runStore', () => {
  it('replaces a run that comes again and lists the latest start first', async () => {
    const runs = runStore(db, () => 0);
    const [first, second] = pastRuns(stageFloor(DEMO_SHOP), 'a', DEMO_SHOP, 1_780_000_000_000);
    if (first === undefined || second === undefined) throw new Error('the demo has two runs');
    await runs.put(first);
    await runs.put(second);
    await runs.put({ ...first, record: { ...first.record, note: 'again' } });
    const listed = await runs.list();
    expect(listed).toHaveLength(2);
    expect(listed.map(({ startedAtMs }) => startedAtMs)).toEqual(
      [...listed.map((run) => run.startedAtMs)].sort((a, b) => b - a),
    );
    expect((await runs.find(first.id))?.record.note).toBe('again');
    expect(await runs.find('ghost')).toBeUndefined();
  });
});

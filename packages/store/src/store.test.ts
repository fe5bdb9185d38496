import type { BuildDocument } from '@lean-clasp/core/formats';
import { DEMO_SHOP, pastRuns, stageFloor } from '@lean-clasp/core/demo';
import { sql } from 'kysely';
import { type Database, documentStore, inWords, openDatabase, runStore, StorageError } from '.';

let db: Database;
let clock = 0;
const builds = () =>
  documentStore<BuildDocument>(db, {
    kind: 'build',
    check: (body) => {
      const build = body as BuildDocument;
      if (build.name === '') throw new Error('a build needs a name');
      return build;
    },
    now: () => (clock += 1),
    version: 2,
  });
const rename = (from: string, to: string, id: string | null = null) => ({
  id,
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

  it('counts an edit that comes twice once, whatever revision it names', async () => {
    const store = builds();
    await store.create('a', stageFloor(DEMO_SHOP));
    await store.edit('a', 0, rename('Stage floor', 'One', 'e1'));
    await store.edit('a', 1, rename('One', 'Two', 'e2'));
    expect(await store.edit('a', 0, rename('Stage floor', 'One', 'e1'))).toMatchObject({
      kind: 'done',
      document: { revision: 2, body: { name: 'Two' } },
    });
    expect(await store.history('a')).toHaveLength(2);
    expect((await store.history('a', 1)).map(({ id }) => id)).toEqual(['e2']);
  });

  it('refuses a patch whose copies would fill the memory, or that names no place', async () => {
    const store = builds();
    await store.create('a', stageFloor(DEMO_SHOP));
    const copies = Array.from({ length: 26 }, (_, i) => ({ op: 'copy' as const, from: '', path: `/x${i}` }));
    const startedAt = performance.now();
    expect(await store.edit('a', 0, { ...rename('', 'x'), patch: copies })).toMatchObject({
      kind: 'patch-does-not-fit',
    });
    expect(performance.now() - startedAt).toBeLessThan(5000);
    const nowhere = { ...rename('', 'x'), patch: [{ op: 'move' as const, from: 'name', path: 'x' }] };
    expect(await store.edit('a', 0, nowhere)).toMatchObject({ kind: 'patch-does-not-fit' });
    expect(await store.find('a')).toMatchObject({ revision: 0 });
  });

  it('lists by pages, the last changed first, found by name, and what is in the bin apart', async () => {
    const store = builds();
    for (const id of ['a', 'b', 'c', 'd', 'e'])
      await store.create(id, { ...stageFloor(DEMO_SHOP), name: `Top ${id}` });
    await store.edit('a', 0, rename('Top a', '50 % off'));
    const first = await store.page({ limit: 3 });
    expect(first.documents.map(({ id }) => id)).toEqual(['a', 'e', 'd']);
    const second = await store.page({ limit: 3, after: first.next ?? '' });
    expect(second).toMatchObject({ documents: [{ id: 'c' }, { id: 'b' }], next: null });
    const found = async (text: string) =>
      (await store.page({ limit: 9, text })).documents.map(({ id }) => id);
    expect(await found('top c')).toEqual(['c']);
    expect(await found('0 %')).toEqual(['a']);
    expect(await found('_')).toEqual([]);
    expect(await store.remove('c')).toBe(true);
    expect(await store.remove('c')).toBe(false);
    expect(await store.find('c')).toBeUndefined();
    expect(await store.knows('c')).toBe(true);
    expect((await store.page({ limit: 9, binned: true })).documents.map(({ id }) => id)).toEqual(['c']);
    expect(await store.restore('c')).toBe(true);
    expect(await store.find('c')).toMatchObject({ body: { name: 'Top c' } });
    await expect(store.page({ limit: 3, after: 'nowhere' })).rejects.toThrow('no place');
  });

  it('passes over one that is damaged or of another version, and lists the rest', async () => {
    const store = builds();
    await store.create('good', stageFloor(DEMO_SHOP));
    await store.create('torn', stageFloor(DEMO_SHOP));
    await store.create('later', { ...stageFloor(DEMO_SHOP), version: 3 as never });
    await db.updateTable('documents').set({ body: '{"name":' }).where('id', '=', 'torn').execute();
    expect((await store.page({ limit: 9 })).documents.map(({ id }) => id)).toEqual(['good']);
    expect(await store.find('torn')).toBeUndefined();
    expect(await store.find('later')).toBeUndefined();
  });

  it('keeps kinds apart', async () => {
    await builds().create('a', stageFloor(DEMO_SHOP));
    const shops = documentStore(db, { kind: 'shop', check: (body) => body, now: () => 0, version: null });
    expect(await shops.find('a')).toBeUndefined();
    expect((await shops.page({ limit: 9 })).documents).toEqual([]);
  });
});

describe('runStore', () => {
  const demoRuns = () => pastRuns(stageFloor(DEMO_SHOP), 'a', DEMO_SHOP, 1_780_000_000_000);
  const begun = async () => {
    const runs = runStore(db, () => 0);
    for (const { events, ...head } of demoRuns()) {
      await runs.begin(head);
      await runs.add(head.id, events);
    }
    return runs;
  };
  const noted = (seq: number, note: string, device = 'tablet') => ({
    id: `${device}-${seq}`,
    device,
    seq,
    atMs: 1_780_000_000_000 + seq,
    hand: 0,
    kind: 'note' as const,
    payload: { record: { note } },
  });

  it('lists summaries by pages, the latest start first', async () => {
    const runs = await begun();
    const first = await runs.page({ limit: 1 });
    expect(first.runs).toMatchObject([
      { id: 'demo-run-2', state: 'clamped', record: { squeezeOut: 'even' } },
    ]);
    const second = await runs.page({ limit: 1, after: first.next ?? '' });
    expect(second).toMatchObject({ runs: [{ id: 'demo-run-1' }], next: null });
    expect((await runs.page({ limit: 9, state: 'running' })).runs).toEqual([]);
    expect((await runs.page({ limit: 9, buildId: 'other' })).runs).toEqual([]);
    expect(await runs.glued(['a', 'b'])).toEqual(new Set(['a']));
  });

  it('adds what happened, each event once, and loses nothing to an older copy that comes again', async () => {
    const runs = await begun();
    const [first] = demoRuns();
    if (first === undefined) throw new Error('the demo has runs');
    await runs.add(first.id, [noted(0, 'from the tablet')]);
    await runs.add(first.id, [noted(0, 'from the desk', 'desk'), noted(0, 'from the tablet')]);
    const { events, ...head } = first;
    await runs.begin(head);
    await runs.add(head.id, events.slice(0, 3));
    const found = await runs.find(first.id);
    expect(found?.events).toHaveLength(first.events.length + 2);
    expect((await runs.page({ limit: 9 })).runs.find(({ id }) => id === first.id)?.record.note).toBe(
      'from the tablet',
    );
    expect(await runs.add('ghost', [])).toEqual({ kind: 'missing' });
  });

  it('refuses to rewrite an event, or what was promised', async () => {
    const runs = await begun();
    const [first] = demoRuns();
    if (first === undefined) throw new Error('the demo has runs');
    await runs.add(first.id, [noted(0, 'once')]);
    await expect(runs.add(first.id, [noted(0, 'otherwise')])).rejects.toThrow('told in another way');
    const { events, ...head } = first;
    expect(events.length).toBeGreaterThan(0);
    await expect(runs.begin({ ...head, promise: { ...head.promise, handsOnMin: 1 } })).rejects.toThrow(
      'another plan and promise',
    );
    expect((await runs.find(first.id))?.promise).toEqual(head.promise);
  });
});

describe('a disk without room', () => {
  it('refuses the edit in words, keeps everything before it, and takes the same edit once there is room', async () => {
    const store = builds();
    await store.create('a', stageFloor(DEMO_SHOP));
    const { rows } = await sql<{ page_count: number }>`pragma page_count`.execute(db);
    await sql.raw(`pragma max_page_count = ${rows[0]?.page_count ?? 0}`).execute(db);
    const long = 'x'.repeat(60_000);
    const refused = await store.edit('a', 0, rename('Stage floor', long)).catch((error: unknown) => error);
    const said = inWords(refused, 'the file');
    expect(said).toBeInstanceOf(StorageError);
    expect(said).toMatchObject({ code: 'full' });
    expect((said as StorageError).message).toContain('Nothing was changed');
    expect(await store.find('a')).toMatchObject({ revision: 0, body: { name: 'Stage floor' } });
    expect(await store.history('a')).toEqual([]);
    await sql.raw('pragma max_page_count = 1073741823').execute(db);
    expect(await store.edit('a', 0, rename('Stage floor', long))).toMatchObject({ kind: 'done' });
  });
});

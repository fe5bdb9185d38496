import { DEMO_SHOP, stageFloor } from '@lean-clasp/core/demo';
import type { BuildDocument } from '@lean-clasp/core/formats';
import { rowOf, withRow } from '@lean-clasp/core/plan';
import { applyPatch, createPatch, type Operation } from 'rfc6902';
import { waitFor } from '@testing-library/dom';
import { IDBFactory } from 'fake-indexeddb';
import { makeStore } from '../app/store';
import { startCourier } from '../keeping/courier';
import { keptInBrowser } from '../keeping/kept';
import { editDocument, openDocument, putMineOnTop, redo, takeTheirs, undo } from './sync';

const ID = 'stage-floor';

interface SentEdit {
  readonly id?: string;
  readonly inverse: Operation[];
  readonly baseRevision: number;
  readonly patch: Operation[];
}

/** A server in memory with the same contract: PATCH on a stale revision answers 409 with the newest document. */
function fakeServer() {
  const state = {
    revision: 0,
    body: structuredClone(stageFloor(DEMO_SHOP)),
    log: [] as (SentEdit & { revision: number })[],
    reachable: true,
    deaf: false,
    refuse: false,
    stumble: false,
    sent: 0,
  };
  const document = () => ({ id: ID, revision: state.revision, body: state.body, updatedAtMs: 0 });
  const answer = (status: number, body: unknown) =>
    Promise.resolve({
      ok: status < 400,
      status,
      json: () => Promise.resolve(structuredClone(body)),
    } as Response);
  const handle = (path: string, init?: RequestInit): Promise<Response> => {
    if (!state.reachable) return Promise.reject(new TypeError('no server'));
    if (path.endsWith('/edits')) return answer(200, state.log);
    if (init?.method !== 'PATCH') return answer(200, document());
    state.sent += 1;
    const edit = JSON.parse(init.body as string) as SentEdit;
    const error = { code: 'x', field: '', message: 'No.', allowed: 'yes' };
    if (state.stumble) return answer(503, { error });
    if (state.refuse) return answer(422, { error });
    if (state.log.some(({ id }) => id === edit.id)) return answer(200, document());
    if (edit.baseRevision !== state.revision) return answer(409, { error, document: document() });
    const body = structuredClone(state.body);
    applyPatch(body, edit.patch);
    Object.assign(state, {
      body,
      revision: state.revision + 1,
      log: [...state.log, { ...edit, revision: state.revision + 1 }],
    });
    // The edit is taken, but nobody hears of it.
    if (state.deaf) return Promise.reject(new TypeError('line cut'));
    return answer(200, document());
  };
  return { state, handle };
}

const settle = () => new Promise((done) => setTimeout(done, 60));

/** What the browser keeps of edits that the server does not have. */
const keptEdits = async () => (await keptInBrowser().edits()).flatMap(({ edits }) => edits);

async function opened() {
  localStorage.clear();
  indexedDB = new IDBFactory();
  const server = fakeServer();
  jest.spyOn(globalThis, 'fetch').mockImplementation((path, init) => server.handle(path as string, init));
  const store = makeStore(localStorage);
  await store.dispatch(openDocument('builds', ID));
  const document = () => {
    const found = store.getState().documents.open[ID];
    if (found === undefined) throw new Error('not open');
    return found;
  };
  /** Another window's edit, as the server logs it. */
  const elsewhere = (change: (body: BuildDocument) => BuildDocument) => {
    const { state } = server;
    const after = change(state.body);
    const [patch, inverse] = [createPatch(state.body, after), createPatch(after, state.body)];
    const revision = state.revision + 1;
    const step = { id: `theirs-${revision}`, kind: 'edit', label: 'x', group: 'theirs' };
    state.log.push({ ...step, baseRevision: state.revision, patch, inverse, revision });
    Object.assign(state, { revision, body: after });
  };
  const rename = (name: string) =>
    store.dispatch(editDocument<BuildDocument>(ID, `to ${name}`, (before) => ({ ...before, name })));
  const name = () => (document().body as BuildDocument).name;
  return { server, store, document, rename, name, elsewhere };
}

afterEach(async () => {
  // Whatever a test left to be sent goes to its own server, not to the next one's.
  window.dispatchEvent(new Event('online'));
  await settle();
  jest.restoreAllMocks();
});

describe('editing', () => {
  it('shows an edit at once, keeps it in the browser until the server has it, then forgets it there', async () => {
    const { server, document, rename, name } = await opened();
    server.state.reachable = false;
    rename('Floor');
    expect(name()).toBe('Floor');
    await settle();
    expect(await keptEdits()).toHaveLength(1);
    server.state.reachable = true;
    window.dispatchEvent(new Event('online'));
    await settle();
    expect(server.state.body.name).toBe('Floor');
    expect(document().sync.kind).toBe('saved');
    expect(await keptEdits()).toEqual([]);
  });

  it('sends a burst one after another, each on the revision before it', async () => {
    const { server, rename, document } = await opened();
    for (const letter of ['F', 'Fl', 'Flo', 'Floo', 'Floor']) rename(letter);
    await settle();
    expect([server.state.body.name, server.state.revision, document().revision]).toEqual(['Floor', 5, 5]);
  });

  it('undoes and redoes on the server too', async () => {
    const { server, store, rename, name } = await opened();
    rename('Floor');
    await settle();
    store.dispatch(undo(ID));
    await settle();
    expect([name(), server.state.body.name]).toEqual(['Stage floor', 'Stage floor']);
    store.dispatch(redo(ID));
    await settle();
    expect([name(), server.state.body.name]).toEqual(['Floor', 'Floor']);
  });

  it('takes keystrokes in one field back together', async () => {
    const { store, name } = await opened();
    for (const text of ['A', 'Ab', 'Abc']) {
      store.dispatch(editDocument<BuildDocument>(ID, 'Name', (before) => ({ ...before, name: text })));
    }
    store.dispatch(undo(ID));
    expect(name()).toBe('Stage floor');
  });

  it('does nothing when nothing changes', async () => {
    const { server, rename } = await opened();
    rename('Stage floor');
    await settle();
    expect(server.state.sent).toBe(0);
  });
});

describe('a server that goes away', () => {
  it('loses nothing: a new visit brings the edits back and sends them', async () => {
    const { server, rename, document } = await opened();
    server.state.reachable = false;
    rename('Kept here');
    await settle();
    expect(document().sync.kind).toBe('offline');
    server.state.reachable = true;
    const later = makeStore(localStorage);
    await later.dispatch(openDocument('builds', ID));
    await settle();
    expect(server.state.body.name).toBe('Kept here');
    expect((later.getState().documents.open[ID]?.body as BuildDocument).name).toBe('Kept here');
  });
});

describe('a page that is loaded again while the server is away', () => {
  it('shows what was not sent yet, goes on from it, and all of it arrives', async () => {
    const { server, rename } = await opened();
    server.state.reachable = false;
    rename('Kept here');
    await settle();
    const later = makeStore(localStorage);
    await later.dispatch(openDocument('builds', ID));
    await waitFor(() =>
      expect((later.getState().documents.open[ID]?.body as BuildDocument).name).toBe('Kept here'),
    );
    later.dispatch(editDocument<BuildDocument>(ID, 'Crew', (before) => ({ ...before, crew: 3 })));
    await settle();
    expect(await keptEdits()).toHaveLength(2);
    server.state.reachable = true;
    window.dispatchEvent(new Event('online'));
    await waitFor(() => expect(server.state.body).toMatchObject({ name: 'Kept here', crew: 3 }));
    await waitFor(() =>
      expect(later.getState().documents.open[ID]).toMatchObject({ pending: [], sync: { kind: 'saved' } }),
    );
    await waitFor(async () => expect(await keptEdits()).toEqual([]));
  });

  it('brings edits on a later state than it remembers as soon as the server answers', async () => {
    const { server, rename, document, elsewhere } = await opened();
    elsewhere((body) => ({ ...body, crew: 3 }));
    rename('On top of theirs');
    await waitFor(() => expect(document().sync.kind).toBe('saved'));
    server.state.reachable = false;
    rename('And another');
    await settle();
    const later = makeStore(localStorage);
    await later.dispatch(openDocument('builds', ID));
    await new Promise((done) => setTimeout(done, 400));
    server.state.reachable = true;
    window.dispatchEvent(new Event('online'));
    await waitFor(() => expect(server.state.body).toMatchObject({ name: 'And another', crew: 3 }));
  });
});

describe('an answer that is lost', () => {
  const withoutClamp = (at: number) =>
    editDocument<BuildDocument>(ID, 'Clamp off', (before) => ({
      ...withRow(before, { clamps: rowOf(before).clamps.filter((_, i) => i !== at) }),
    }));

  it('is no clash for a new visit, and no edit is made twice', async () => {
    const { server, store } = await opened();
    server.state.deaf = true;
    store.dispatch(withoutClamp(1));
    await settle();
    expect(rowOf(server.state.body).clamps).toHaveLength(5);
    expect(await keptEdits()).toHaveLength(1);
    server.state.deaf = false;
    const later = makeStore(localStorage);
    await later.dispatch(openDocument('builds', ID));
    await settle();
    const found = later.getState().documents.open[ID];
    expect(rowOf(found?.body as BuildDocument).clamps).toHaveLength(5);
    expect([found?.sync.kind, found?.revision, await keptEdits()]).toEqual(['saved', 1, []]);
  });

  it('is found out when the edit is sent again', async () => {
    const { server, store, document, rename } = await opened();
    server.state.deaf = true;
    store.dispatch(withoutClamp(1));
    await settle();
    expect(document().sync.kind).toBe('offline');
    server.state.deaf = false;
    rename('After it');
    window.dispatchEvent(new Event('online'));
    await settle();
    expect(document().sync.kind).toBe('saved');
    expect(rowOf(server.state.body).clamps).toHaveLength(5);
    expect([server.state.body.name, server.state.revision]).toEqual(['After it', 2]);
  });

  it('is found out where somebody else has edited since, and what is left goes on top', async () => {
    const { server, store, document, rename, elsewhere } = await opened();
    server.state.deaf = true;
    store.dispatch(withoutClamp(1));
    await settle();
    server.state.deaf = false;
    elsewhere((body) => ({ ...body, crew: 3 }));
    rename('After it');
    window.dispatchEvent(new Event('online'));
    await settle();
    expect(document().sync.kind).toBe('saved');
    const { name, crew } = server.state.body;
    expect([name, crew, rowOf(server.state.body).clamps.length]).toEqual(['After it', 3, 5]);
  });
});

describe('two windows on one build', () => {
  const widen = (id: string, widthMm: number) => (body: BuildDocument) => ({
    ...body,
    boards: body.boards?.map((board) => (board.id === id ? { ...board, widthMm } : board)) ?? [],
  });

  it('merge what they change apart, without asking', async () => {
    const { server, rename, name, document, elsewhere } = await opened();
    elsewhere((body) => ({ ...body, crew: 3 }));
    rename('Mine');
    await settle();
    expect(document().sync.kind).toBe('saved');
    expect([name(), server.state.body.name, server.state.body.crew]).toEqual(['Mine', 'Mine', 3]);
    expect((document().body as BuildDocument).crew).toBe(3);
  });

  it('never give a board the width that was meant for its neighbour', async () => {
    const { server, store, document, elsewhere } = await opened();
    const boards = server.state.body.boards ?? [];
    const [first, second] = boards;
    if (first === undefined || second === undefined) throw new Error('no boards');
    elsewhere((body) => ({ ...body, boards: body.boards?.slice(1) ?? [] }));
    store.dispatch(editDocument<BuildDocument>(ID, 'Width', widen(second.id, 77)));
    await settle();
    expect(document().sync.kind).toBe('saved');
    expect(server.state.body.boards?.map(({ widthMm }) => widthMm)).toEqual([
      77,
      ...boards.slice(2).map(({ widthMm }) => widthMm),
    ]);
  });

  async function clash() {
    const here = await opened();
    here.elsewhere((body) => ({ ...body, name: 'Theirs', crew: 3 }));
    here.rename('Mine');
    await settle();
    expect(here.document().sync).toEqual({ kind: 'conflict', clashes: ['to Mine'], unfit: 0 });
    expect(here.document().pending).toHaveLength(1);
    return here;
  }

  it('are asked where both changed the same: mine goes on top of theirs', async () => {
    const { server, store, name } = await clash();
    expect(await store.dispatch(putMineOnTop(ID))).toBe(0);
    await settle();
    expect([name(), server.state.body.name, server.state.body.crew]).toEqual(['Mine', 'Mine', 3]);
  });

  it('or takes theirs and drops mine', async () => {
    const { store, name, document } = await clash();
    await store.dispatch(takeTheirs(ID));
    expect([name(), document().pending.length, document().sync.kind]).toEqual(['Theirs', 0, 'saved']);
    expect(await keptEdits()).toEqual([]);
  });

  it('takes theirs and keeps what is typed while the server answers', async () => {
    const { server, store, rename, name, document, elsewhere } = await opened();
    elsewhere((body) => ({ ...body, name: 'Theirs' }));
    rename('Mine');
    await settle();
    expect(document().sync.kind).toBe('conflict');
    const taking = store.dispatch(takeTheirs(ID));
    store.dispatch(editDocument<BuildDocument>(ID, 'Crew', (before) => ({ ...before, crew: 3 })));
    await taking;
    await settle();
    expect(name()).toBe('Theirs');
    expect(server.state.body).toMatchObject({ name: 'Theirs', crew: 3 });
  });

  it('count edits of what is gone, and drop nothing before they are told', async () => {
    const here = await opened();
    const [clamp] = rowOf(here.server.state.body).clamps;
    here.elsewhere((body) => withRow(body, { clamps: [] }));
    here.store.dispatch(
      editDocument<BuildDocument>(ID, 'First clamp', (before) => ({
        ...withRow(before, {
          clamps: rowOf(before).clamps.map((each) => (each.id === clamp?.id ? { ...each, xMm: 90 } : each)),
        }),
      })),
    );
    await settle();
    expect(here.document().sync).toMatchObject({ kind: 'conflict', unfit: 1 });
    expect(here.document().pending).toHaveLength(1);
    expect(await here.store.dispatch(putMineOnTop(ID))).toBe(1);
  });

  it('keep their own edits apart, and neither is lost', async () => {
    const { server, store, rename } = await opened();
    const other = makeStore(localStorage);
    await other.dispatch(openDocument('builds', ID));
    server.state.reachable = false;
    rename('From one');
    other.dispatch(editDocument<BuildDocument>(ID, 'Crew', (before) => ({ ...before, crew: 2 })));
    await settle();
    expect(await keptEdits()).toHaveLength(2);
    server.state.reachable = true;
    window.dispatchEvent(new Event('online'));
    await settle();
    await settle();
    expect([server.state.body.name, server.state.body.crew]).toEqual(['From one', 2]);
    expect(store.getState().documents.open[ID]?.pending).toEqual([]);
    expect(await keptEdits()).toEqual([]);
  });
});

describe('storage that is full or forbidden', () => {
  it('costs the safety copy and nothing else, and the page knows', async () => {
    const { server, store, rename, document } = await opened();
    const full = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    rename('Sent all the same');
    await settle();
    expect(server.state.body.name).toBe('Sent all the same');
    expect(document().sync.kind).toBe('saved');
    expect(store.getState().keeping.failing).toBe('its storage is full');
    full.mockRestore();
    rename('And kept again');
    await settle();
    expect(store.getState().keeping.failing).toBeNull();
  });
});

describe('a server that stumbles', () => {
  it('is tried again, where one that refuses is not', async () => {
    const { server, rename, document } = await opened();
    server.state.stumble = true;
    rename('Twice');
    await settle();
    expect(document().sync.kind).toBe('offline');
    server.state.stumble = false;
    window.dispatchEvent(new Event('online'));
    await settle();
    expect([document().sync.kind, server.state.body.name]).toEqual(['saved', 'Twice']);
  });
});

describe('edits of a build that nobody has opened since', () => {
  it('go in from whatever page is opened, and are named', async () => {
    const { server, rename } = await opened();
    server.state.reachable = false;
    rename('Left behind');
    await settle();
    server.state.reachable = true;
    const later = makeStore(localStorage);
    await later.dispatch(startCourier());
    await waitFor(() => expect(server.state.body.name).toBe('Left behind'));
    expect(later.getState().keeping.found).toMatchObject([{ name: 'Left behind', edits: 1 }]);
    await waitFor(async () => expect(await keptEdits()).toEqual([]));
  });
});

describe('a refused edit', () => {
  it('is told, and the last good state can be had again', async () => {
    const { server, store, rename, document, name } = await opened();
    server.state.refuse = true;
    rename('Refused');
    await settle();
    expect(document().sync).toEqual({ kind: 'refused', message: 'No. Allowed: yes.' });
    server.state.refuse = false;
    await store.dispatch(takeTheirs(ID));
    expect(name()).toBe('Stage floor');
  });
});

import { DEMO_SHOP, stageFloor } from '@lean-clasp/core/demo';
import type { BuildDocument } from '@lean-clasp/core/formats';
import { rowOf, withRow } from '@lean-clasp/core/plan';
import { applyPatch, type Operation } from 'rfc6902';
import { makeStore } from '../app/store';
import { keptPending } from './pending-storage';
import { editDocument, openDocument, putMineOnTop, redo, takeTheirs, undo } from './sync';

const ID = 'stage-floor';

interface SentEdit {
  readonly baseRevision: number;
  readonly patch: Operation[];
}

/** A server in memory with the same contract: PATCH on a stale revision answers 409 with the newest document. */
function fakeServer() {
  const state = {
    revision: 0,
    body: structuredClone(stageFloor(DEMO_SHOP)),
    log: [] as unknown[],
    reachable: true,
    deaf: false,
    refuse: false,
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
    if (state.refuse) return answer(422, { error });
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

const settle = () => new Promise((done) => setTimeout(done, 30));

async function opened() {
  localStorage.clear();
  const server = fakeServer();
  jest.spyOn(globalThis, 'fetch').mockImplementation((path, init) => server.handle(path as string, init));
  const store = makeStore(localStorage);
  await store.dispatch(openDocument('builds', ID));
  const document = () => {
    const found = store.getState().documents.open[ID];
    if (found === undefined) throw new Error('not open');
    return found;
  };
  const rename = (name: string) =>
    store.dispatch(editDocument<BuildDocument>(ID, `to ${name}`, (before) => ({ ...before, name })));
  const name = () => (document().body as BuildDocument).name;
  return { server, store, document, rename, name };
}

afterEach(async () => {
  // Whatever a test left to be sent goes to its own server, not to the next one's.
  await settle();
  jest.restoreAllMocks();
});

describe('editing', () => {
  it('shows an edit at once, keeps it in the browser until the server has it, then forgets it there', async () => {
    const { server, document, rename, name } = await opened();
    rename('Floor');
    expect(name()).toBe('Floor');
    expect(keptPending(ID)?.edits).toHaveLength(1);
    await settle();
    expect(server.state.body.name).toBe('Floor');
    expect(document().sync.kind).toBe('saved');
    expect(keptPending(ID)).toBeNull();
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
    expect(keptPending(ID)?.edits).toHaveLength(1);
    server.state.deaf = false;
    const later = makeStore(localStorage);
    await later.dispatch(openDocument('builds', ID));
    await settle();
    const found = later.getState().documents.open[ID];
    expect(rowOf(found?.body as BuildDocument).clamps).toHaveLength(5);
    expect([found?.sync.kind, found?.revision, keptPending(ID)]).toEqual(['saved', 1, null]);
  });

  it('is found out when the edit is sent again', async () => {
    const { server, store, document, rename } = await opened();
    server.state.deaf = true;
    store.dispatch(withoutClamp(1));
    await settle();
    expect(document().sync.kind).toBe('offline');
    server.state.deaf = false;
    rename('After it');
    await settle();
    expect(document().sync.kind).toBe('saved');
    expect(rowOf(server.state.body).clamps).toHaveLength(5);
    expect([server.state.body.name, server.state.revision]).toEqual(['After it', 2]);
  });

  it('is still a clash where somebody else has edited since', async () => {
    const { server, store, document, rename } = await opened();
    server.state.deaf = true;
    store.dispatch(withoutClamp(1));
    await settle();
    const theirs = { kind: 'edit', label: 'x', group: 'theirs', patch: [], inverse: [], revision: 2 };
    Object.assign(server.state, { deaf: false, revision: 2, log: [...server.state.log, theirs] });
    rename('After it');
    await settle();
    expect(document().sync.kind).toBe('conflict');
    expect(await store.dispatch(putMineOnTop(ID))).toBe(0);
    await settle();
    expect([server.state.body.name, rowOf(server.state.body).clamps.length]).toEqual(['After it', 5]);
  });
});

describe('two windows on one build', () => {
  async function clash() {
    const here = await opened();
    const { state } = here.server;
    Object.assign(state, { revision: state.revision + 1, body: { ...state.body, crew: 3 } });
    here.rename('Mine');
    await settle();
    expect(here.document().sync.kind).toBe('conflict');
    expect(here.document().pending).toHaveLength(1);
    return here;
  }

  it('puts mine on top of theirs', async () => {
    const { server, store, name } = await clash();
    expect(await store.dispatch(putMineOnTop(ID))).toBe(0);
    await settle();
    expect([name(), server.state.body.name, server.state.body.crew]).toEqual(['Mine', 'Mine', 3]);
  });

  it('or takes theirs and drops mine', async () => {
    const { store, name, document } = await clash();
    await store.dispatch(takeTheirs(ID));
    expect([name(), document().pending.length, document().sync.kind]).toEqual(['Stage floor', 0, 'saved']);
    expect(keptPending(ID)).toBeNull();
  });

  it('counts edits that no longer fit', async () => {
    const here = await opened();
    const { state } = here.server;
    here.server.state.reachable = false;
    here.store.dispatch(
      editDocument<BuildDocument>(ID, 'Last clamp', (before) => ({
        ...withRow(before, {
          clamps: rowOf(before).clamps.map((clamp, i) => (i === 5 ? { ...clamp, xMm: 900 } : clamp)),
        }),
      })),
    );
    Object.assign(state, { reachable: true, revision: 9, body: withRow(state.body, { clamps: [] }) });
    expect(await here.store.dispatch(putMineOnTop(ID))).toBe(1);
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

import { DEMO_SHOP, stageFloor } from '@lean-clasp/core/demo';
import type { RunDocument, RunEvent } from '@lean-clasp/core/formats';
import { planBuild } from '@lean-clasp/core/plan';
import { merged, readRun } from '@lean-clasp/core/runs';
import { IDBFactory } from 'fake-indexeddb';
import { makeStore } from '../app/store';
import { startCourier } from '../keeping/courier';
import { keptInBrowser } from '../keeping/kept';
import { benchKit } from './bench-kit';
import { beginRun } from './begin-run';
import { noteEvent, noteRecord, openRun } from './run-sync';

const PLAN = planBuild(stageFloor(DEMO_SHOP), DEMO_SHOP);
const KIT = benchKit(PLAN);

/** A server in memory that keeps runs as the real one does: what happened is only added to. */
function fakeServer() {
  const state = { reachable: true, refuse: false, runs: new Map<string, RunDocument>(), asked: 0 };
  const answer = (status: number, body: unknown) =>
    Promise.resolve({
      ok: status < 400,
      status,
      json: () => Promise.resolve(structuredClone(body)),
    } as Response);
  const error = { code: 'x', field: '', message: 'No.', allowed: 'yes' };
  const handle = (path: string, init?: RequestInit): Promise<Response> => {
    if (!state.reachable) return Promise.reject(new TypeError('no server'));
    state.asked += 1;
    const [, , , id = '', events] = path.split('/');
    const known = state.runs.get(id);
    if (state.refuse && init?.method !== undefined && init.method !== 'GET') return answer(422, { error });
    const sent = JSON.parse((init?.body as string | undefined) ?? 'null') as RunDocument | null;
    if (init?.method === 'PUT' && sent !== null) {
      state.runs.set(id, { ...sent, ...known, events: merged(known?.events ?? [], sent.events) });
      return answer(200, state.runs.get(id));
    }
    if (known === undefined) return answer(404, { error });
    if (events === 'events' && sent !== null) {
      state.runs.set(id, { ...known, events: merged(known.events, sent.events) });
    }
    return answer(200, state.runs.get(id));
  };
  return { state, handle };
}

const settle = (ms = 60) => new Promise((done) => setTimeout(done, ms));
const online = async () => {
  window.dispatchEvent(new Event('online'));
  await settle();
};

function shop() {
  localStorage.clear();
  indexedDB = new IDBFactory();
  const server = fakeServer();
  jest.spyOn(globalThis, 'fetch').mockImplementation((path, init) => server.handle(path as string, init));
  const page = () => {
    const store = makeStore(localStorage);
    return { store, run: (id: string) => store.getState().runs.byId[id] };
  };
  const first = page();
  const begin = () => first.store.dispatch(beginRun({ id: 'stage-floor', revision: 3 }, PLAN, KIT, 0));
  return { server, page, first, begin };
}

afterEach(async () => {
  await settle();
  jest.restoreAllMocks();
});

const done = (seq: number): Pick<RunEvent, 'kind' | 'operation'> => ({
  kind: 'done',
  operation: KIT.script.operations[seq]?.id ?? '',
});

describe('a run at the bench', () => {
  it('is begun, noted and read back with its script and promise frozen', async () => {
    const { server, first, begin } = shop();
    const id = begin();
    first.store.dispatch(noteEvent(id, done(0)));
    await settle();
    const stored = server.state.runs.get(id);
    expect(stored).toMatchObject({ buildId: 'stage-floor', buildRevision: 3, version: 2 });
    expect(stored?.script).toEqual(KIT.script);
    expect(stored?.events).toMatchObject([{ kind: 'done', seq: expect.any(Number) as number }]);
    expect(await keptInBrowser().events()).toEqual([]);
  });

  it('goes on where storage is forbidden and the server is there', async () => {
    const { server, first, begin } = shop();
    jest.spyOn(indexedDB, 'open').mockImplementation(() => {
      throw new DOMException('forbidden', 'SecurityError');
    });
    const id = begin();
    first.store.dispatch(noteEvent(id, done(0)));
    await settle();
    expect(server.state.runs.get(id)?.events).toHaveLength(1);
    expect(first.store.getState().keeping.failing).toBe('it is set not to');
  });

  it('ends without a server and goes in from whatever page is opened next', async () => {
    const { server, page, first, begin } = shop();
    server.state.reachable = false;
    const id = begin();
    for (let i = 0; i < 3; i += 1) first.store.dispatch(noteEvent(id, done(i)));
    first.store.dispatch(noteEvent(id, { kind: 'finish' }));
    await settle();
    server.state.reachable = true;
    await page().store.dispatch(startCourier());
    await settle();
    const stored = server.state.runs.get(id);
    expect(stored?.events).toHaveLength(4);
    expect(readRun(stored ?? { events: [] }).state).toBe('clamped');
    expect([await keptInBrowser().events(), await keptInBrowser().runs()]).toEqual([[], []]);
  });

  it('loses nothing to a stale page: what it has not heard of stays', async () => {
    const { server, page, first, begin } = shop();
    const id = begin();
    await settle();
    const stale = page();
    await stale.store.dispatch(openRun(id));
    for (let i = 0; i < 5; i += 1) first.store.dispatch(noteEvent(id, done(i)));
    first.store.dispatch(noteRecord(id, { note: 'even beads' }));
    await settle(900);
    stale.store.dispatch(noteRecord(id, { flatnessMm: 0.4 }));
    await settle(900);
    const stored = server.state.runs.get(id);
    expect(stored?.events).toHaveLength(7);
    expect(readRun(stored ?? { events: [] }).record).toMatchObject({ note: 'even beads', flatnessMm: 0.4 });
  });

  it('is told to a server that has forgotten it', async () => {
    const { server, first, begin } = shop();
    const id = begin();
    first.store.dispatch(noteEvent(id, done(0)));
    await settle();
    server.state.runs.clear();
    first.store.dispatch(noteEvent(id, done(1)));
    await settle();
    expect(server.state.runs.get(id)?.events).toHaveLength(2);
  });

  it('gets a remark that was typed long after it ended, and whose page was closed too soon', async () => {
    const { server, page, first, begin } = shop();
    const id = begin();
    first.store.dispatch(noteEvent(id, { kind: 'finish' }));
    await settle();
    expect(await keptInBrowser().runs()).toEqual([]);
    server.state.reachable = false;
    first.store.dispatch(noteRecord(id, { note: 'a ridge in the middle' }));
    await settle(900);
    server.state.reachable = true;
    await page().store.dispatch(startCourier());
    await settle();
    expect(readRun(server.state.runs.get(id) ?? { events: [] }).record.note).toBe('a ridge in the middle');
    expect(await keptInBrowser().events()).toEqual([]);
  });

  it('that is refused stays in the browser and is named', async () => {
    const { server, first, begin } = shop();
    server.state.refuse = true;
    const id = begin();
    await settle();
    expect(first.store.getState().keeping.refusedRuns).toMatchObject([{ id, buildName: 'Stage floor' }]);
    expect(await keptInBrowser().runs()).toHaveLength(1);
  });

  it('is sent again and again, further apart, until the server is back', async () => {
    const { server, first, begin } = shop();
    server.state.reachable = false;
    const id = begin();
    first.store.dispatch(noteEvent(id, done(0)));
    await settle();
    server.state.reachable = true;
    await online();
    expect(server.state.runs.get(id)?.events).toHaveLength(1);
    expect(first.store.getState().runs.unsent[id]).toEqual([]);
  });
});

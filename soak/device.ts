import 'fake-indexeddb/auto';
import { AsyncLocalStorage } from 'node:async_hooks';
import { setMaxListeners } from 'node:events';
import { DEMO_SHOP, stageFloor } from '@lean-clasp/core/demo';
import type { BuildDocument, RunDocument } from '@lean-clasp/core/formats';
import { planBuild } from '@lean-clasp/core/plan';
import type { AppStore } from '../apps/web/src/app/store';
import { changeBoard } from '../apps/web/src/workspace/edits';
import type { OpenDocument } from '../apps/web/src/documents/documents-slice';

// A browser of its own in a process of its own: the page's real keeping and sending, without anything to see.

/** An edit that somebody at the device makes. */
export type DeviceEdit =
  | {
      readonly kind: 'board';
      readonly board: number;
      readonly field: 'widthMm' | 'lengthMm' | 'ringRadiusMm' | 'thicknessMm';
      readonly valueMm: number;
    }
  | { readonly kind: 'name'; readonly name: string }
  | { readonly kind: 'crew'; readonly crew: number }
  | { readonly kind: 'undo' };

/** How a document stands at a device. */
export interface DeviceDocument {
  readonly body: unknown;
  readonly pending: readonly string[];
  readonly sync: OpenDocument['sync']['kind'];
  /** Edits that name what is gone, as the page tells it. */
  readonly unfit: number;
}

interface Page {
  readonly store: AppStore;
  alive: boolean;
}

const url = process.argv[2] ?? '';
const pages = new AsyncLocalStorage<Page>();
const line = { up: true, losesAnswers: false };

/** Closes with the page that opened it, as browsers have it. */
const channels = new Set<BroadcastChannel>();
class PageChannel extends BroadcastChannel {
  constructor(name: string) {
    super(name);
    channels.add(this);
  }
}

const realFetch = globalThis.fetch;
const events = new EventTarget();
// Everything that waits listens for the line.
setMaxListeners(0, events);
Object.assign(globalThis, {
  BroadcastChannel: PageChannel,
  location: new URL(url),
  addEventListener: events.addEventListener.bind(events),
  removeEventListener: events.removeEventListener.bind(events),
  dispatchEvent: events.dispatchEvent.bind(events),
  fetch: async (path: string, init?: RequestInit) => {
    // A page that is closed hears of nothing any more.
    if (pages.getStore()?.alive !== true) return new Promise(() => undefined);
    if (!line.up) throw new TypeError('no server');
    const response = await realFetch(new URL(path, url), init);
    if (line.losesAnswers) throw new TypeError('the answer was lost');
    return response;
  },
});

const noStorage = { getItem: () => null, setItem: () => undefined };

async function modules() {
  // Only once the browser around them stands.
  const [
    { makeStore },
    sync,
    runs,
    { beginRun },
    { benchKit },
    { startCourier },
    { wakeRetries },
    { keptInBrowser },
  ] = await Promise.all([
    import('../apps/web/src/app/store'),
    import('../apps/web/src/documents/sync'),
    import('../apps/web/src/bench/run-sync'),
    import('../apps/web/src/bench/begin-run'),
    import('../apps/web/src/bench/bench-kit'),
    import('../apps/web/src/keeping/courier'),
    import('../apps/web/src/keeping/retry'),
    import('../apps/web/src/keeping/kept'),
  ]);
  return { makeStore, sync, runs, beginRun, benchKit, startCourier, wakeRetries, keptInBrowser };
}

async function device() {
  const { makeStore, sync, runs, beginRun, benchKit, startCourier, wakeRetries, keptInBrowser } =
    await modules();
  const plan = planBuild(stageFloor(DEMO_SHOP), DEMO_SHOP);
  const kit = benchKit(plan);
  const load = (): Page => ({ store: makeStore(noStorage), alive: true });
  let page = load();
  const here = <T>(act: (store: AppStore) => T): T => pages.run(page, () => act(page.store));
  const documentOf = (id: string): OpenDocument | undefined => page.store.getState().documents.open[id];
  const runOf = (id: string): RunDocument | undefined => page.store.getState().runs.byId[id];

  const commands = {
    /** Loads the page anew; whatever it was about to do is over. Ids of edits that were not kept yet, as by a crash at a keystroke. */
    reload: async (): Promise<string[]> => {
      page.alive = false;
      channels.forEach((channel) => channel.close());
      channels.clear();
      const kept = new Set((await keptInBrowser().edits()).flatMap(({ edits }) => edits.map(({ id }) => id)));
      const pending = Object.values(page.store.getState().documents.open).flatMap((each) => each.pending);
      const lost = pending.flatMap(({ id }) => (id === undefined || kept.has(id) ? [] : [id]));
      page = load();
      await here((store) => store.dispatch(startCourier()));
      return lost;
    },
    line: (now: typeof line) => {
      Object.assign(line, now);
      if (now.up) here(wakeRetries);
    },
    /** Whether the document could be opened. */
    open: (id: string) =>
      here((store) => store.dispatch(sync.openDocument('builds', id))).then(
        () => true,
        () => false,
      ),
    /** Makes an edit; ids of the edits that came of it. */
    edit: (id: string, edit: DeviceEdit): string[] => {
      const before = new Set(documentOf(id)?.pending.map((each) => each.id));
      here((store) => {
        if (edit.kind === 'undo') store.dispatch(sync.undo(id));
        else store.dispatch(sync.editDocument<BuildDocument>(id, edit.kind, (body) => edited(body, edit)));
      });
      return (documentOf(id)?.pending ?? []).map((each) => each.id ?? '').filter((each) => !before.has(each));
    },
    look: (id: string): DeviceDocument | null => {
      const open = documentOf(id);
      if (open === undefined) return null;
      return {
        body: open.body,
        pending: open.pending.map((each) => each.id ?? ''),
        sync: open.sync.kind,
        unfit: open.sync.kind === 'conflict' ? open.sync.unfit : 0,
      };
    },
    /** Decides a conflict. */
    decide: async (id: string, mine: boolean) => {
      await here<Promise<unknown>>((store) =>
        mine ? store.dispatch(sync.putMineOnTop(id)) : store.dispatch(sync.takeTheirs(id)),
      );
    },
    begin: (build: string): string =>
      here((store) => store.dispatch(beginRun({ id: build, revision: null }, plan, kit, 0))),
    follow: (run: string) =>
      here((store) => store.dispatch(runs.openRun(run))).then(
        () => true,
        () => false,
      ),
    /** Notes a step; whether it could. */
    note: (run: string, step: number): boolean => {
      if (runOf(run) === undefined) return false;
      const operation = kit.script.operations[step % kit.script.operations.length]?.id ?? '';
      here((store) => store.dispatch(runs.noteEvent(run, { kind: 'done', operation })));
      return true;
    },
    /** Ids of all that is known to have happened in a run, and how many of it wait. */
    heard: (run: string) => ({
      ids: (runOf(run)?.events ?? []).map(({ id }) => id).sort(),
      waiting: page.store.getState().runs.unsent[run]?.length ?? 0,
    }),
  };
  return commands;
}

function edited(body: BuildDocument, edit: Exclude<DeviceEdit, { kind: 'undo' }>): BuildDocument {
  if (edit.kind === 'name') return { ...body, name: edit.name };
  if (edit.kind === 'crew') return { ...body, crew: edit.crew };
  const { id = '' } = body.boards?.[edit.board] ?? {};
  return changeBoard(id, { [edit.field]: edit.valueMm })(body);
}

/** What a device can be told to do. */
export type DeviceCommands = Awaited<ReturnType<typeof device>>;

/** A command on its way to a device. */
export interface DeviceCall {
  readonly call: number;
  readonly name: keyof DeviceCommands;
  readonly args: readonly unknown[];
}

const commands = device();
process.on('message', ({ call, name, args }: DeviceCall) => {
  commands
    .then((known) => (known[name] as (...given: readonly unknown[]) => unknown)(...args))
    .then(
      (answer) => process.send?.({ call, answer }),
      (error: unknown) =>
        process.send?.({ call, error: error instanceof Error ? error.stack : String(error) }),
    );
});

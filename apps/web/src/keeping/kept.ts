import type { RunEvent, RunHead } from '@lean-clasp/core/formats';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { BenchKit } from '../bench/bench-kit';
import type { ServerDocument } from '../documents/documents-slice';
import type { Edit, LoggedEdit } from '../documents/history';

/** Edits of one document made in one window that the server does not have yet. */
export interface KeptEdits {
  readonly document: string;
  readonly collection: 'builds' | 'shops';
  /** What the document is called, to speak of it when it is not open. */
  readonly name: string;
  readonly window: string;
  /** Revision that the first of them builds on. */
  readonly revision: number;
  readonly edits: readonly Edit[];
  readonly keptAtMs: number;
}

/** A document as it was last seen, to open it again where the server is away. */
export interface KeptDocument {
  readonly id: string;
  readonly collection: 'builds' | 'shops';
  readonly document: ServerDocument;
  /** The newest steps, as far as undo is likely to go. */
  readonly log: readonly LoggedEdit[];
}

/** A run begun or followed in this browser, with what it is conducted with. */
export interface KeptRun {
  readonly head: RunHead;
  readonly kit: BenchKit | null;
  /** It was begun elsewhere; left out for those begun here. */
  readonly followed?: boolean;
}

/** An event of a run: one that the server does not have yet, or one that it has, for as long as the run goes on. */
export interface KeptEvent {
  readonly run: string;
  readonly device: string;
  readonly seq: number;
  readonly event: RunEvent;
  readonly sent?: boolean;
}

interface Schema extends DBSchema {
  readonly edits: { readonly key: [string, string]; readonly value: KeptEdits };
  readonly documents: { readonly key: string; readonly value: KeptDocument };
  readonly runs: { readonly key: string; readonly value: KeptRun };
  readonly events: {
    readonly key: [string, string, number];
    readonly value: KeptEvent;
    readonly indexes: { readonly run: string };
  };
}

const DATABASE = 'lean-clasp';

/** What this browser keeps against a crash, beside what it sends. */
export interface Kept {
  readonly edits: () => Promise<readonly KeptEdits[]>;
  /** Writes what waits in a window for a document, or forgets it when nothing does. */
  readonly keepEdits: (kept: KeptEdits) => Promise<void>;
  readonly document: (id: string) => Promise<KeptDocument | undefined>;
  readonly keepDocument: (kept: KeptDocument) => Promise<void>;
  /** Takes out what was only seen: documents, and runs of which everything was sent. */
  readonly forgetSeen: () => Promise<void>;
  readonly runs: () => Promise<readonly KeptRun[]>;
  readonly run: (id: string) => Promise<KeptRun | undefined>;
  readonly keepRun: (run: KeptRun) => Promise<void>;
  readonly forgetRun: (id: string) => Promise<void>;
  /** What the server does not have, of all runs. */
  readonly events: () => Promise<readonly KeptEvent[]>;
  /** The same of one run, and what of it the server has as far as it was kept. */
  readonly eventsOf: (run: string) => Promise<{ readonly unsent: RunEvent[]; readonly sent: RunEvent[] }>;
  readonly keepEvent: (run: string, event: RunEvent) => Promise<void>;
  /** Events that the server has: kept on, so that the run can be opened again without it. */
  readonly keepSent: (run: string, events: readonly RunEvent[]) => Promise<void>;
  readonly forgetEvents: (run: string, events: readonly RunEvent[]) => Promise<void>;
}

/** Opens the browser's database. @throws where it has none, or it is forbidden. */
async function openKept(): Promise<IDBPDatabase<Schema>> {
  return openDB<Schema>(DATABASE, 1, {
    upgrade: (db) => {
      db.createObjectStore('edits', { keyPath: ['document', 'window'] });
      db.createObjectStore('documents', { keyPath: 'id' });
      db.createObjectStore('runs', { keyPath: 'head.id' });
      db.createObjectStore('events', { keyPath: ['run', 'device', 'seq'] }).createIndex('run', 'run');
    },
  });
}

/**
 * Ends a change without waiting to hear that its one write succeeded: from here on it holds, though the page be gone before the
 * answer comes.
 */
async function atOnce(
  change: { readonly commit: () => void; readonly done: Promise<void> },
  written: Promise<unknown>,
): Promise<void> {
  change.commit();
  await Promise.all([written, change.done]);
}

/** Keeps in the browser's database, opened when first needed. */
export function keptInBrowser(): Kept {
  let opened: Promise<IDBPDatabase<Schema>> | undefined;
  const db = () => {
    opened ??= openKept().catch((error: unknown) => {
      // The next one asks again: storage may be allowed meanwhile.
      opened = undefined;
      throw error;
    });
    return opened;
  };
  return {
    edits: async () => (await db()).getAll('edits'),
    keepEdits: async (kept) => {
      const change = (await db()).transaction('edits', 'readwrite');
      await atOnce(
        change,
        kept.edits.length === 0 ? change.store.delete([kept.document, kept.window]) : change.store.put(kept),
      );
    },
    document: async (id) => (await db()).get('documents', id),
    keepDocument: async (kept) => {
      await (await db()).put('documents', kept);
    },
    forgetSeen: async () => {
      const change = (await db()).transaction(['documents', 'runs', 'events'], 'readwrite');
      const events = await change.objectStore('events').getAll();
      const unsent = new Set(events.filter(({ sent }) => sent !== true).map(({ run }) => run));
      const runs = await change.objectStore('runs').getAllKeys();
      await Promise.all([
        change.objectStore('documents').clear(),
        ...runs.filter((id) => !unsent.has(id)).map((id) => change.objectStore('runs').delete(id)),
        ...events
          .filter(({ run }) => !unsent.has(run))
          .map(({ run, device, seq }) => change.objectStore('events').delete([run, device, seq])),
        change.done,
      ]);
    },
    runs: async () => (await db()).getAll('runs'),
    run: async (id) => (await db()).get('runs', id),
    keepRun: async (run) => {
      await (await db()).put('runs', run);
    },
    forgetRun: async (id) => {
      const change = (await db()).transaction(['runs', 'events'], 'readwrite');
      const events = await change.objectStore('events').index('run').getAllKeys(id);
      await Promise.all([
        change.objectStore('runs').delete(id),
        ...events.map((key) => change.objectStore('events').delete(key)),
        change.done,
      ]);
    },
    events: async () => (await (await db()).getAll('events')).filter(({ sent }) => sent !== true),
    eventsOf: async (run) => {
      const all = await (await db()).getAllFromIndex('events', 'run', run);
      const by = (wanted: boolean) =>
        all.flatMap(({ sent = false, event }) => (sent === wanted ? [event] : []));
      return { unsent: by(false), sent: by(true) };
    },
    keepEvent: async (run, event) => {
      const change = (await db()).transaction('events', 'readwrite');
      await atOnce(change, change.store.put({ run, device: event.device, seq: event.seq, event }));
    },
    keepSent: async (run, events) => {
      const change = (await db()).transaction('events', 'readwrite');
      await Promise.all([
        ...events.map((event) =>
          change.store.put({ run, device: event.device, seq: event.seq, event, sent: true }),
        ),
        change.done,
      ]);
    },
    forgetEvents: async (run, events) => {
      const change = (await db()).transaction('events', 'readwrite');
      await Promise.all([
        ...events.map(({ device, seq }) => change.store.delete([run, device, seq])),
        change.done,
      ]);
    },
  };
}

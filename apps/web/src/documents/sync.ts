import { nanoid } from '@reduxjs/toolkit';
import { createPatch } from 'rfc6902';
import { ApiError, requestJson } from '../api/request';
import type { AppDispatch, AppThunk, RootState } from '../app/store';
import {
  acknowledged,
  type Body,
  edited,
  type OpenDocument,
  opened,
  type ServerDocument,
  syncChanged,
} from './documents-slice';
import { type Edit, isUpgrade, type LoggedEdit, redoSteps, undoSteps } from './history';
import { keepPending, keptPending } from './pending-storage';

/** Keystrokes in one field closer than this are one step of undo. */
const GROUP_WITHIN_MS = 1500;
/** Wait before an unreachable server is tried again. */
const RETRY_MS = 2500;

const documentPath = ({ collection, id }: Pick<OpenDocument, 'collection' | 'id'>) =>
  `/api/${collection}/${id}`;

/** Documents on their way, so that two that ask for one share the answer. */
const opening = new Map<string, Promise<void>>();

/** Opens a document with its log, and brings back edits that an earlier visit could not send. */
export function openDocument(collection: OpenDocument['collection'], id: string): AppThunk<Promise<void>> {
  return (dispatch, getState) => {
    if (getState().documents.open[id] !== undefined) return Promise.resolve();
    const underway = opening.get(id);
    if (underway !== undefined) return underway;
    const promise = dispatch(fetchDocument(collection, id)).finally(() => opening.delete(id));
    opening.set(id, promise);
    return promise;
  };
}

function fetchDocument(collection: OpenDocument['collection'], id: string): AppThunk<Promise<void>> {
  return async (dispatch, getState) => {
    const path = documentPath({ collection, id });
    const [document, log] = await Promise.all([
      requestJson<ServerDocument>(path),
      requestJson<LoggedEdit[]>(`${path}/edits`),
    ]);
    const kept = keptPending(id);
    dispatch(opened({ collection, document, log }));
    if (kept === null) return;
    if (log.some((step) => isUpgrade(step) && step.revision > kept.revision)) {
      // They were made on a document that is no more; what they name may mean something else by now.
      keep(id, getState);
      if (kept.edits.length > 0)
        dispatch(syncChanged({ id, sync: { kind: 'outdated', edits: kept.edits.length } }));
      return;
    }
    const taken = takenAlready(kept.edits, kept.revision, log);
    for (const edit of kept.edits.slice(taken)) dispatch(edited({ id, edit }));
    if (kept.revision + taken === document.revision) {
      keep(id, getState);
      void dispatch(flush(id));
    } else dispatch(syncChanged({ id, sync: { kind: 'conflict', theirs: document } }));
  };
}

interface LastEdit {
  readonly id: string;
  readonly label: string;
  readonly group: string;
  readonly atMs: number;
}

/** Remembers the last edit to decide whether the next one belongs to it. */
function grouping() {
  let last: LastEdit | undefined;
  return (id: string, label: string, nowMs: number): string => {
    const same =
      last !== undefined && last.id === id && last.label === label && nowMs - last.atMs < GROUP_WITHIN_MS;
    const group = same && last !== undefined ? last.group : nanoid();
    last = { id, label, group, atMs: nowMs };
    return group;
  };
}

const groupOf = grouping();

/** Edits a document by a pure function of its body and returns the body after it; nothing when nothing changes. */
export function editDocument<B extends Body>(
  id: string,
  label: string,
  change: (body: B) => B,
): AppThunk<B | undefined> {
  return (dispatch, getState) => {
    const before = getState().documents.open[id]?.body as B | undefined;
    if (before === undefined) return undefined;
    const after = change(before);
    const patch = createPatch(before, after);
    if (patch.length === 0) return undefined;
    const inverse = createPatch(after, before);
    dispatch(commit(id, [{ kind: 'edit', label, group: groupOf(id, label, Date.now()), patch, inverse }]));
    return getState().documents.open[id]?.body as B | undefined;
  };
}

/** Takes the newest step back. */
export function undo(id: string): AppThunk {
  return (dispatch, getState) => {
    const document = getState().documents.open[id];
    if (document !== undefined) dispatch(commit(id, undoSteps(document.stacks)));
  };
}

/** Does the last undone step again. */
export function redo(id: string): AppThunk {
  return (dispatch, getState) => {
    const document = getState().documents.open[id];
    if (document !== undefined) dispatch(commit(id, redoSteps(document.stacks)));
  };
}

function commit(id: string, steps: readonly Edit[]): AppThunk {
  return (dispatch, getState) => {
    for (const edit of steps) dispatch(edited({ id, edit }));
    keep(id, getState);
    // Kept already; what the person sees goes first.
    setTimeout(() => void dispatch(flush(id)));
  };
}

function keep(id: string, getState: () => RootState): void {
  const document = getState().documents.open[id];
  if (document !== undefined) keepPending(id, { revision: document.revision, edits: document.pending });
}

/** Documents whose queue is being sent right now. */
const sending = new Set<string>();

/** Sends pending edits one after another until none is left or something stands in the way. */
function flush(id: string): AppThunk<Promise<void>> {
  return async (dispatch, getState) => {
    if (sending.has(id)) return;
    sending.add(id);
    try {
      for (;;) {
        const document = getState().documents.open[id];
        const edit = document?.pending[0];
        if (document === undefined || edit === undefined || document.sync.kind === 'conflict') return;
        const taken = await requestJson<ServerDocument>(documentPath(document), {
          method: 'PATCH',
          body: { baseRevision: document.revision, ...edit },
        });
        dispatch(acknowledged({ id, revision: taken.revision }));
        keep(id, getState);
      }
    } catch (error) {
      if (!isStale(error) || !(await dispatch(caughtUp(id)))) {
        dispatch(sendFailed(id, error));
        return;
      }
    } finally {
      sending.delete(id);
    }
    void dispatch(flush(id));
  };
}

const isStale = (error: unknown): boolean => error instanceof ApiError && error.status === 409;

/** Takes edits sent from here whose answers were lost as answered; whether the server was ahead by those alone. */
function caughtUp(id: string): AppThunk<Promise<boolean>> {
  return async (dispatch, getState) => {
    const document = getState().documents.open[id];
    if (document === undefined) return false;
    const log = await requestJson<LoggedEdit[]>(`${documentPath(document)}/edits`).catch(() => []);
    const { pending, revision } = document;
    const taken = takenAlready(pending, revision, log);
    for (let i = 1; i <= taken; i += 1) dispatch(acknowledged({ id, revision: revision + i }));
    keep(id, getState);
    return taken > 0 && log.at(-1)?.revision === revision + taken;
  };
}

/** How many of the edits that wait here lead the log after the revision that they build on: the server has those. */
function takenAlready(waiting: readonly Edit[], since: number, log: readonly LoggedEdit[]): number {
  const later = log.filter(({ revision }) => revision > since);
  const differs = waiting.findIndex((edit, i) => !alike(edit, later[i]));
  return differs === -1 ? waiting.length : differs;
}

const alike = (edit: Edit, logged: LoggedEdit | undefined): boolean =>
  logged !== undefined &&
  edit.kind === logged.kind &&
  edit.group === logged.group &&
  JSON.stringify(edit.patch) === JSON.stringify(logged.patch);

function sendFailed(id: string, error: unknown): AppThunk {
  return (dispatch) => {
    if (!(error instanceof ApiError)) {
      dispatch(syncChanged({ id, sync: { kind: 'offline' } }));
      setTimeout(() => void dispatch(flush(id)), RETRY_MS);
    } else if (error.status === 409) {
      const { document } = error.body as unknown as { document: ServerDocument };
      dispatch(syncChanged({ id, sync: { kind: 'conflict', theirs: document } }));
    } else {
      dispatch(syncChanged({ id, sync: { kind: 'refused', message: error.message } }));
    }
  };
}

/** Resolves a conflict by putting the pending edits on top of what the server holds; how many did not fit. */
export function putMineOnTop(id: string): AppThunk<Promise<number>> {
  return async (dispatch, getState) => {
    const mine = getState().documents.open[id]?.pending ?? [];
    await reload(id, dispatch, getState);
    for (const edit of mine) dispatch(edited({ id, edit }));
    const unfit = mine.length - (getState().documents.open[id]?.pending.length ?? 0);
    keep(id, getState);
    void dispatch(flush(id));
    return unfit;
  };
}

/** Drops the pending edits and shows what the server holds. */
export function takeTheirs(id: string): AppThunk<Promise<void>> {
  return async (dispatch, getState) => {
    await reload(id, dispatch, getState);
    keep(id, getState);
  };
}

async function reload(id: string, dispatch: AppDispatch, getState: () => RootState): Promise<void> {
  const open = getState().documents.open[id];
  if (open === undefined) return;
  const path = documentPath(open);
  const [document, log] = await Promise.all([
    requestJson<ServerDocument>(path),
    requestJson<LoggedEdit[]>(`${path}/edits`),
  ]);
  dispatch(opened({ collection: open.collection, document, log }));
}

import { nanoid } from '@reduxjs/toolkit';
import { createPatch } from 'rfc6902';
import { mayNot } from '../access/access-slice';
import { ApiError, requestJson } from '../api/request';
import type { AppThunk } from '../app/store';
import { keepBeside, readKept } from '../keeping/keep-beside';
import type { KeptEdits } from '../keeping/kept';
import { editsFound } from '../keeping/keeping-slice';
import { mayPass } from '../keeping/retry';
import { openWindows } from '../keeping/windows';
import { withTests } from './addresses';
import {
  acknowledged,
  type Body,
  edited,
  type OpenDocument,
  opened,
  type ServerDocument,
  syncChanged,
} from './documents-slice';
import { type Edit, isUpgrade, type LoggedEdit, redoSteps, type Step, undoSteps } from './history';
import { remember, rememberSoon } from './remember';
import { patchedBy, type Rebased, rebased } from './rebase';

/** Keystrokes in one field closer than this are one step of undo. */
const GROUP_WITHIN_MS = 1500;

const documentPath = ({ collection, id }: Pick<OpenDocument, 'collection' | 'id'>) =>
  `/api/${collection}/${id}`;

/** Documents on their way, so that two that ask for one share the answer. */
const opening = new Map<string, Promise<void>>();

/** Opens a document with its log, and brings back edits of windows that are gone. */
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

/** A document and its log as the server has them. */
interface Fetched {
  readonly document: ServerDocument;
  readonly log: readonly LoggedEdit[];
}

async function fetched(from: Pick<OpenDocument, 'collection' | 'id'>): Promise<Fetched> {
  const path = documentPath(from);
  const [document, log] = await Promise.all([
    requestJson<ServerDocument>(path),
    requestJson<LoggedEdit[]>(`${path}/edits`),
  ]);
  return { document, log };
}

function fetchDocument(collection: OpenDocument['collection'], id: string): AppThunk<Promise<void>> {
  return async (dispatch, _getState, { queues }) => {
    try {
      const { document, log } = await fetched({ collection, id });
      dispatch(opened({ collection, document, log }));
      dispatch(remember(id, log));
    } catch (error) {
      const kept = mayPass(error)
        ? await dispatch(readKept((store) => store.document(id), undefined))
        : undefined;
      if (kept === undefined) throw error;
      // As it was last seen here; what others did meanwhile comes as soon as the server answers.
      dispatch(opened(kept));
      dispatch(syncChanged({ id, sync: { kind: 'offline' } }));
      const askAgain = () => {
        dispatch(catchUp(id)).catch(() => queues.retries(`open ${id}`).later(askAgain));
      };
      queues.retries(`open ${id}`).later(askAgain);
    }
    // What the person asked for goes first; what is left over from before comes on top as soon as it is found.
    const back = () => {
      // They stay kept until the server answers, however often that takes.
      dispatch(bringBack(id)).catch(() => queues.retries(`bring back ${id}`).later(back));
    };
    back();
  };
}

/** Edits of windows that are gone, taken over by this one. */
function bringBack(id: string): AppThunk<Promise<void>> {
  return async (dispatch, _getState, { window: own }) => {
    const all = await dispatch(readKept((kept) => kept.edits(), []));
    const left = all.filter(({ document, window }) => document === id && window !== own);
    if (left.length === 0) return;
    const open = await openWindows(own);
    for (const kept of left.filter(({ window }) => !open.has(window))) await dispatch(takeOver(kept));
  };
}

function takeOver(kept: KeptEdits): AppThunk<Promise<void>> {
  return async (dispatch, getState) => {
    const { document: id, collection, revision, edits } = kept;
    const { document, log } = await dispatch(newestFor(kept));
    const forget = () =>
      dispatch(keepBeside((store) => store.keepEdits({ ...kept, edits: [] }), { frees: true }));
    const waiting = getState().documents.open[id];
    if (waiting === undefined) return;
    if (log.some((step) => isUpgrade(step) && step.revision > revision)) {
      // They were made on a document that is no more; what they name may mean something else by now.
      dispatch(syncChanged({ id, sync: { kind: 'outdated', edits: edits.length } }));
      await forget();
      return;
    }
    const since = log.filter((step) => step.revision > revision);
    const base = stepsBack(document.body, since);
    const moved = rebased(edits, base, document.body, since);
    const left = edits.filter(({ id: own }) => !since.some((step) => step.id === own));
    if (left.length > 0) {
      const { name, keptAtMs } = kept;
      dispatch(editsFound({ document: id, name, edits: left.length, keptAtMs }));
    }
    // What was made in this window meanwhile was made without them, and comes after them.
    const own = rebased(
      waiting.pending,
      waiting.base,
      withEdits(document.body, moved.edits),
      log.filter((step) => step.revision > waiting.revision),
    );
    const all: Rebased = {
      edits: [...moved.edits, ...own.edits],
      clashes: [...new Set([...moved.clashes, ...own.clashes])],
      unfit: moved.unfit + own.unfit,
    };
    dispatch(opened({ collection, document, log, pending: all.edits }));
    dispatch(keep(id));
    await forget();
    if (isAsked(all)) dispatch(asked(id, all));
    else void dispatch(flush(id));
  };
}

/** The document that kept edits go on: as the server has it, or with the server away as they were made on it. */
function newestFor({ document: id, collection, revision }: KeptEdits): AppThunk<Promise<Fetched>> {
  return async (dispatch) => {
    try {
      return await fetched({ collection, id });
    } catch (error) {
      const seen = mayPass(error)
        ? await dispatch(readKept((store) => store.document(id), undefined))
        : undefined;
      if (seen?.document.revision !== revision) throw error;
      return seen;
    }
  };
}

/** A body before the newest edits of its log. */
const stepsBack = (body: Body, since: readonly LoggedEdit[]): Body =>
  since.reduceRight<Body>((later, { inverse }) => patchedBy(later, inverse), body);

/** A body with edits on top. */
const withEdits = (body: Body, edits: readonly Edit[]): Body =>
  edits.reduce<Body>((before, { patch }) => patchedBy(before, patch), body);

/** Whether something was changed on both sides, or is gone. */
const isAsked = ({ clashes, unfit }: Rebased): boolean => clashes.length > 0 || unfit > 0;

/** Asks whose to keep. */
const asked = (id: string, { clashes, unfit }: Rebased) =>
  syncChanged({ id, sync: { kind: 'conflict', clashes, unfit } });

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
    const inverse = withTests(after, createPatch(after, before));
    const step: Step = {
      kind: 'edit',
      label,
      group: groupOf(id, label, Date.now()),
      patch: withTests(before, patch),
      inverse,
    };
    dispatch(commit(id, [step]));
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

function commit(id: string, steps: readonly Step[]): AppThunk {
  return (dispatch, getState) => {
    if (getState().access.role === 'bench') {
      dispatch(mayNot());
      return;
    }
    for (const step of steps) dispatch(edited({ id, edit: { id: nanoid(), ...step } }));
    dispatch(keep(id));
    // What the person sees goes first.
    setTimeout(() => void dispatch(flush(id)));
  };
}

/** Writes what waits to the browser's safety copy, or forgets it there. */
function keep(id: string): AppThunk {
  return (dispatch, getState, { window }) => {
    const document = getState().documents.open[id];
    if (document === undefined) return;
    const { collection, body, revision, pending } = document;
    void dispatch(
      keepBeside(
        (kept) =>
          kept.keepEdits({
            document: id,
            collection,
            name: 'name' in body ? body.name : 'the shop',
            window,
            revision,
            edits: pending,
            keptAtMs: Date.now(),
          }),
        { frees: pending.length === 0 },
      ),
    );
  };
}

/** Sends pending edits one after another until none is left or something stands in the way. */
function flush(id: string): AppThunk<Promise<void>> {
  return async (dispatch, getState, { queues }) => {
    const end = queues.begin(id);
    if (end === null) return;
    try {
      for (;;) {
        const document = getState().documents.open[id];
        const edit = document?.pending[0];
        if (document === undefined || edit === undefined || document.sync.kind === 'conflict') return;
        const taken = await requestJson<Pick<ServerDocument, 'revision'>>(documentPath(document), {
          method: 'PATCH',
          body: { baseRevision: document.revision, ...edit },
        });
        queues.retries(id).succeeded();
        dispatch(acknowledged({ id, edit: edit.id, revision: taken.revision }));
        dispatch(keep(id));
        dispatch(rememberSoon(id));
      }
    } catch (error) {
      await dispatch(sendFailed(id, error));
    } finally {
      end();
    }
  };
}

function sendFailed(id: string, error: unknown): AppThunk<Promise<void>> {
  return async (dispatch, _getState, { queues }) => {
    const again = () => {
      dispatch(syncChanged({ id, sync: { kind: 'offline' } }));
      queues.retries(id).later(() => void dispatch(flush(id)));
    };
    if (mayPass(error)) again();
    else if (isStale(error)) await dispatch(catchUp(id)).catch(again);
    else {
      const message = error instanceof Error ? error.message : String(error);
      dispatch(syncChanged({ id, sync: { kind: 'refused', message } }));
    }
  };
}

const isStale = (error: unknown): boolean =>
  error instanceof ApiError && (error.status === 409 || error.body.error.code === 'patch-does-not-fit');

/** What waits, put on top of what the server has by now; null for a document that is not open. */
function onTop(id: string): AppThunk<Promise<(Fetched & { readonly moved: Rebased }) | null>> {
  return async (_dispatch, getState) => {
    const before = getState().documents.open[id];
    if (before === undefined) return null;
    const { document, log } = await fetched(before);
    // Typing goes on while the answer is on its way.
    const open = getState().documents.open[id] ?? before;
    const since = log.filter(({ revision }) => revision > open.revision);
    return { document, log, moved: rebased(open.pending, open.base, document.body, since) };
  };
}

/** Takes what was put on top for what waits now, and sends it. */
function goOnWith(id: string, { document, log, moved }: Fetched & { readonly moved: Rebased }): AppThunk {
  return (dispatch, getState) => {
    const open = getState().documents.open[id];
    if (open === undefined) return;
    dispatch(opened({ collection: open.collection, document, log, pending: moved.edits }));
    dispatch(remember(id, log));
    dispatch(keep(id));
    // Not before what is being sent has ended.
    setTimeout(() => void dispatch(flush(id)));
  };
}

/** Takes in what was done to an open document elsewhere, where it rests: its own next edit does so otherwise. */
export function refresh(id: string): AppThunk<Promise<void>> {
  return async (dispatch, getState) => {
    if (getState().documents.open[id]?.pending.length === 0) await dispatch(catchUp(id));
  };
}

/** Puts what waits on top of what the server has by now; asks only where both changed the same. */
function catchUp(id: string): AppThunk<Promise<void>> {
  return async (dispatch) => {
    const found = await dispatch(onTop(id));
    if (found === null) return;
    if (isAsked(found.moved)) dispatch(asked(id, found.moved));
    else dispatch(goOnWith(id, found));
  };
}

/** Resolves a conflict by putting the pending edits on top of what the server holds; how many no longer fit. */
export function putMineOnTop(id: string): AppThunk<Promise<number>> {
  return async (dispatch) => {
    const found = await dispatch(onTop(id));
    if (found === null) return 0;
    dispatch(goOnWith(id, found));
    return found.moved.unfit;
  };
}

/** Drops the edits that wait now and shows what the server holds; what is typed while it answers stays. */
export function takeTheirs(id: string): AppThunk<Promise<void>> {
  return async (dispatch, getState) => {
    const before = getState().documents.open[id];
    if (before === undefined) return;
    const dropped = new Set(before.pending.map((edit) => edit.id));
    const { document, log } = await fetched(before);
    const open = getState().documents.open[id] ?? before;
    const isDropped = ({ id: own }: Edit) => dropped.has(own);
    const without = open.pending.filter((edit) => !isDropped(edit));
    const moved = rebased(
      without,
      withEdits(open.base, open.pending.filter(isDropped)),
      document.body,
      log.filter(({ revision }) => revision > open.revision),
    );
    dispatch(opened({ collection: open.collection, document, log, pending: moved.edits }));
    dispatch(keep(id));
    if (isAsked(moved)) dispatch(asked(id, moved));
    else void dispatch(flush(id));
  };
}

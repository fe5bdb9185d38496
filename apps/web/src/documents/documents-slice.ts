import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { applyPatch } from 'rfc6902';
import { plainState } from '../app/plain-state';
import {
  type Edit,
  EMPTY_STACKS,
  type LoggedEdit,
  pushed,
  type Stacks,
  stacksOf,
  type Step,
} from './history';

/** Bodies that documents may have. */
export type Body = BuildDocument | ShopDocument;

/** How a document stands with the server. */
export type SyncState =
  | { readonly kind: 'saved' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'offline' }
  /** What was changed here was changed elsewhere as well: labels of those edits, and how many name something that is gone. */
  | { readonly kind: 'conflict'; readonly clashes: readonly string[]; readonly unfit: number }
  | { readonly kind: 'refused'; readonly message: string }
  /** So many edits of an earlier visit do not fit: the document was brought up to date meanwhile. */
  | { readonly kind: 'outdated'; readonly edits: number };

/** A document as the server sends it. */
export interface ServerDocument {
  readonly id: string;
  readonly revision: number;
  readonly body: Body;
  readonly updatedAtMs: number;
}

/** A document being worked on. */
export interface OpenDocument {
  readonly id: string;
  /** Collection under /api. */
  readonly collection: 'builds' | 'shops';
  /** With every pending edit applied. */
  readonly body: Body;
  /** As the server has it at that revision, without any pending edit. */
  readonly base: Body;
  /** Revision that the first pending edit builds on. */
  readonly revision: number;
  /** Edits that the server has not yet taken, oldest first. */
  readonly pending: readonly Edit[];
  readonly stacks: Stacks;
  readonly sync: SyncState;
}

interface State {
  readonly open: Readonly<Record<string, OpenDocument>>;
}

/** Body after an edit; undefined when the patch does not fit. */
function applied(body: Body, edit: Edit): Body | undefined {
  const copy = structuredClone(body);
  const failed = applyPatch(copy, [...edit.patch]).some((result) => result !== null);
  return failed ? undefined : copy;
}

/** A body with edits on top, and what can be taken back of all of them. */
function withPending(
  base: Body,
  log: readonly (Step | LoggedEdit)[],
  pending: readonly Edit[],
): Pick<OpenDocument, 'body' | 'pending' | 'stacks' | 'sync'> {
  const stacks = log.length === 0 ? EMPTY_STACKS : stacksOf(log);
  return {
    body: pending.reduce((body, edit) => applied(body, edit) ?? body, base),
    pending,
    stacks: pending.reduce(pushed, stacks),
    sync: { kind: pending.length === 0 ? 'saved' : 'saving' },
  };
}

const plain = (state: unknown) => plainState<State>(state);

type Update = (state: State, id: string, change: (document: OpenDocument) => OpenDocument) => State;
const update: Update = (state, id, change) => {
  const document = state.open[id];
  return document === undefined ? state : { open: { ...state.open, [id]: change(document) } };
};

const INITIAL: State = { open: {} };

const slice = createSlice({
  name: 'documents',
  initialState: INITIAL,
  reducers: {
    opened: (
      state,
      {
        payload,
      }: PayloadAction<{
        collection: OpenDocument['collection'];
        document: ServerDocument;
        log: readonly (Step | LoggedEdit)[];
        /** Edits that wait, on top of it. */
        pending?: readonly Edit[];
      }>,
    ) => ({
      open: {
        ...plain(state).open,
        [payload.document.id]: {
          id: payload.document.id,
          collection: payload.collection,
          base: payload.document.body,
          ...withPending(payload.document.body, payload.log, payload.pending ?? []),
          revision: payload.document.revision,
        },
      },
    }),
    edited: (state, { payload: { id, edit } }: PayloadAction<{ id: string; edit: Edit }>) =>
      update(plain(state), id, (document) => {
        const body = applied(document.body, edit);
        if (body === undefined) return document;
        return {
          ...document,
          body,
          pending: [...document.pending, edit],
          stacks: pushed(document.stacks, edit),
          sync:
            document.sync.kind === 'saved' || document.sync.kind === 'outdated'
              ? { kind: 'saving' }
              : document.sync,
        };
      }),
    /** The server has the first edit that waits. One that is no longer the first shows up when the next is sent. */
    acknowledged: (
      state,
      {
        payload: { id, edit, revision },
      }: PayloadAction<{ id: string; edit: string | undefined; revision: number }>,
    ) =>
      update(plain(state), id, (document) => {
        const [first, ...pending] = document.pending;
        if (first?.id !== edit) return document;
        return {
          ...document,
          base:
            pending.length === 0 || first === undefined
              ? document.body
              : (applied(document.base, first) ?? document.base),
          revision,
          pending,
          sync: { kind: pending.length === 0 ? 'saved' : 'saving' },
        };
      }),
    syncChanged: (state, { payload: { id, sync } }: PayloadAction<{ id: string; sync: SyncState }>) =>
      update(plain(state), id, (document) => ({ ...document, sync })),
  },
});

export const documentsReducer = slice.reducer;
export const { opened, edited, acknowledged, syncChanged } = slice.actions;

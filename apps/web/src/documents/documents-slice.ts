import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { applyPatch } from 'rfc6902';
import { plainState } from '../app/plain-state';
import { type Edit, EMPTY_STACKS, type LoggedEdit, pushed, type Stacks, stacksOf } from './history';

/** Bodies that documents may have. */
export type Body = BuildDocument | ShopDocument;

/** How a document stands with the server. */
export type SyncState =
  | { readonly kind: 'saved' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'offline' }
  | { readonly kind: 'conflict'; readonly theirs: ServerDocument }
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
        log: readonly (Edit | LoggedEdit)[];
      }>,
    ) => ({
      open: {
        ...plain(state).open,
        [payload.document.id]: {
          id: payload.document.id,
          collection: payload.collection,
          body: payload.document.body,
          revision: payload.document.revision,
          pending: [],
          stacks: payload.log.length === 0 ? EMPTY_STACKS : stacksOf(payload.log),
          sync: { kind: 'saved' as const },
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
    acknowledged: (state, { payload: { id, revision } }: PayloadAction<{ id: string; revision: number }>) =>
      update(plain(state), id, (document) => {
        const pending = document.pending.slice(1);
        return {
          ...document,
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

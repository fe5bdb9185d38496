import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** Edits of a window that is gone, brought back. */
export interface Found {
  readonly document: string;
  readonly name: string;
  readonly edits: number;
  readonly keptAtMs: number;
}

/** A run that the server refuses; it stays in this browser. */
export interface RefusedRun {
  readonly id: string;
  readonly buildName: string;
  readonly why: string;
}

/** How the browser's safety copy stands, and what was left over from earlier windows. */
interface State {
  /** Why nothing is kept here; null while it is. */
  readonly failing: string | null;
  readonly found: readonly Found[];
  readonly refusedRuns: readonly RefusedRun[];
}

const INITIAL: State = { failing: null, found: [], refusedRuns: [] };

const slice = createSlice({
  name: 'keeping',
  initialState: INITIAL,
  reducers: {
    keepingFailed: (state, { payload }: PayloadAction<string | null>) => ({ ...state, failing: payload }),
    editsFound: (state, { payload }: PayloadAction<Found>) => ({
      ...state,
      found: [...state.found, payload],
    }),
    foundSeen: (state) => ({ ...state, found: [] }),
    runRefused: (state, { payload }: PayloadAction<RefusedRun>) => ({
      ...state,
      refusedRuns: [...state.refusedRuns.filter(({ id }) => id !== payload.id), payload],
    }),
  },
});

export const keepingReducer = slice.reducer;
export const { keepingFailed, editsFound, foundSeen, runRefused } = slice.actions;

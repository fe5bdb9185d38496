import type { RunDocument, RunEvent, RunRecord } from '@lean-clasp/core/formats';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { plainState } from '../app/plain-state';

/** Runs touched at this screen, by id; each is also kept in the browser until the server has it. */
interface State {
  readonly byId: Readonly<Record<string, RunDocument>>;
  readonly unsent: readonly string[];
}

const INITIAL: State = { byId: {}, unsent: [] };

const touch = (state: State, run: RunDocument): State => ({
  byId: { ...state.byId, [run.id]: run },
  unsent: state.unsent.includes(run.id) ? state.unsent : [...state.unsent, run.id],
});

const plain = (state: unknown) => plainState<State>(state);

const slice = createSlice({
  name: 'runs',
  initialState: INITIAL,
  reducers: {
    /** A run begun here, or brought back from the browser's store. */
    runBegun: (state, { payload }: PayloadAction<RunDocument>) => touch(plain(state), payload),
    /** A run fetched from the server for reading. */
    runFetched: (state, { payload }: PayloadAction<RunDocument>) => ({
      ...plain(state),
      byId: { ...plain(state).byId, [payload.id]: payload },
    }),
    benchEvent: (state, { payload: { id, event } }: PayloadAction<{ id: string; event: RunEvent }>) => {
      const run = plain(state).byId[id];
      if (run === undefined) return state;
      const ended = event.kind === 'finish' || event.kind === 'abandon';
      return touch(plain(state), {
        ...run,
        events: [...run.events, event],
        state: event.kind === 'finish' ? 'clamped' : event.kind === 'abandon' ? 'abandoned' : run.state,
        clampedAtMs: ended && event.kind === 'finish' ? event.atMs : run.clampedAtMs,
      });
    },
    recorded: (
      state,
      { payload: { id, record } }: PayloadAction<{ id: string; record: Partial<RunRecord> }>,
    ) => {
      const run = plain(state).byId[id];
      return run === undefined
        ? state
        : touch(plain(state), { ...run, record: { ...run.record, ...record } });
    },
    runSent: (state, { payload: { id, sent } }: PayloadAction<{ id: string; sent: RunDocument }>) =>
      // Only what was sent is safe; a run that moved on meanwhile goes again.
      plain(state).byId[id] === sent
        ? { ...plain(state), unsent: plain(state).unsent.filter((other) => other !== id) }
        : state,
  },
});

export const runsReducer = slice.reducer;
export const { runBegun, runFetched, benchEvent, recorded, runSent } = slice.actions;

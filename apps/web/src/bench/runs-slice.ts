import type { RunDocument, RunEvent } from '@lean-clasp/core/formats';
import { merged } from '@lean-clasp/core/runs';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { plainState } from '../app/plain-state';

/** Runs touched at this screen, by id, and what of them the server does not have yet. */
interface State {
  readonly byId: Readonly<Record<string, RunDocument>>;
  /** Ids of runs that the server does not know of. */
  readonly unknown: readonly string[];
  readonly unsent: Readonly<Record<string, readonly RunEvent[]>>;
}

const INITIAL: State = { byId: {}, unknown: [], unsent: {} };
const plain = (state: unknown) => plainState<State>(state);
const without = (events: readonly RunEvent[], gone: readonly RunEvent[]) => {
  const ids = new Set(gone.map(({ id }) => id));
  return events.filter(({ id }) => !ids.has(id));
};

const slice = createSlice({
  name: 'runs',
  initialState: INITIAL,
  reducers: {
    /** A run begun here, or brought back from this browser, with events that wait. */
    runBegun: (
      state,
      {
        payload: { run, known, unsent },
      }: PayloadAction<{ run: RunDocument; known: boolean; unsent: RunEvent[] }>,
    ) => {
      const { byId, unknown, unsent: all } = plain(state);
      // What was heard of it already stays.
      const before = byId[run.id]?.events ?? [];
      return {
        byId: { ...byId, [run.id]: { ...run, events: merged(merged(before, run.events), unsent) } },
        unknown: known || unknown.includes(run.id) ? unknown : [...unknown, run.id],
        unsent: { ...all, [run.id]: unsent },
      };
    },
    /** What the server has of a run; events that wait here stay on it. */
    runJoined: (state, { payload: run }: PayloadAction<RunDocument>) => {
      const { byId, unknown, unsent } = plain(state);
      const before = byId[run.id]?.events ?? [];
      return {
        byId: { ...byId, [run.id]: { ...run, events: merged(run.events, before) } },
        unknown: unknown.filter((id) => id !== run.id),
        unsent,
      };
    },
    /** Events of other screens. */
    eventsHeard: (state, { payload: { id, events } }: PayloadAction<{ id: string; events: RunEvent[] }>) => {
      const { byId, ...rest } = plain(state);
      const run = byId[id];
      return run === undefined
        ? state
        : { ...rest, byId: { ...byId, [id]: { ...run, events: merged(run.events, events) } } };
    },
    /** Something noted here; told anew it takes the place of itself, as long as nobody has heard of it. */
    eventNoted: (state, { payload: { id, event } }: PayloadAction<{ id: string; event: RunEvent }>) => {
      const { byId, unknown, unsent } = plain(state);
      const run = byId[id];
      if (run === undefined) return state;
      return {
        byId: { ...byId, [id]: { ...run, events: [...without(run.events, [event]), event] } },
        unknown,
        unsent: { ...unsent, [id]: [...without(unsent[id] ?? [], [event]), event] },
      };
    },
    eventsTaken: (state, { payload: { id, events } }: PayloadAction<{ id: string; events: RunEvent[] }>) => {
      const { unsent, ...rest } = plain(state);
      return { ...rest, unsent: { ...unsent, [id]: without(unsent[id] ?? [], events) } };
    },
  },
});

export const runsReducer = slice.reducer;
export const { runBegun, runJoined, eventsHeard, eventNoted, eventsTaken } = slice.actions;

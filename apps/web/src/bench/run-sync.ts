import { promiseOf } from '@lean-clasp/core/bench';
import type { RunDocument, RunEvent, RunRecord } from '@lean-clasp/core/formats';
import type { Plan } from '@lean-clasp/core/plan';
import { nanoid } from '@reduxjs/toolkit';
import { api } from '../api/api';
import { ApiError, requestJson } from '../api/request';
import type { AppThunk, RootState } from '../app/store';
import type { BenchKit } from './bench-kit';
import { benchEvent, recorded, runBegun, runFetched, runSent } from './runs-slice';

const RUN_PREFIX = 'lean-clasp.run.';
const RETRY_MS = 2500;

/** A run and what it is conducted with, as kept in the browser. */
interface KeptRun {
  readonly run: RunDocument;
  readonly kit: BenchKit | null;
}

function readKept(id: string): KeptRun | null {
  try {
    return JSON.parse(localStorage.getItem(RUN_PREFIX + id) ?? 'null') as KeptRun | null;
  } catch {
    return null;
  }
}

function keep(id: string, getState: () => RootState, kit?: BenchKit): void {
  const run = getState().runs.byId[id];
  if (run === undefined) return;
  const kept: KeptRun = { run, kit: kit ?? readKept(id)?.kit ?? null };
  localStorage.setItem(RUN_PREFIX + id, JSON.stringify(kept));
}

/** What a run begun at this screen is conducted with. */
export function keptKit(id: string): BenchKit | null {
  return readKept(id)?.kit ?? null;
}

/** Starts the clock: freezes what the plan promises and how it is to be run. Returns the run's id. */
export function beginRun(buildId: string, plan: Plan, kit: BenchKit, nowMs: number): AppThunk<string> {
  return (dispatch, getState) => {
    const run: RunDocument = {
      format: 'lean-clasp/run',
      version: 1,
      id: nanoid(),
      buildId,
      buildName: plan.build.name,
      state: 'running',
      startedAtMs: nowMs,
      clampedAtMs: null,
      events: [],
      promise: promiseOf(plan),
      record: { squeezeOut: null, flatnessMm: null, diagonalDifferenceMm: null, widestGapMm: null, note: '' },
    };
    dispatch(runBegun(run));
    keep(run.id, getState, kit);
    void dispatch(send(run.id));
    return run.id;
  };
}

/** Notes something that happened at the bench. */
export function noteEvent(id: string, event: RunEvent): AppThunk {
  return (dispatch, getState) => {
    dispatch(benchEvent({ id, event }));
    keep(id, getState);
    void dispatch(send(id));
  };
}

/** Writes readings and remarks into a run's record. */
export function noteRecord(id: string, record: Partial<RunRecord>): AppThunk {
  return (dispatch, getState) => {
    dispatch(recorded({ id, record }));
    keep(id, getState);
    void dispatch(send(id));
  };
}

/** Brings a run up: from this browser if it knows it, else from the server. */
export function openRun(id: string): AppThunk<Promise<void>> {
  return async (dispatch, getState) => {
    if (getState().runs.byId[id] !== undefined) return;
    const kept = readKept(id);
    if (kept !== null) {
      dispatch(runBegun(kept.run));
      void dispatch(send(id));
      return;
    }
    dispatch(runFetched(await requestJson<RunDocument>(`/api/runs/${id}`)));
  };
}

/** Runs being sent right now. */
const sending = new Set<string>();

/** Sends a run whole, again and again until the server has its newest form. */
function send(id: string): AppThunk<Promise<void>> {
  return async (dispatch, getState) => {
    if (sending.has(id)) return;
    sending.add(id);
    try {
      while (getState().runs.unsent.includes(id)) {
        const run = getState().runs.byId[id];
        if (run === undefined) return;
        await requestJson(`/api/runs/${id}`, { method: 'PUT', body: run });
        dispatch(runSent({ id, sent: run }));
      }
      dispatch(api.util.invalidateTags(['Runs']));
      // Once the server has a finished run, its copy here could only grow stale.
      if (getState().runs.byId[id]?.state !== 'running') localStorage.removeItem(RUN_PREFIX + id);
    } catch (error) {
      // Refused by the server: trying again would not help, and the browser keeps it. Unreachable: try again.
      if (!(error instanceof ApiError)) setTimeout(() => void dispatch(send(id)), RETRY_MS);
    } finally {
      sending.delete(id);
    }
  };
}

import type { RunDocument, RunEvent, RunHead, RunRecord } from '@lean-clasp/core/formats';
import { readRun } from '@lean-clasp/core/runs';
import { api } from '../api/api';
import { ApiError, requestJson } from '../api/request';
import type { AppThunk } from '../app/store';
import { refresh } from '../documents/sync';
import { keepBeside, readKept } from '../keeping/keep-beside';
import type { KeptRun } from '../keeping/kept';
import { runRefused } from '../keeping/keeping-slice';
import { mayPass } from '../keeping/retry';
import { SHOP_ID } from '../shop/shop-id';
import type { BenchKit } from './bench-kit';
import { runClock } from './run-clock';
import { eventNoted, eventsHeard, eventsTaken, runBegun, runJoined } from './runs-slice';

/** Words that are typed wait so long for the next letter before they are sent, ms. */
const REST_MS = 700;

/** Takes in a run whose clock has just been started here. */
export function runStarted(head: RunHead, kit: BenchKit): AppThunk<void> {
  return (dispatch) => {
    dispatch(runBegun({ run: { ...head, events: [] }, known: false, unsent: [] }));
    kits.set(head.id, kit);
    void dispatch(keepBeside((kept) => kept.keepRun({ head, kit })));
    void dispatch(send(head.id));
  };
}

/** What runs begun or brought back at this page are conducted with. */
const kits = new Map<string, BenchKit>();

/** What a run begun or followed in this browser is conducted with. */
export const keptKit = (id: string): BenchKit | null => kits.get(id) ?? null;

/** Runs that were begun elsewhere. */
const followed = new Set<string>();

/** Whether a run was begun in this browser. */
export const begunHere = (id: string): boolean => kits.has(id) && !followed.has(id);

/** Keeps a run that was begun elsewhere, so that it opens again here without the server. */
export function keepFollowed(run: RunDocument, kit: BenchKit): AppThunk<void> {
  return (dispatch) => {
    const { events, ...head } = run;
    followed.add(run.id);
    kits.set(run.id, kit);
    void dispatch(keepBeside((kept) => kept.keepRun({ head, kit, followed: true })));
    dispatch(keepTaken(run.id, events));
  };
}

/** Keeps what the server has of a run that goes on. */
function keepTaken(id: string, events: readonly RunEvent[]): AppThunk<void> {
  return (dispatch, getState) => {
    const run = getState().runs.byId[id];
    if (run === undefined || !kits.has(id) || readRun(run).state !== 'running') return;
    void dispatch(keepBeside((kept) => kept.keepSent(id, events)));
  };
}

/** Numbers events of this page, over all runs. */
let lastSeq = -1;

/** What is told of something that happened. */
export type Noted = Pick<RunEvent, 'kind' | 'operation' | 'joint' | 'payload'> & { readonly hand?: number };

/** Notes something that happened at the bench. */
export function noteEvent(id: string, what: Noted): AppThunk<void> {
  return (dispatch, _getState, { window: device }) => {
    lastSeq += 1;
    const event: RunEvent = {
      id: `${device}-${lastSeq}`,
      device,
      seq: lastSeq,
      atMs: runClock.now(),
      hand: 0,
      ...what,
    };
    dispatch(noted(id, event));
    void dispatch(send(id));
  };
}

function noted(id: string, event: RunEvent): AppThunk<void> {
  return (dispatch) => {
    // Kept before the page draws anything of it: a crash right after must not lose the step.
    void dispatch(keepBeside((kept) => kept.keepEvent(id, event)));
    dispatch(eventNoted({ id, event }));
  };
}

/** A note that is still being written, of which nobody has heard. */
let writing: { readonly id: string; readonly event: RunEvent; timer: ReturnType<typeof setTimeout> } | null =
  null;

/** Writes readings and remarks into a run's record; letters typed one after the other are one note. */
export function noteRecord(id: string, record: Partial<RunRecord>): AppThunk<void> {
  return (dispatch, _getState, { window: device }) => {
    const same = writing !== null && writing.id === id ? writing : null;
    if (writing !== null) clearTimeout(writing.timer);
    if (same === null) lastSeq += 1;
    const event: RunEvent = {
      ...(same?.event ?? { id: `${device}-${lastSeq}`, device, seq: lastSeq, hand: 0 }),
      kind: 'note',
      atMs: runClock.now(),
      payload: { record: { ...same?.event.payload?.record, ...record } },
    };
    dispatch(noted(id, event));
    const timer = setTimeout(() => {
      writing = null;
      void dispatch(send(id));
    }, REST_MS);
    writing = { id, event, timer };
  };
}

/** Brings a run up: from this browser if it knows it, and from the server. */
export function openRun(id: string): AppThunk<Promise<void>> {
  return async (dispatch, getState) => {
    if (getState().runs.byId[id] === undefined) await dispatch(bringBackRun(id));
    const here = getState().runs.byId[id] !== undefined;
    try {
      const joined = await requestJson<RunDocument>(`/api/runs/${id}`);
      dispatch(runJoined(joined));
      dispatch(keepTaken(id, joined.events));
    } catch (error) {
      if (!here) throw error;
    }
    if (!here) await dispatch(bringBackEvents(id));
  };
}

/** A run of an earlier page in this browser, with what of it was never sent. */
function bringBackRun(id: string): AppThunk<Promise<void>> {
  return async (dispatch) => {
    const run = await dispatch(readKept((kept) => kept.run(id), undefined));
    if (run !== undefined) await dispatch(bringBack(run));
  };
}

const NOTHING_KEPT = { sent: [], unsent: [] };

function bringBack({ head, kit, followed: elsewhere = false }: KeptRun): AppThunk<Promise<void>> {
  return async (dispatch) => {
    const { sent, unsent } = await dispatch(readKept((kept) => kept.eventsOf(head.id), NOTHING_KEPT));
    if (kit !== null) kits.set(head.id, kit);
    if (elsewhere) followed.add(head.id);
    dispatch(runBegun({ run: { ...head, events: sent }, known: false, unsent }));
    void dispatch(send(head.id));
  };
}

/** What was noted in a run that the server has, such as remarks long after it ended, and never sent. */
function bringBackEvents(id: string): AppThunk<Promise<void>> {
  return async (dispatch, getState) => {
    const { unsent } = await dispatch(readKept((kept) => kept.eventsOf(id), NOTHING_KEPT));
    const run = getState().runs.byId[id];
    if (unsent.length === 0 || run === undefined) return;
    dispatch(runBegun({ run, known: true, unsent }));
    void dispatch(send(id));
  };
}

/** Sends what earlier pages could not, of every run that this browser keeps. */
export function sendKeptRuns(): AppThunk<Promise<void>> {
  return async (dispatch, getState) => {
    for (const kept of await dispatch(readKept((store) => store.runs(), []))) {
      if (getState().runs.byId[kept.head.id] === undefined) await dispatch(bringBack(kept));
    }
    const events = await dispatch(readKept((store) => store.events(), []));
    for (const id of new Set(events.map(({ run }) => run))) {
      // Where the server is away they stay kept, and the next page tries again.
      if (getState().runs.byId[id] === undefined) await dispatch(openRun(id)).catch(() => undefined);
    }
  };
}

/** Sends a run that the server does not know of, and what happened since, until it has all. */
function send(id: string): AppThunk<Promise<void>> {
  return async (dispatch, getState, { queues }) => {
    const end = queues.begin(id);
    if (end === null) return;
    try {
      for (;;) {
        const { byId, unknown, unsent } = getState().runs;
        const run = byId[id];
        // A note that is still being written is sent once it rests.
        const events = (unsent[id] ?? []).filter((event) => event.id !== writing?.event.id);
        const begun = !unknown.includes(id);
        if (run === undefined || (begun && events.length === 0)) break;
        const joined = begun ? await added(run, events) : await begin(run, events);
        queues.retries(id).succeeded();
        dispatch(eventsTaken({ id, events }));
        dispatch(runJoined(joined));
        // The server takes the glue of a run that is over off the shelf.
        if (events.some(({ kind }) => kind === 'finish' || kind === 'abandon')) void dispatch(shelfChanged());
        if (kits.has(id)) dispatch(keepTaken(id, events));
        else void dispatch(keepBeside((kept) => kept.forgetEvents(id, events), { frees: true }));
      }
      dispatch(api.util.invalidateTags(['Runs']));
      dispatch(forgetFinished(id));
    } catch (error) {
      if (mayPass(error)) queues.retries(id).later(() => void dispatch(send(id)));
      else {
        const why = error instanceof Error ? error.message : String(error);
        dispatch(runRefused({ id, buildName: getState().runs.byId[id]?.buildName ?? '', why }));
      }
    } finally {
      end();
    }
  };
}

/** The shop as the server has it now; where that cannot be asked, its next edit brings it. */
const shelfChanged = (): AppThunk<Promise<void>> => (dispatch) =>
  dispatch(refresh(SHOP_ID)).catch(() => undefined);

/** Once the server has all of a run that is over, nothing of it needs to be kept here. */
function forgetFinished(id: string): AppThunk {
  return (dispatch, getState) => {
    const { byId, unsent } = getState().runs;
    const run = byId[id];
    if (run === undefined || (unsent[id]?.length ?? 0) > 0 || readRun(run).state === 'running') return;
    void dispatch(keepBeside((kept) => kept.forgetRun(id), { frees: true }));
  };
}

const begin = (run: RunDocument, events: readonly RunEvent[]) =>
  requestJson<RunDocument>(`/api/runs/${run.id}`, { method: 'PUT', body: { ...run, events } });

/** A server that has forgotten the run, as after a restored backup, is told of it anew. */
async function added(run: RunDocument, events: readonly RunEvent[]): Promise<RunDocument> {
  try {
    return await requestJson<RunDocument>(`/api/runs/${run.id}/events`, { method: 'POST', body: { events } });
  } catch (error) {
    if (error instanceof ApiError && error.status === 404) return begin(run, run.events);
    throw error;
  }
}

/** Hears what other screens note in a run, until the page leaves it. */
export function followRun(id: string): AppThunk<() => void> {
  return (dispatch) => {
    if (typeof EventSource === 'undefined') return () => undefined;
    const source = new EventSource(`/api/runs/${id}/stream`);
    source.onmessage = ({ data }: MessageEvent<string>) => {
      const events = JSON.parse(data) as RunEvent[];
      dispatch(eventsHeard({ id, events }));
      dispatch(keepTaken(id, events));
      // Whoever did the last step, nothing of it needs to be kept on.
      dispatch(forgetFinished(id));
    };
    // After a gap the browser connects again by itself; what was missed is read whole.
    source.onopen = () => {
      requestJson<RunDocument>(`/api/runs/${id}`).then(
        (run) => dispatch(runJoined(run)),
        () => undefined,
      );
    };
    return () => source.close();
  };
}

import type { Recheck, RecheckFinding, RunDocument, RunEvent, RunRecord } from '../formats';
import { readAfterwards } from './afterwards';
import { inOrder } from './events';

/** How a run stands, worked out from its events alone: the same events give the same on every device. */
export interface RunReading {
  readonly state: 'running' | 'clamped' | 'abandoned';
  /** When clamps came off, and when the wood was first worked; null before. */
  readonly clampsOffAtMs: number | null;
  readonly machinedAtMs: number | null;
  /** When the last step was done and the clamps were left alone. */
  readonly clampedAtMs: number | null;
  /** Operations that are done, and when each was. */
  readonly done: ReadonlyMap<string, number>;
  /** What was last read and noted, field by field. */
  readonly record: RunRecord;
  /** By how much the clocks of devices were set while it ran, and when. */
  readonly clockSet: readonly { readonly atMs: number; readonly byMs: number }[];
}

/** A run as lists and calendars need it: what it promised, how it stands, what was read. */
export interface RunSummary {
  readonly id: string;
  readonly buildId: string;
  readonly buildName: string;
  readonly session: number;
  readonly startedAtMs: number;
  readonly promise: RunDocument['promise'];
  readonly state: RunReading['state'];
  readonly clampedAtMs: number | null;
  /** Left out by summaries of before. */
  readonly clampsOffAtMs?: number | null;
  readonly record: RunRecord;
  /** Largest share of any fuse that was burnt, by the short ends of its windows; told by the log, null where it does not know. */
  readonly fuseUsed?: number | null;
  /** Looks that were taken later, with what was found; left out by summaries of before. */
  readonly rechecks?: Readonly<Partial<Record<Recheck, RecheckFinding>>>;
  /** Share of the coupon's break in the wood, per cent; null where none was broken. */
  readonly couponPct?: number | null;
  /** What went wrong and what it was put down to; null where nothing was. */
  readonly cause?: { readonly symptom: string; readonly cause: string } | null;
}

/** A record in which nobody has written yet. */
const EMPTY_RECORD: RunRecord = {
  squeezeOut: null,
  flatnessMm: null,
  diagonalDifferenceMm: null,
  widestGapMm: null,
  glueG: null,
  note: '',
};

const BEGUN: RunReading = {
  state: 'running',
  clampedAtMs: null,
  clampsOffAtMs: null,
  machinedAtMs: null,
  done: new Map(),
  record: EMPTY_RECORD,
  clockSet: [],
};

type Change = (reading: RunReading, event: RunEvent) => RunReading;

/** What was read or noted lies over what was before, field by field. */
const noted: Change = (reading, { payload }) => ({
  ...reading,
  record: { ...reading.record, ...payload?.record },
});

/** How events change what a run is; those that are not here tell something and change nothing of this. */
const CHANGES: Readonly<Partial<Record<RunEvent['kind'], Change>>> = {
  done: (reading, { operation, atMs }) =>
    operation === undefined || reading.done.has(operation)
      ? reading
      : { ...reading, done: new Map(reading.done).set(operation, atMs) },
  // Going back from the end takes the end back as well.
  back: (reading, { operation }) => ({
    ...reading,
    done: new Map([...reading.done].filter(([id]) => id !== operation)),
    state: 'running',
    clampedAtMs: null,
  }),
  finish: (reading, { atMs }) =>
    reading.state === 'clamped' ? reading : { ...reading, state: 'clamped', clampedAtMs: atMs },
  abandon: (reading) => (reading.state === 'running' ? { ...reading, state: 'abandoned' } : reading),
  'clamps-off': (reading, { atMs }) =>
    reading.clampsOffAtMs === null ? { ...reading, clampsOffAtMs: atMs } : reading,
  machined: (reading, { atMs }) =>
    reading.machinedAtMs === null ? { ...reading, machinedAtMs: atMs } : reading,
  reading: noted,
  note: noted,
  'clock-set': (reading, { atMs, payload }) => ({
    ...reading,
    clockSet: [...reading.clockSet, { atMs, byMs: payload?.byMs ?? 0 }],
  }),
};

/** Replays the events of a run, in whatever order they come. */
export const readRun = ({ events }: Pick<RunDocument, 'events'>): RunReading =>
  inOrder(events).reduce((reading, event) => CHANGES[event.kind]?.(reading, event) ?? reading, BEGUN);

/** The summary of a run. */
export function summaryOf(run: RunDocument): RunSummary {
  const { id, buildId, buildName, session, startedAtMs, promise } = run;
  const { state, clampedAtMs, clampsOffAtMs, record } = readRun(run);
  const { rechecks, coupon, cause } = readAfterwards(run);
  return {
    id,
    buildId,
    buildName,
    session,
    startedAtMs,
    promise,
    state,
    clampedAtMs,
    clampsOffAtMs,
    record,
    rechecks: Object.fromEntries([...rechecks].map(([due, { found }]) => [due, found])),
    couponPct: coupon?.woodFailurePct ?? null,
    cause,
  };
}

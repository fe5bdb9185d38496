import { benchScript, comesLater, promiseOf, type ScriptOperation } from '../bench';
import type { ClosedAs, RunDocument, RunEvent, Work } from '../formats';
import { closestJoint, workOf } from '../learning';
import type { Plan } from '../plan';
import { logNormal, scatterFrom } from '../sequence';

/** How somebody really works, and what glue really gives them, whatever a plan believes. */
export interface Truth {
  /** Minutes over the built-in ones. */
  readonly pace: Readonly<Record<Work, number>>;
  /** How much one step, one day, and one day's glue differ from another, as standard deviation over mean. */
  readonly stepCv: number;
  readonly dayCv: number;
  readonly windowCv: number;
  /** Time that the glue gives over the catalogue's. */
  readonly window: number;
}

/** One glue-up to be worked. */
export interface Day {
  readonly id: string;
  readonly buildId: string;
  readonly startedAtMs: number;
  readonly seed: number;
  readonly session?: number;
  /** Promised, where it was worked out. */
  readonly likely?: number | null;
  readonly people?: readonly string[];
  /** Held up by something that nobody noted, with this many times the minutes. */
  readonly heldUp?: number;
}

/** A run as it was worked, and whether every joint was closed and pressed while its glue was open. */
export interface Worked {
  readonly run: RunDocument;
  readonly kept: boolean;
}

const MINUTE_MS = 60_000;
/** Glue is tacky from this share of its time on. */
const TACKY_FROM = 0.85;

/**
 * Works a session of a plan step by step as somebody would whose pace, scatter and glue are known, and notes what such a person notes:
 * every step, and how the glue was at the closest joint. The same for its seed.
 */
export function workedBy(truth: Truth, plan: Plan, day: Day): Worked {
  const random = scatterFrom(day.seed);
  const script = benchScript(plan, day.session ?? 0);
  const promise = {
    ...promiseOf(plan, day.session ?? 0),
    likely: day.likely ?? null,
    ...(day.people === undefined ? {} : { people: [...day.people] }),
  };
  const today = logNormal(random, truth.dayCv)() * (day.heldUp ?? 1);
  const stretch = truth.window * logNormal(random, truth.windowCv)();
  const scattered = logNormal(random, truth.stepCv);
  const minutesOf = ({ kind, startMin, endMin, wait }: ScriptOperation): number => {
    const waitMin = wait?.min ?? 0;
    const work = workOf(kind) ?? 'check';
    const planned = promise.paces?.find((pace) => pace.work === work)?.factor ?? 1;
    const workMin = ((endMin - startMin - waitMin) / planned) * truth.pace[work];
    return waitMin + workMin * today * scattered();
  };
  const ends = new Map<string, number>();
  const begins = new Map<string, number>();
  const steps = script.operations.filter((operation) => !comesLater(operation));
  for (const operation of [...steps].sort((a, b) => a.startMin - b.startMin || a.endMin - b.endMin)) {
    const begin = Math.max(0, ...operation.after.map((id) => ends.get(id) ?? 0));
    begins.set(operation.id, begin);
    ends.set(operation.id, begin + minutesOf(operation));
  }
  const { factor, open, closed: shut, total } = promise.window ?? { factor: 1, open: 1, closed: 1, total: 1 };
  const gives = (min: number) => (min / factor) * stretch;
  const shares = script.fuses.map(({ lit, closed, holds, openMin, closedMin, totalMin }) => {
    const [litMin, closedAtMin] = [begins.get(lit) ?? 0, ends.get(closed) ?? 0];
    const outMin = Math.max(...holds.map((id) => ends.get(id) ?? 0));
    return Math.max(
      (closedAtMin - litMin) / gives(openMin * open),
      (outMin - closedAtMin) / gives(closedMin * shut),
      (outMin - litMin) / gives(totalMin * total),
    );
  });
  const most = Math.max(0, ...shares);
  const how: ClosedAs = most > 1 ? 'skinned' : most > TACKY_FROM ? 'tacky' : 'wet';
  const at = (min: number) => Math.round(day.startedAtMs + min * MINUTE_MS);
  const inTurn = [...ends].sort(([, a], [, b]) => a - b);
  const lastMs = at(Math.max(0, ...ends.values()));
  const run: RunDocument = {
    format: 'lean-clasp/run',
    version: 2,
    id: day.id,
    buildId: day.buildId,
    buildName: plan.build.name,
    buildRevision: null,
    session: day.session ?? 0,
    piece: 0,
    startedAtMs: day.startedAtMs,
    script,
    promise,
    events: numbered([
      ...inTurn.map(([operation, min]) => ({ kind: 'done' as const, operation, atMs: at(min) })),
      { kind: 'finish', atMs: lastMs },
    ]),
  };
  const joint = closestJoint(run);
  const told: Telling[] =
    joint === null ? [] : [{ kind: 'note', joint, atMs: lastMs, payload: { closed: how } }];
  return { run: withEvents(run, told), kept: most <= 1 };
}

/** An event before it is numbered. */
export type Telling = Omit<RunEvent, 'id' | 'device' | 'seq' | 'hand'>;

/** A run with more told afterwards, on the same page. */
export const withEvents = (run: RunDocument, told: readonly Telling[]): RunDocument => ({
  ...run,
  events: [...run.events, ...numbered(told, run.events.length)],
});

/** Events as one page would have noted them. */
const numbered = (events: readonly Telling[], from = 0): RunEvent[] =>
  events.map((event, i) => ({
    id: `bench-${from + i}`,
    device: 'bench',
    seq: from + i,
    hand: 0,
    ...event,
  }));

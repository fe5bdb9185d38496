import type { RunEvent } from '../formats';
import { inOrder } from '../runs';
import { type BenchScript, byPlan, comesLater, type ScriptOperation } from './script';

/** Where a run stands, worked out from its events alone, so that a reload loses nothing and every device sees the same. */
export interface RunPosition {
  /** Operations that are done, and when each was. */
  readonly done: ReadonlyMap<string, number>;
  /** When each could be begun: all before it were done. Those that still wait are not in it. */
  readonly begunAtMs: ReadonlyMap<string, number>;
  /** Joints left for a session of their own, with what was to be done to them alone. */
  readonly leftOut: ReadonlySet<string>;
  /** Waits that were cut short, and when. */
  readonly waitOver: ReadonlyMap<string, number>;
  /** What is on show: ready, and the first to be done by the plan. Null once everything in the session is. */
  readonly showing: ScriptOperation | null;
  /** The same for each pair of hands; null for who has nothing left to do, or has to wait. */
  readonly lanes: readonly (ScriptOperation | null)[];
  /** What comes after that, by the plan, of all hands; waits of hours left out. */
  readonly upcoming: readonly ScriptOperation[];
  /** The last that was done, for going back; null before the first. */
  readonly last: string | null;
  readonly doneCount: number;
  readonly count: number;
}

interface Happened {
  readonly done: Map<string, number>;
  readonly leftOut: Set<string>;
  readonly waitOver: Map<string, number>;
  /** When a joint was pulled apart and begun afresh. */
  readonly freshAtMs: Map<string, number>;
}

/** Replays the events of a run. What is done is done, whoever did it; a fresh bead undoes all that was done to its joint. */
export function positionOf(
  script: BenchScript,
  startedAtMs: number,
  events: readonly RunEvent[],
): RunPosition {
  const { done, leftOut, waitOver, freshAtMs } = happened(script, events);
  const within = script.operations.filter((operation) => !isLeftOut(operation, leftOut));
  const names = new Set(within.map(({ id }) => id));
  const begunAtMs = new Map<string, number>();
  for (const { id, after, joints } of within) {
    const needed = after.filter((each) => names.has(each));
    if (!needed.every((each) => done.has(each))) continue;
    const fresh = joints.flatMap((joint) => freshAtMs.get(joint) ?? []);
    begunAtMs.set(
      id,
      Math.max(startedAtMs, ...needed.map((each) => done.get(each) ?? startedAtMs), ...fresh),
    );
  }
  const session = within.filter((operation) => !comesLater(operation));
  const left = session.filter(({ id }) => !done.has(id));
  const ready = left.filter(({ id }) => begunAtMs.has(id)).sort(byPlan);
  const showing = ready[0] ?? null;
  const handsAt = Math.max(0, ...within.flatMap(({ hands }) => hands)) + 1;
  return {
    done,
    begunAtMs,
    leftOut,
    waitOver,
    showing,
    lanes: Array.from(
      { length: handsAt },
      (_, hand) => ready.find(({ hands }) => hands.includes(hand)) ?? null,
    ),
    upcoming: left.filter(({ id }) => id !== showing?.id).sort(byPlan),
    last: lastOf(done, session),
    doneCount: session.length - left.length,
    count: session.length,
  };
}

function happened(script: BenchScript, events: readonly RunEvent[]): Happened {
  const now: Happened = { done: new Map(), leftOut: new Set(), waitOver: new Map(), freshAtMs: new Map() };
  for (const { kind, operation, joint, atMs } of inOrder(events)) {
    if (operation !== undefined) {
      if (kind === 'done' && !now.done.has(operation)) now.done.set(operation, atMs);
      if (kind === 'back') {
        now.done.delete(operation);
        now.waitOver.delete(operation);
      }
      if (kind === 'wait-over') now.waitOver.set(operation, atMs);
    }
    if (joint !== undefined) {
      if (kind === 'left-out') now.leftOut.add(joint);
      if (kind === 'fresh-bead') {
        now.freshAtMs.set(joint, atMs);
        for (const { joint: each, holds } of script.fuses) {
          if (each === joint) for (const held of holds) now.done.delete(held);
        }
      }
    }
  }
  return now;
}

/** Whether an operation concerns nothing but joints that are left for later. */
export const isLeftOut = (
  { joints }: Pick<ScriptOperation, 'joints'>,
  leftOut: ReadonlySet<string>,
): boolean => joints.length > 0 && joints.every((joint) => leftOut.has(joint));

function lastOf(done: ReadonlyMap<string, number>, session: readonly ScriptOperation[]): string | null {
  const own = session.filter(({ id }) => done.has(id));
  const [last] = own.sort((a, b) => (done.get(b.id) ?? 0) - (done.get(a.id) ?? 0) || byPlan(b, a));
  return last?.id ?? null;
}

const MS_PER_MIN = 60_000;

/** A wait that is not over yet: until when. Null for what can be done at once, or is not its turn. */
export function waitsUntilMs({ id, wait }: ScriptOperation, position: RunPosition): number | null {
  const begun = position.begunAtMs.get(id);
  if (wait === null || begun === undefined || position.waitOver.has(id)) return null;
  return begun + wait.min * MS_PER_MIN;
}

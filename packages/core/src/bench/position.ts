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
  /** Places in an order that was put in the plan's stead; empty where none was. */
  readonly order: ReadonlyMap<string, Place>;
  /** What is left, in its turn, by whoever's hands it is done now. */
  readonly left: readonly ScriptOperation[];
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

/** A place in an order, and whose hands are at it. */
interface Place {
  readonly place: number;
  readonly hands: readonly number[];
}

interface Happened {
  readonly done: Map<string, number>;
  readonly leftOut: Set<string>;
  readonly waitOver: Map<string, number>;
  order: ReadonlyMap<string, Place>;
  orderAtMs: number;
  /** When a joint was pulled apart and begun afresh. */
  readonly freshAtMs: Map<string, number>;
  /** Every time that each was done, also what was pulled apart since. */
  readonly everDone: Map<string, number[]>;
}

/** Replays the events of a run. What is done is done, whoever did it; a fresh bead undoes all that was done to its joint. */
export function positionOf(
  script: BenchScript,
  startedAtMs: number,
  events: readonly RunEvent[],
): RunPosition {
  const now = happened(script, events);
  const { done, leftOut, waitOver, order } = now;
  const within = script.operations
    .filter((operation) => !isLeftOut(operation, leftOut))
    .map((operation) => {
      const hands = order.get(operation.id)?.hands;
      return hands === undefined ? operation : { ...operation, hands: [...hands] };
    });
  const begunAtMs = begun(script, within, startedAtMs, now);
  const session = within.filter((operation) => !comesLater(operation));
  const left = session.filter(({ id }) => !done.has(id)).sort(inTurn({ order }));
  const ready = left.filter(({ id }) => begunAtMs.has(id));
  const showing = ready[0] ?? null;
  const handsAt = Math.max(0, ...within.flatMap(({ hands }) => hands)) + 1;
  return {
    done,
    begunAtMs,
    leftOut,
    waitOver,
    order,
    left,
    showing,
    lanes: Array.from(
      { length: handsAt },
      (_, hand) => ready.find(({ hands }) => hands.includes(hand)) ?? null,
    ),
    upcoming: left.filter(({ id }) => id !== showing?.id),
    last: lastOf(done, session),
    doneCount: session.length - left.length,
    count: session.length,
  };
}

/** Events of one answer are noted within so long of each other, ms. */
const SAME_BREATH_MS = 1000;

/** When each operation could be begun; those that still wait are left out. */
function begun(
  script: BenchScript,
  within: readonly ScriptOperation[],
  startedAtMs: number,
  { done, everDone, freshAtMs, order, orderAtMs }: Happened,
): Map<string, number> {
  const known = new Map(within.map((operation) => [operation.id, operation]));
  const beads = new Set(script.fuses.map(({ lit }) => lit));
  const lastFreshMs = Math.max(-Infinity, ...freshAtMs.values());
  /** When an operation was last done by an instant, also where that was pulled apart since. */
  const doneBy = (id: string, atMs: number) => everDone.get(id)?.findLast((each) => each <= atMs);
  /** When the last of several was done by an instant; undefined where one was not. */
  const allBy = (ids: readonly string[], atMs: number): number | undefined =>
    ids.reduce<number | undefined>((latest, id) => {
      const each = doneBy(id, atMs);
      return latest === undefined || each === undefined ? undefined : Math.max(latest, each);
    }, startedAtMs);
  const found = new Map<string, number>();
  for (const { id, after, joints } of within) {
    const planned = after.filter((each) => known.has(each));
    const freshMs = Math.max(-Infinity, ...joints.flatMap((joint) => freshAtMs.get(joint) ?? []));
    // What had been begun by then is begun; what is pulled apart in the same breath is not.
    const moved =
      order.has(id) &&
      (allBy(planned, orderAtMs) === undefined || Math.abs(orderAtMs - freshMs) < SAME_BREATH_MS);
    const needed = moved ? neededInOrder(id, planned, order, known) : planned;
    const doneAt = done.get(id);
    const standing = needed.every((each) => done.has(each));
    // What is done was begun, whatever of what came before it was pulled apart since; so was a bead that was being laid then.
    const wasLaidMs = standing
      ? allBy(needed, Infinity)
      : beads.has(id)
        ? allBy(needed, lastFreshMs)
        : undefined;
    const readyMs = doneAt === undefined ? wasLaidMs : (allBy(needed, doneAt) ?? startedAtMs);
    if (readyMs === undefined) continue;
    found.set(id, Math.max(readyMs, moved ? orderAtMs : startedAtMs, freshMs));
  }
  return found;
}

function happened(script: BenchScript, events: readonly RunEvent[]): Happened {
  const now: Happened = {
    done: new Map(),
    leftOut: new Set(),
    waitOver: new Map(),
    freshAtMs: new Map(),
    everDone: new Map(),
    order: new Map(),
    orderAtMs: -Infinity,
  };
  for (const { kind, operation, joint, payload, atMs } of inOrder(events)) {
    if (kind === 'order') {
      now.order = new Map(payload?.order?.map(({ operation: id, hands }, place) => [id, { place, hands }]));
      now.orderAtMs = atMs;
    }
    if (operation !== undefined) {
      if (kind === 'done' && !now.done.has(operation)) {
        now.done.set(operation, atMs);
        now.everDone.set(operation, [...(now.everDone.get(operation) ?? []), atMs]);
      }
      if (kind === 'back') {
        now.done.delete(operation);
        now.everDone.get(operation)?.pop();
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

/**
 * What must be done before an operation of an order that took the plan's place: what it waited for, as far as that does not come later
 * now, and what the same hands are at before it, so that no bead counts as laid while they are busy.
 */
function neededInOrder(
  id: string,
  planned: readonly string[],
  order: ReadonlyMap<string, Place>,
  operations: ReadonlyMap<string, ScriptOperation>,
): string[] {
  const place = order.get(id)?.place ?? 0;
  const hands = operations.get(id)?.hands ?? [];
  const kept = planned.filter((each) => (order.get(each)?.place ?? -1) < place);
  const [before] = [...order]
    .filter(
      ([each, at]) => at.place < place && operations.get(each)?.hands.some((hand) => hands.includes(hand)),
    )
    .sort(([, a], [, b]) => b.place - a.place);
  return before === undefined ? kept : [...kept, before[0]];
}

/** By the order that was put in the plan's stead, what is not in it last; by the plan where there is none. */
const inTurn =
  ({ order }: Pick<RunPosition, 'order'>) =>
  (one: ScriptOperation, other: ScriptOperation): number => {
    const [a, b] = [order.get(one.id)?.place, order.get(other.id)?.place];
    if (a === b) return byPlan(one, other);
    return (a ?? Infinity) - (b ?? Infinity);
  };

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

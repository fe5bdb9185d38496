import { isLeftOut, type RunPosition } from './position';
import { type BenchScript, comesLater, type Fuse, type ScriptOperation } from './script';

/** What is left of a session at some instant, and who is there to do it. */
export interface Moment {
  readonly script: BenchScript;
  readonly position: RunPosition;
  readonly nowMs: number;
  /** Pairs of hands, 1 or more. */
  readonly people: number;
  /** Minutes that the one at the device is kept from going on. */
  readonly delayMin?: number;
  /** Joints that are pulled apart now and begun afresh. */
  readonly afresh?: readonly string[];
  /** Joints that are left for a session of their own. */
  readonly without?: readonly string[];
}

/** How the rest comes out in one order. */
export interface Outlook {
  /** Ids of what is left, in the order in which it is begun. */
  readonly order: readonly string[];
  /** Least that any fuse has to spare, negative when one is missed, min; null where none burns any more. */
  readonly spareMin: number | null;
  /** Joint of that fuse, by name. */
  readonly joint: string | null;
  /** From now until all is done. */
  readonly leftMin: number;
}

const MS_PER_MIN = 60_000;
/** Least share of its minutes that what was begun still takes, however long ago that was [judgement]. */
const STILL = 0.25;

interface Task {
  readonly id: string;
  readonly waitMin: number;
  readonly workMin: number;
  readonly hands: number;
  /** Tasks that must be done before, by their places, and those that need only have been begun. */
  readonly needs: readonly number[];
  readonly follows: readonly number[];
  /** Fuses that burn until it is done, by their places. */
  readonly holds: readonly number[];
}

/** A fuse that burns or will, on a clock that starts now. */
interface Burning {
  readonly label: string;
  readonly fuse: Fuse;
  /** Minutes, or the place of the task that it begins with. */
  readonly lit: { readonly atMin: number } | { readonly task: number };
  readonly closed: { readonly atMin: number } | { readonly task: number };
  readonly holds: readonly number[];
}

interface Rest {
  readonly tasks: readonly Task[];
  readonly fuses: readonly Burning[];
  readonly people: number;
  readonly delayMin: number;
}

/** The rest as the plan has it: what ends first comes first. */
export const asPlanned = (moment: Moment): Outlook => {
  const rest = restOf(moment);
  return outlook(
    rest,
    rest.tasks.map((_, i) => i),
  );
};

/** States looked at before the best found so far is taken. */
const MOST_STEPS = 4000;
/** The same for many steps, each of which costs more: their product with the number of steps. */
const MOST_WORK = 40_000;

/**
 * The rest in the order that leaves the worst fuse the most to spare; the planned one where no other does better. Tried are all orders
 * that keep what is done to a joint, and all closings, in their sequence, each step begun as soon as hands are free: exhaustive as long
 * as `MOST_STEPS` last, best found beyond.
 */
export function bestOrder(moment: Moment): Outlook {
  const rest = restOf(moment);
  const { tasks } = rest;
  let best = outlook(
    rest,
    tasks.map((_, i) => i),
  );
  if (best.spareMin === null) return best;
  const clock = new Clock(rest);
  const most = Math.min(MOST_STEPS, MOST_WORK / Math.max(1, tasks.length));
  let steps = 0;
  const placed: number[] = [];
  const goOn = (): void => {
    steps += 1;
    if (placed.length === tasks.length) {
      const found = outlook(rest, placed);
      if ((found.spareMin ?? Infinity) > (best.spareMin ?? Infinity) + 1e-9) best = found;
      return;
    }
    for (let i = 0; i < tasks.length && steps <= most; i += 1) {
      if (!clock.isReady(i)) continue;
      const undo = clock.place(i);
      if (clock.mostSpare() > (best.spareMin ?? Infinity) + 1e-9) {
        placed.push(i);
        goOn();
        placed.pop();
      }
      undo();
    }
  };
  goOn();
  return best;
}

/** People's minutes, and when what has been given a place begins and ends; what was placed last can be taken back. */
class Clock {
  readonly starts: Float64Array;
  readonly ends: Float64Array;
  readonly #free: number[];
  /** By fuse: latest end of what holds it, and minutes of what holds it and has no place yet. */
  readonly #outMin: Float64Array;
  readonly #leftMin: Float64Array;
  /** By task: how many that come before have no place yet, and which come after it. */
  readonly #waits: Int32Array;
  readonly #next: readonly (readonly number[])[];

  constructor(readonly rest: Rest) {
    const { tasks, fuses, people, delayMin } = rest;
    this.starts = new Float64Array(tasks.length).fill(NaN);
    this.ends = new Float64Array(tasks.length).fill(NaN);
    this.#free = Array.from({ length: people }, (_, hand) => (hand === 0 ? delayMin : 0));
    this.#outMin = new Float64Array(fuses.length);
    this.#waits = Int32Array.from(tasks, ({ needs, follows }) => needs.length + follows.length);
    const next: number[][] = tasks.map(() => []);
    tasks.forEach(({ needs, follows }, i) => {
      for (const earlier of [...needs, ...follows]) next[earlier]?.push(i);
    });
    this.#next = next;
    this.#leftMin = Float64Array.from(fuses, ({ holds }) =>
      holds.reduce((sum, held) => sum + (tasks[held]?.workMin ?? 0), 0),
    );
  }

  isReady(i: number): boolean {
    return Number.isNaN(this.ends[i]) && this.#waits[i] === 0;
  }

  /** Begins a task as soon as what it needs is done and hands are free; answers with what takes it back. */
  place(i: number): () => void {
    const { hands = 1, needs = [], waitMin = 0, workMin = 0, holds = [] } = this.rest.tasks[i] ?? {};
    const before = [...this.#free];
    const first = before
      .map((minute, hand) => ({ minute, hand }))
      .sort((a, b) => a.minute - b.minute || a.hand - b.hand)
      .slice(0, Math.min(hands, before.length));
    let start = 0;
    for (const need of needs) start = Math.max(start, this.ends[need] ?? 0);
    for (const { minute } of first) start = Math.max(start, minute);
    const end = start + waitMin + workMin;
    for (const { hand } of first) this.#free[hand] = end;
    this.starts[i] = start;
    this.ends[i] = end;
    this.#count(i, -1);
    const outs = holds.map((fuse) => this.#outMin[fuse] ?? 0);
    for (const fuse of holds) {
      this.#outMin[fuse] = Math.max(this.#outMin[fuse] ?? 0, end);
      this.#leftMin[fuse] = (this.#leftMin[fuse] ?? 0) - workMin;
    }
    return () => {
      before.forEach((minute, hand) => {
        this.#free[hand] = minute;
      });
      this.starts[i] = NaN;
      this.ends[i] = NaN;
      this.#count(i, 1);
      holds.forEach((fuse, k) => {
        this.#outMin[fuse] = outs[k] ?? 0;
        this.#leftMin[fuse] = (this.#leftMin[fuse] ?? 0) + workMin;
      });
    };
  }

  #count(i: number, by: number): void {
    for (const later of this.#next[i] ?? []) this.#waits[later] = (this.#waits[later] ?? 0) + by;
  }

  /** More than any fuse can have to spare, whatever comes next: what has no place yet takes its minutes from when hands are free. */
  mostSpare(): number {
    const { fuses, people } = this.rest;
    const soonest = Math.min(...this.#free);
    let most = Infinity;
    fuses.forEach((burning, i) => {
      const { fuse, lit, closed } = burning;
      const litMin = 'task' in lit ? (this.starts[lit.task] ?? NaN) : lit.atMin;
      if (Number.isNaN(litMin)) return;
      const closedMin = 'task' in closed ? (this.ends[closed.task] ?? NaN) : closed.atMin;
      const leftMin = this.#leftMin[i] ?? 0;
      const least = leftMin > 1e-9 ? soonest + leftMin / people : 0;
      const outMin = Math.max(this.#outMin[i] ?? 0, least);
      most = Math.min(most, fuse.totalMin - (outMin - litMin));
      if ('task' in closed) {
        const soon = Number.isNaN(closedMin) ? soonest : closedMin;
        most = Math.min(most, fuse.openMin - (soon - litMin));
      }
      if (!Number.isNaN(closedMin)) most = Math.min(most, fuse.closedMin - (outMin - closedMin));
    });
    return most;
  }

  /** Least that is left of the windows of a fuse once all is in its place. */
  spareOf({ fuse, lit, closed }: Burning, i: number): number {
    const litMin = 'task' in lit ? (this.starts[lit.task] ?? 0) : lit.atMin;
    const closedMin = 'task' in closed ? (this.ends[closed.task] ?? 0) : closed.atMin;
    const outMin = Math.max(closedMin, this.#outMin[i] ?? 0);
    return Math.min(
      'task' in closed ? fuse.openMin - (closedMin - litMin) : Infinity,
      fuse.closedMin - (outMin - closedMin),
      fuse.totalMin - (outMin - litMin),
    );
  }
}

function outlook(rest: Rest, order: readonly number[]): Outlook {
  const clock = new Clock(rest);
  for (const i of order) clock.place(i);
  const spares = rest.fuses.map((fuse, i) => ({ label: fuse.label, spareMin: clock.spareOf(fuse, i) }));
  const least = spares.reduce<(typeof spares)[number] | null>(
    (worst, each) => (worst === null || each.spareMin < worst.spareMin ? each : worst),
    null,
  );
  const startOf = (i: number): number => clock.starts[i] ?? 0;
  return {
    order: [...order].sort((a, b) => startOf(a) - startOf(b)).flatMap((i) => rest.tasks[i]?.id ?? []),
    spareMin: least?.spareMin ?? null,
    joint: least?.label ?? null,
    leftMin: Math.max(0, ...clock.ends),
  };
}

function restOf({ script, position, nowMs, people, delayMin = 0, afresh = [], without = [] }: Moment): Rest {
  const gone = new Set([...position.leftOut, ...without]);
  const again = new Set(
    script.fuses.filter(({ joint }) => afresh.includes(joint)).flatMap(({ holds }) => holds),
  );
  const left = script.operations
    .filter((operation) => !comesLater(operation) && !isLeftOut(operation, gone))
    .filter(({ id }) => again.has(id) || !position.done.has(id))
    .sort((a, b) => a.endMin - b.endMin || a.startMin - b.startMin);
  const at = new Map(left.map(({ id }, i) => [id, i]));
  const minutesOf = (ms: number) => (ms - nowMs) / MS_PER_MIN;
  const drafts = left.map((operation, i): Omit<Task, 'holds'> => {
    const { id, startMin, endMin, wait, hands } = operation;
    const begunMs = again.has(id) ? undefined : position.begunAtMs.get(id);
    const passedMin = begunMs === undefined ? 0 : -minutesOf(begunMs);
    const planned = wait?.min ?? 0;
    const waitMin = position.waitOver.has(id) ? 0 : Math.max(0, planned - passedMin);
    const workMin = endMin - startMin - planned;
    const workedMin = Math.max(0, passedMin - planned);
    return {
      id,
      waitMin,
      workMin: Math.max(STILL * workMin, workMin - workedMin),
      hands: hands.length,
      needs: earlierThan(left, i, 'ended'),
      follows: earlierThan(left, i, 'begun'),
    };
  });
  const fuses = script.fuses.flatMap((fuse): Burning[] => {
    const holds = fuse.holds.flatMap((id) => at.get(id) ?? []);
    if (gone.has(fuse.joint) || holds.length === 0) return [];
    const begun = position.begunAtMs.get(fuse.lit);
    const [lit, closed] = [at.get(fuse.lit), at.get(fuse.closed)];
    const burns = begun !== undefined && !again.has(fuse.lit);
    return [
      {
        label: fuse.label,
        fuse,
        lit: burns ? { atMin: minutesOf(begun) } : { task: lit ?? 0 },
        closed:
          closed === undefined
            ? { atMin: minutesOf(position.done.get(fuse.closed) ?? nowMs) }
            : { task: closed },
        holds,
      },
    ];
  });
  const tasks = drafts.map((draft, i): Task => ({
    ...draft,
    holds: fuses.flatMap(({ holds }, fuse) => (holds.includes(i) ? [fuse] : [])),
  }));
  return { tasks, fuses, people, delayMin };
}

/** Places of what must have been ended, or begun, before an operation is. */
const earlierThan = (left: readonly ScriptOperation[], i: number, wanted: 'ended' | 'begun'): number[] =>
  left.slice(0, i).flatMap((earlier, k) => (before(earlier, left[i]) === wanted ? [k] : []));

const share = (few: ScriptOperation, many: ScriptOperation): boolean =>
  few.joints.some((joint) => many.joints.includes(joint));

/** What two people do at once, on the same joints. */
const AT_ONCE: readonly string[] = ['caul', 'set-clamp', 'tighten', 'tape', 'wrap'];
const setting = (kind: string): string => (kind === 'tighten' ? 'tighten' : 'set');

/**
 * What must have become of an operation before another begins. What is done to a joint keeps its sequence, and so do closings: one part
 * may close another in. Clamps are set, and then tightened, in their sequence but by all hands at once. What names no joint is for all.
 */
function before(one: ScriptOperation, other: ScriptOperation | undefined): 'ended' | 'begun' | null {
  if (other === undefined) return null;
  const concerned =
    one.joints.length === 0 ||
    other.joints.length === 0 ||
    (one.kind === 'close' && other.kind === 'close') ||
    (one.joints.length <= other.joints.length ? share(one, other) : share(other, one));
  if (!concerned) return null;
  const atOnce =
    AT_ONCE.includes(one.kind) && AT_ONCE.includes(other.kind) && setting(one.kind) === setting(other.kind);
  return atOnce || one.endMin > other.startMin + 1e-6 ? 'begun' : 'ended';
}

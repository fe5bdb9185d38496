import { isLeftOut, type RunPosition } from './position';
import { type BenchScript, type Fuse, type ScriptOperation, stepsOfSession } from './script';

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

const MS_PER_MIN = 60_000;
/** Least share of its minutes that what was begun still takes, however long ago that was [judgement]. */
const STILL = 0.25;

/** A step that is left, with what it waits for. */
export interface Task {
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
export interface Burning {
  readonly label: string;
  readonly fuse: Fuse;
  /** Minutes, or the place of the task that it begins with. */
  readonly lit: { readonly atMin: number } | { readonly task: number };
  readonly closed: { readonly atMin: number } | { readonly task: number };
  readonly holds: readonly number[];
}

/** All that is left, on a clock that starts now. */
export interface Rest {
  readonly tasks: readonly Task[];
  readonly fuses: readonly Burning[];
  readonly people: number;
  readonly delayMin: number;
}

/** What is left of a session at a moment. */
export function restOf({
  script,
  position,
  nowMs,
  people,
  delayMin = 0,
  afresh = [],
  without = [],
}: Moment): Rest {
  const gone = new Set([...position.leftOut, ...without]);
  const again = new Set(
    script.fuses.filter(({ joint }) => afresh.includes(joint)).flatMap(({ holds }) => holds),
  );
  const left = stepsOfSession(script)
    .filter((operation) => !isLeftOut(operation, gone))
    .filter(({ id }) => again.has(id) || !position.done.has(id));
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

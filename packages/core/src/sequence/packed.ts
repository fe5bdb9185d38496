import { fewestBins } from './bins';
import { clampsFor, type SequenceProblem } from './problem';

/** Joints up to which it is looked for; more are arranged in good time without it. */
const MOST_JOINTS = 40;
/** Places tried for joints in all; beyond, nothing more is told. */
const MOST_STEPS = 60_000;

/** Joints of one session, and their clamps in the order of the rack's kinds. */
interface Packed {
  readonly joints: readonly number[];
  readonly clamps: readonly number[];
}

/**
 * Fewest sessions into which all joints go by their clamps alone, whatever hands, windows and the order of parts have to say: clamps stay on
 * until their session is over: what is known as packing bins. Where every press has joints of its own it is worked out exactly; else each
 * joint is tried in every session that still has clamps for it, those that want most first, by depth-first search.
 * @param from A number that is known to be the least so far; nothing below it is tried.
 * @returns `from`, or more where that many are shown not to do.
 */
export function fewestPacked(problem: SequenceProblem, from: number): number {
  const { rack, joints, presses } = problem;
  if (rack === null || joints.length > MOST_JOINTS) return from;
  const kinds = Object.keys(rack);
  const there = kinds.map((kind) => rack[kind] ?? Infinity);
  const countsOf = (set: readonly number[]): number[] => {
    const counts = clampsFor(problem, set);
    return kinds.map((kind) => counts[kind] ?? 0);
  };
  const fitsOnRack = (clamps: readonly number[]) =>
    clamps.every((count, k) => count <= (there[k] ?? Infinity));
  const alone = joints.map((_, joint) => countsOf([joint]));
  const isApart = presses.every((press) => press.joints.length === 1);
  if (isApart && alone.every(fitsOnRack)) {
    const exactly = fewestBins(alone, there);
    if (exactly !== null) return Math.max(from, exactly);
  }
  const shareOf = (joint: number) =>
    Math.max(
      0,
      ...(alone[joint] ?? []).map((count, k) => (count === 0 ? 0 : count / (there[k] ?? Infinity))),
    );
  const hungriest = joints
    .map((_, joint) => ({ joint, share: shareOf(joint) }))
    .sort((a, b) => b.share - a.share || a.joint - b.joint)
    .map(({ joint }) => joint);
  /** A session with one joint more; null where clamps run out. */
  const fuller = (session: Packed, joint: number): Packed | null => {
    const all = [...session.joints, joint];
    const clamps = isApart
      ? session.clamps.map((count, k) => count + (alone[joint]?.[k] ?? 0))
      : countsOf(all);
    return fitsOnRack(clamps) ? { joints: all, clamps } : null;
  };
  const empty: Packed = { joints: [], clamps: kinds.map(() => 0) };
  let steps = 0;
  /** Whether the joints from one on find places beside those that have theirs; true as well where the steps ran out. */
  const goIn = (sessions: readonly Packed[], next: number, most: number): boolean => {
    const joint = hungriest[next];
    if (joint === undefined) return true;
    // Of empty sessions one is tried: the others are like it.
    const open = sessions.length < most ? [...sessions, empty] : sessions;
    for (const [i, session] of open.entries()) {
      steps += 1;
      if (steps > MOST_STEPS) return true;
      const more = fuller(session, joint);
      if (more !== null && goIn(open.with(i, more), next + 1, most)) return true;
    }
    return false;
  };
  let least = from;
  while (least < joints.length && !goIn([], 0, least)) least += 1;
  return least;
}

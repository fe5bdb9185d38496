import type { Merge } from './merge';
import { pressMinutes, type SequenceProblem } from './problem';

/** One stretch of work that is not interrupted. */
export interface Work {
  readonly kind: 'spread' | 'close' | 'clamp';
  readonly joints: readonly number[];
  readonly minutes: number;
  /** Pairs of hands it takes all the while. */
  readonly hands: number;
}

/** The end of one work may not come later than so long after the start (or the end) of another. */
export interface TimeLimit {
  readonly from: number;
  readonly fromEnd: boolean;
  readonly to: number;
  readonly windowMin: number;
}

/** Works with what must come before what, and the windows that run between them. Numbers are indexes of works. */
export interface Job {
  readonly works: readonly Work[];
  /** The first ends before the second starts. */
  readonly before: readonly (readonly [number, number])[];
  readonly limits: readonly TimeLimit[];
}

/** Spreading, closing and clamping of merges of one session, children before parents. */
export function jobOf(problem: SequenceProblem, merges: readonly Merge[]): Job {
  const works: Work[] = [];
  const before: [number, number][] = [];
  const closeOf = new Map<Merge, number>();
  const spreadOfJoint = new Map<number, number>();
  const closeOfJoint = new Map<number, number>();
  for (const merge of merges) {
    const spreads = merge.joints.map((joint) => {
      spreadOfJoint.set(joint, works.length);
      const minutes = problem.joints[joint]?.spreadMin ?? 0;
      return works.push({ kind: 'spread', joints: [joint], minutes, hands: 1 }) - 1;
    });
    const closed = merge.joints.flatMap((joint) => problem.joints[joint] ?? []);
    const close =
      works.push({
        kind: 'close',
        joints: merge.joints,
        minutes: Math.max(...closed.map(({ closeMin }) => closeMin)),
        hands: Math.max(...closed.map(({ hands }) => hands)),
      }) - 1;
    closeOf.set(merge, close);
    for (const joint of merge.joints) closeOfJoint.set(joint, close);
    before.push(...spreads.map((spread): [number, number] => [spread, close]));
    for (const child of merge.children) {
      const earlier = closeOf.get(child);
      if (earlier !== undefined) before.push([earlier, close]);
    }
  }
  const limits: TimeLimit[] = [];
  const { openMin, closedMin, totalMin } = problem.windows;
  for (const press of problem.presses) {
    const joints = press.joints.filter((joint) => closeOfJoint.has(joint));
    if (joints.length === 0) continue;
    const minutes = pressMinutes(press, joints.length);
    const clamp = works.push({ kind: 'clamp', joints, minutes, hands: press.hands }) - 1;
    for (const joint of joints) {
      const spread = spreadOfJoint.get(joint) ?? 0;
      const close = closeOfJoint.get(joint) ?? 0;
      before.push([close, clamp]);
      limits.push(
        { from: spread, fromEnd: false, to: close, windowMin: openMin },
        { from: close, fromEnd: true, to: clamp, windowMin: closedMin },
        { from: spread, fromEnd: false, to: clamp, windowMin: totalMin },
      );
    }
  }
  return { works, before, limits };
}

/** Greatest share of its window that any limit uses up, for given starts. */
export function usedShare({ works, limits }: Job, startMin: readonly number[]): number {
  return limits.reduce((worst, { from, fromEnd, to, windowMin }) => {
    const begin = (startMin[from] ?? 0) + (fromEnd ? (works[from]?.minutes ?? 0) : 0);
    return Math.max(worst, ((startMin[to] ?? 0) + (works[to]?.minutes ?? 0) - begin) / windowMin);
  }, 0);
}

/** First start to last end, min. */
export function spanOf({ works }: Job, startMin: readonly number[]): number {
  if (works.length === 0) return 0;
  return Math.max(...works.map(({ minutes }, i) => (startMin[i] ?? 0) + minutes)) - Math.min(...startMin);
}

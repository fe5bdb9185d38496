import { clampsFor, type SequenceProblem } from './problem';

/** Joints up to which it is looked for; more are arranged in good time without it. */
const MOST_JOINTS = 60;
/** Sets looked at; beyond, the largest so far stands, which is one all the same. */
const MOST_STEPS = 20_000;

/**
 * Joints no two of which find clamps in one session, as many as there are: each of them wants a session of its own, since clamps stay on
 * until theirs is over. A largest set of joints that rule each other out, found by branch and bound.
 */
export function neverTogether(problem: SequenceProblem): readonly number[] {
  const { rack, joints } = problem;
  if (rack === null || joints.length > MOST_JOINTS) return [];
  const alone = joints.map((_, joint) => clampsFor(problem, [joint]));
  const isOver = (counts: Readonly<Record<string, number>>) =>
    Object.entries(counts).some(([kind, count]) => count > (rack[kind] ?? Infinity));
  const ruledOut = joints.map((_, one) =>
    joints.map((_, other) => {
      if (one === other) return false;
      const [a = {}, b = {}] = [alone[one], alone[other]];
      const sum = Object.fromEntries(Object.keys(a).map((kind) => [kind, (a[kind] ?? 0) + (b[kind] ?? 0)]));
      // A press over both may do with fewer than two that are apart, never with more.
      return isOver(sum) && isOver(clampsFor(problem, [one, other]));
    }),
  );
  let best: readonly number[] = [];
  let steps = 0;
  const grow = (chosen: readonly number[], left: readonly number[]): void => {
    steps += 1;
    if (chosen.length > best.length) best = chosen;
    for (const [i, joint] of left.entries()) {
      if (chosen.length + left.length - i <= best.length || steps > MOST_STEPS) return;
      grow(
        [...chosen, joint],
        left.slice(i + 1).filter((other) => ruledOut[joint]?.[other] === true),
      );
    }
  };
  const degree = (joint: number) => ruledOut[joint]?.filter(Boolean).length ?? 0;
  const byDegree = joints.map((_, joint) => joint).sort((a, b) => degree(b) - degree(a) || a - b);
  grow([], byDegree);
  return best;
}

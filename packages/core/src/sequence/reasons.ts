import { SHARE_EPS } from './best-timing';
import { finding, type FindingOf } from '../findings';
import { shortOf, type SequenceProblem } from './problem';
import type { BlockTimer } from './block-timer';
import { connectedPieces, splitsOf } from './splits';

/** Why joints can never be made. */
export type ImpossibleCode =
  'captive' | 'closed-already' | 'too-few-clamps' | 'too-few-hands' | 'window-too-short' | 'pins-contradict';

/** Why joints can never be made, and which. */
export type Impossible = FindingOf<ImpossibleCode> & { readonly joints: readonly number[] };

/** Joints that cannot be made even alone: for want of hands, clamps or time. */
export function impossibleAlone(problem: SequenceProblem, timer: BlockTimer): Impossible[] {
  return problem.joints.flatMap((joint, i): Impossible[] => {
    const why = (found: FindingOf<ImpossibleCode>): Impossible[] => [{ ...found, joints: [i] }];
    if (joint.hands > problem.crew) return why(finding('too-few-hands', 'refuses'));
    const [kind] = shortOf(problem, [i]);
    if (kind !== undefined)
      return why(finding('too-few-clamps', 'refuses', { kind, there: problem.rack?.[kind] ?? 0 }));
    const used = usedBy(timer, [i]);
    return used > 1 + SHARE_EPS ? why(finding('window-too-short', 'refuses', { usedShare: used })) : [];
  });
}

/** Share of the tightest window that joints use when they close together, with all hands at it. */
export function usedBy(timer: BlockTimer, joints: readonly number[]): number {
  return timer([{ joints, children: [] }])?.usedShare ?? Infinity;
}

/**
 * The smallest set of parts found that cannot be put together. Whatever can be taken apart in good order can be so
 * without some of its parts, too; so a set is shrunk part by part while it stays impossible.
 * @param possible Whether a set of connected parts can be made.
 */
export function smallestHeld(
  problem: SequenceProblem,
  parts: readonly number[],
  possible: (parts: readonly number[]) => boolean,
): readonly number[] {
  let core = parts;
  for (let shrunk = true; shrunk;) {
    shrunk = false;
    for (const part of core) {
      const rest = core.filter((other) => other !== part);
      const pieces = connectedPieces(problem, rest, jointsAmong(problem, rest));
      const held = pieces.find((piece) => piece.length > 1 && !possible(piece));
      if (held === undefined) continue;
      core = held;
      shrunk = true;
      break;
    }
  }
  return core;
}

/** Why a set of parts cannot be put together, and the joints that stand in the way. */
export function whyHeld(problem: SequenceProblem, core: readonly number[], timer: BlockTimer): Impossible {
  const splits = splitsOf(problem, core);
  const joints = jointsAmong(problem, core);
  if (splits.length === 0) return { ...finding('captive', 'refuses', { parts: core.length }), joints };
  const cheapest = splits.reduce((a, b) => (usedBy(timer, b.joints) < usedBy(timer, a.joints) ? b : a));
  const [kind] = shortOf(problem, cheapest.joints);
  if (kind !== undefined) {
    return {
      ...finding('too-few-clamps', 'refuses', { kind, there: problem.rack?.[kind] ?? 0 }),
      joints: cheapest.joints,
    };
  }
  return {
    ...finding('window-too-short', 'refuses', { usedShare: usedBy(timer, cheapest.joints) }),
    joints: cheapest.joints,
  };
}

/** Joints both of whose parts are among some parts. */
function jointsAmong(problem: SequenceProblem, parts: readonly number[]): number[] {
  const inside = new Set(parts);
  return problem.joints.flatMap(({ a, b }, i) => (inside.has(a) && inside.has(b) ? [i] : []));
}

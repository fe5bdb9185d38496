import { finding } from '../findings';
import { type BlockTimer, roughTimer } from './block-timer';
import { closingTree, splitter } from './closing-tree';
import { subAssemblies } from './forests';
import { inOrder, type Merge } from './merge';
import { pressMinutes, type RunsInto, type SequenceProblem } from './problem';
import { type Impossible, smallestHeld, whyHeld } from './reasons';
import { sessionLaidOut, type SessionPlan } from './session-plan';
import { connectedPieces } from './splits';

/** Sessions as a person wants them, laid out in time, or what stands in the way of the first that cannot be. */
export type GivenSessions =
  | { readonly kind: 'laid-out'; readonly sessions: readonly SessionPlan[] }
  | { readonly kind: 'impossible'; readonly session: number; readonly why: Impossible };

/**
 * Lays out sessions whose joints are given: finds an order of closing in each, from the sub-assemblies that the
 * sessions before have made. Windows may be overrun, and clamps run short; verdicts tell.
 */
export function givenSessions(
  problem: SequenceProblem,
  sessions: readonly (readonly number[])[],
): GivenSessions {
  const laid: SessionPlan[] = [];
  const made = new Set<number>();
  for (const [session, joints] of sessions.entries()) {
    const reduced = reducedProblem(problem, made, joints);
    const late = reduced.joints.flatMap(({ a, b }, i) => (a === b ? [joints[i] ?? 0] : []));
    if (late.length > 0) {
      return { kind: 'impossible', session, why: { ...finding('closed-already', 'refuses'), joints: late } };
    }
    const found = treesOf(reduced);
    if ('code' in found) {
      const why = { ...found, joints: found.joints.map((i) => joints[i] ?? 0) };
      return { kind: 'impossible', session, why };
    }
    laid.push(renamed(sessionLaidOut(reduced, found.trees.flatMap(inOrder), found.timer), joints));
    for (const joint of joints) made.add(joint);
  }
  return { kind: 'laid-out', sessions: laid };
}

/** The joints of one session between sub-assemblies that earlier ones have made. */
function reducedProblem(
  problem: SequenceProblem,
  made: ReadonlySet<number>,
  joints: readonly number[],
): SequenceProblem {
  const whole = subAssemblies(problem, (joint) => made.has(joint));
  return {
    ...problem,
    runsInto: runsIntoOf(problem, whole),
    joints: joints.flatMap((i) => {
      const joint = problem.joints[i];
      return joint === undefined
        ? []
        : [{ ...joint, a: whole[joint.a] ?? joint.a, b: whole[joint.b] ?? joint.b }];
    }),
    presses: problem.presses.flatMap((press) => {
      const own = press.joints.flatMap((joint) => (joints.includes(joint) ? [joints.indexOf(joint)] : []));
      if (own.length === 0) return [];
      return [{ ...press, joints: own, clampMin: pressMinutes(press, own.length), whole: true }];
    }),
    pins: joints.map(() => null),
  };
}

/** What parts of a sub-assembly run into, their sub-assembly does. */
function runsIntoOf({ parts, runsInto }: SequenceProblem, whole: readonly number[]): RunsInto | null {
  if (runsInto === null) return null;
  const joined = new Int32Array(parts * parts);
  for (let b = 0; b < parts; b += 1) {
    for (let c = 0; c < parts; c += 1) {
      const at = (whole[b] ?? b) * parts + (whole[c] ?? c);
      joined[at] = (joined[at] ?? 0) | (runsInto[b * parts + c] ?? 0);
    }
  }
  return joined;
}

function treesOf(
  problem: SequenceProblem,
): { readonly trees: readonly Merge[]; readonly timer: BlockTimer } | Impossible {
  const timer = roughTimer(problem);
  // Any split will do here, also one that overruns its windows.
  const splits = splitter(problem);
  const all = problem.joints.map((_, i) => i);
  const parts = [...new Set(problem.joints.flatMap(({ a, b }) => [a, b]))].sort((x, y) => x - y);
  const trees: Merge[] = [];
  for (const piece of connectedPieces(problem, parts, all)) {
    const tree = closingTree(piece, splits, timer);
    if (tree === null) {
      const possible = (some: readonly number[]) => closingTree(some, splits, timer) !== null;
      return whyHeld(problem, smallestHeld(problem, piece, possible), timer);
    }
    trees.push(tree);
  }
  return { trees, timer };
}

/** A session of a reduced problem with the joints' own numbers again. */
function renamed(plan: SessionPlan, joints: readonly number[]): SessionPlan {
  const copies = new Map<Merge, Merge>();
  const merges = plan.merges.map((merge) => {
    const copy: Merge = {
      joints: merge.joints.map((i) => joints[i] ?? 0),
      children: merge.children.flatMap((child) => copies.get(child) ?? []),
    };
    copies.set(merge, copy);
    return copy;
  });
  const rename = (list: readonly number[]) => list.map((i) => joints[i] ?? 0);
  const works = plan.job.works.map((work) => ({ ...work, joints: rename(work.joints) }));
  return { ...plan, merges, job: { ...plan.job, works } };
}

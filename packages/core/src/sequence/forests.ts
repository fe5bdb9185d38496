import type { SequenceProblem } from './problem';
import type { Merge } from './merge';
import { seenFromOther, EVERY_WAY } from './ways-out';

/** A set of joints as bits of one number; thirty joints at most. */
export type JointSet = number;

/** Indexes in a set of joints. */
export function listOf(set: JointSet): number[] {
  const list: number[] = [];
  for (let i = 0, rest = set; rest !== 0; i += 1, rest >>>= 1) if (rest & 1) list.push(i);
  return list;
}

/** Sub-assembly of each part once these joints are made; parts of one have the same number. */
export function subAssemblies(problem: SequenceProblem, made: (joint: number) => boolean): number[] {
  const of = Array.from({ length: problem.parts }, (_, i) => i);
  const root = (part: number): number => {
    let at = part;
    while ((of[at] ?? at) !== at) at = of[at] ?? at;
    return at;
  };
  problem.joints.forEach(({ a, b }, i) => {
    if (made(i)) of[root(a)] = root(b);
  });
  return of.map((_, part) => root(part));
}

/** Ways in which one sub-assembly can leave another: over all joints between them, past all parts of both. */
export function sharedWays(
  problem: SequenceProblem,
  joints: readonly number[],
  isFrom: (part: number) => boolean,
  from: readonly number[],
  to: readonly number[],
): number {
  let ways = EVERY_WAY;
  for (const i of joints) {
    const joint = problem.joints[i];
    if (joint !== undefined) ways &= isFrom(joint.a) ? joint.ways : seenFromOther(joint.ways);
    if (ways === 0) return 0;
  }
  const { runsInto, parts } = problem;
  if (runsInto === null) return ways;
  for (const b of to) {
    for (const c of from) ways &= ~(runsInto[b * parts + c] ?? 0);
    if (ways === 0) return 0;
  }
  return ways;
}

/**
 * All sets of closings that lead from one state to another in one session, as forests of merges. States are sets
 * of made joints. Only merges whose joints share a way in and that `allows` lets through.
 */
export function forestsBetween(
  problem: SequenceProblem,
  from: JointSet,
  to: JointSet,
  allows: (joints: readonly number[]) => boolean,
): Merge[][] {
  const before = subAssemblies(problem, (joint) => ((from >> joint) & 1) === 1);
  const after = subAssemblies(problem, (joint) => ((to >> joint) & 1) === 1);
  const groups = new Map<number, Set<number>>();
  for (const [part, whole] of after.entries()) {
    const pieces = groups.get(whole) ?? new Set<number>();
    groups.set(whole, pieces.add(before[part] ?? part));
  }
  const added = listOf(to & ~from);
  let forests: Merge[][] = [[]];
  for (const pieces of groups.values()) {
    if (pieces.size < 2) continue;
    const trees = treesOver(problem, [...pieces], before, added, allows);
    forests = forests.flatMap((forest) => trees.map((tree) => [...forest, tree]));
  }
  return forests;
}

/** All ways of bringing pieces together, two at a time. */
function treesOver(
  problem: SequenceProblem,
  pieces: readonly number[],
  pieceOf: readonly number[],
  joints: readonly number[],
  allows: (joints: readonly number[]) => boolean,
): Merge[] {
  const ends = joints.map((joint) => {
    const { a = 0, b = 0 } = problem.joints[joint] ?? {};
    return { joint, a: 1 << pieces.indexOf(pieceOf[a] ?? -1), b: 1 << pieces.indexOf(pieceOf[b] ?? -1) };
  });
  const parts = pieceOf.map((_, part) => part);
  const known = new Map<number, readonly Merge[]>();
  const trees = (set: number): readonly Merge[] => {
    const ready = known.get(set);
    if (ready !== undefined) return ready;
    const lowest = set & -set;
    const found: Merge[] = [];
    // Every split of the set into the half with the lowest piece and the rest.
    for (let other = (set - 1) & set; other > 0; other = (other - 1) & set) {
      if (other & lowest) continue;
      const own = set & ~other;
      const between = ends.filter(({ a, b }) => (a & own && b & other) || (b & own && a & other));
      if (between.length === 0) continue;
      const crossing = between.map(({ joint }) => joint);
      const isIn = (half: number) => (part: number) =>
        ((1 << pieces.indexOf(pieceOf[part] ?? -1)) & half) !== 0;
      const partsIn = (half: number) => parts.filter(isIn(half));
      const ways = sharedWays(problem, crossing, isIn(own), partsIn(own), partsIn(other));
      if (ways === 0 || !allows(crossing)) continue;
      const halves = [own, other].map((half) => ((half & (half - 1)) === 0 ? [null] : trees(half)));
      for (const left of halves[0] ?? []) {
        for (const right of halves[1] ?? []) {
          found.push({ joints: crossing, children: [left, right].filter((child) => child !== null) });
        }
      }
    }
    known.set(set, found);
    return found;
  };
  return [...trees((1 << pieces.length) - 1)];
}

import { remembered } from '../basics/remembered';
import type { SequenceProblem } from './problem';
import { MOST_JOINTS_TO_PROVE } from './sequence-effort';
import { isOpen, PartGraph, type Split, splitsOf } from './splits';

/** Ways of taking a sub-assembly apart, and whether these are all there are. */
export interface Splits {
  readonly splits: readonly Split[];
  readonly complete: boolean;
}

/** Parts up to which a set of them is bits of one number. */
const MOST_PARTS = 30;
/** Sets looked at where there are more joints than anything is proven of: densely joined parts have thousands. */
const SETS_WITHOUT_PROOF = 300;

/** Assemblies whose ways of coming apart are kept: most edits change minutes, not what is joined to what. */
const MOST_REMEMBERED = 3;

/** All that it depends on how an assembly comes apart. */
interface Structure extends Pick<SequenceProblem, 'runsInto'> {
  readonly joints: readonly unknown[];
  readonly most: number;
}

const knownOf = remembered<Structure, Map<string, Splits>>(() => new Map(), MOST_REMEMBERED);

/** `everySplit` for one assembly and the parts asked about, each set of them worked out once as long as nothing is joined otherwise. */
export function everySplitOf(
  problem: SequenceProblem,
  ways: readonly number[],
  most: number,
): (parts: readonly number[]) => Splits {
  const joints = problem.joints.map(({ a, b, ways: own }) => [a, b, own]);
  const known = knownOf({ joints, runsInto: problem.runsInto, most });
  return (parts) => {
    const key = parts.join(',');
    const splits = known.get(key) ?? everySplit(problem, parts, ways, most);
    known.set(key, splits);
    return splits;
  };
}

/**
 * All ways of taking connected parts apart into two halves that hang together and have a way out of each other; where
 * there are more sets to look at than `most`, those along the blocking graphs and their unions instead.
 *
 * Sets are grown from the first part, at each step with the next neighbour or without it; those left out have to stay
 * connected with each other outside the set, or the rest can never hang together.
 */
export function everySplit(
  problem: SequenceProblem,
  parts: readonly number[],
  ways: readonly number[],
  most: number,
): Splits {
  const sets = problem.joints.length > MOST_JOINTS_TO_PROVE ? Math.min(most, SETS_WITHOUT_PROOF) : most;
  const found = parts.length > MOST_PARTS ? null : connectedHalves(problem, parts, sets);
  if (found === null) return { splits: splitsOf(problem, parts, ways), complete: false };
  return {
    splits: found.filter((split) => isOpen(problem, split)),
    complete: true,
  };
}

/** Every way of cutting connected parts into two connected halves; null where more than `most` sets are looked at. */
function connectedHalves(problem: SequenceProblem, parts: readonly number[], most: number): Split[] | null {
  const { ends } = new PartGraph(problem, parts);
  const near = parts.map(() => 0);
  for (const { i, k } of ends) {
    near[i] = (near[i] ?? 0) | (1 << k);
    near[k] = (near[k] ?? 0) | (1 << i);
  }
  const all = 2 ** parts.length - 1;
  const around = (set: number) => {
    let sum = 0;
    for (let rest = set; rest !== 0; rest &= rest - 1) sum |= near[31 - Math.clz32(rest & -rest)] ?? 0;
    return sum & ~set;
  };
  /** All of `within` that hangs together with the lowest of `from`. */
  const piece = (from: number, within: number) => {
    let reached = from & -from;
    for (;;) {
      const next = reached | (around(reached) & within);
      if (next === reached) return reached;
      reached = next;
    }
  };
  const splits: Split[] = [];
  let looked = 0;
  const grow = (set: number, without: number): boolean => {
    looked += 1;
    if (looked > most) return false;
    const rest = all & ~set;
    if (rest === 0) return true;
    const own = piece(without === 0 ? rest : without, rest);
    if ((without & ~own) !== 0) return true;
    if (own === rest) splits.push(splitAt(set, rest));
    const next = around(set) & ~without;
    if (next === 0) return true;
    const one = next & -next;
    return grow(set | one, without) && growWithout(set, without | one);
  };
  /** Goes on with the same set, one neighbour left out, without counting it as a half again. */
  const growWithout = (set: number, without: number): boolean => {
    const rest = all & ~set;
    if ((without & ~piece(without, rest)) !== 0) return true;
    const next = around(set) & ~without;
    if (next === 0) return true;
    const one = next & -next;
    return grow(set | one, without) && growWithout(set, without | one);
  };
  const splitAt = (set: number, rest: number): Split => ({
    joints: ends.flatMap(({ joint, i, k }) => (((set >> i) & 1) !== ((set >> k) & 1) ? [joint] : [])),
    halves: [partsIn(set), partsIn(rest)],
  });
  const partsIn = (set: number) => parts.filter((_, i) => ((set >> i) & 1) === 1);
  return grow(1, 0) ? splits : null;
}

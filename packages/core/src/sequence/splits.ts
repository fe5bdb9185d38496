import type { SequenceProblem } from './problem';
import { sharedWays } from './forests';
import { leaves, opposite, WAYS } from './ways-out';

/** A way of taking a sub-assembly apart in two, read backwards: what is brought together last. */
export interface Split {
  /** Joints between the halves. */
  readonly joints: readonly number[];
  /** Parts of the halves; both hang together. */
  readonly halves: readonly [readonly number[], readonly number[]];
}

/** Moving sets of one direction up to which two are also taken together; the pairs grow with the square of them. */
const MOST_TO_UNITE = 24;

/**
 * Ways of taking a connected sub-assembly apart along one of the 26 directions: for each direction, each part
 * with all that has to move along with it, two of them together, and each connected piece that is then left over
 * or taken off. These are not all closed sets there are, but if there is any way of taking it apart, there is one
 * among them: every set that can move holds the followers of each of its parts.
 *
 * Source: directional blocking graphs.
 */
export function splitsOf(
  problem: SequenceProblem,
  parts: readonly number[],
  ways: readonly number[] = waysToTry(problem),
): Split[] {
  const piece = new PartGraph(problem, parts);
  // By the places of one half; null where the other falls apart or nothing comes off.
  const found = new Map<string, Split | null>();
  const reached = new Set<string>();
  const take = (moving: Uint8Array) => {
    const key = String.fromCharCode(...moving);
    if (reached.has(key)) return;
    reached.add(key);
    for (const places of [...piece.piecesWith(moving, 1), ...piece.piecesWith(moving, 0)]) {
      const name = places.join(',');
      if (found.has(name)) continue;
      const split = piece.splitAt(places);
      // A piece of what moves together may run into the rest of it when it moves alone.
      const open = split !== null && (problem.runsInto === null || isOpen(problem, split));
      found.set(name, open ? split : null);
    }
  };
  for (const way of ways) {
    const follows = followers(problem, piece, way);
    const movings = new Map<string, Uint8Array>();
    parts.forEach((_, i) => {
      const moving = closure(follows, i);
      if (moving.includes(0)) movings.set(String.fromCharCode(...moving), moving);
    });
    const own = [...movings.values()];
    for (const moving of own) take(moving);
    if (own.length > MOST_TO_UNITE) continue;
    own.forEach((one, i) => {
      for (const other of own.slice(i + 1)) take(one.map((is, k) => is | (other[k] ?? 0)));
    });
  }
  const byJoints = new Map<string, Split>();
  for (const split of found.values()) if (split !== null) byJoints.set(split.joints.join(','), split);
  return [...byJoints.values()];
}

/** Directions that block differently; many block the same, and one of those is enough. */
export function waysToTry(problem: SequenceProblem): number[] {
  const { joints, runsInto } = problem;
  const seen = new Map<string, number>();
  for (let way = 0; way < WAYS; way += 1) {
    const byJoints = joints.map((_, i) => blockedBy(problem, i, way)).join('');
    const byParts =
      runsInto === null ? '' : Array.from(runsInto, (ways) => (leaves(ways, way) ? 1 : 0)).join('');
    const pattern = `${byJoints}|${byParts}`;
    if (!seen.has(pattern)) seen.set(pattern, way);
  }
  return [...seen.values()];
}

/** Whether the halves have a way out of each other. */
export function isOpen(problem: SequenceProblem, { joints, halves: [rest, piece] }: Split): boolean {
  const from = new Set(rest);
  return sharedWays(problem, joints, (part) => from.has(part), rest, piece) !== 0;
}

/** Which way round a joint keeps its parts together along a direction: 0 not, 1 b pushes a, 2 a pushes b, 3 both. */
function blockedBy(problem: SequenceProblem, i: number, way: number): number {
  const ways = problem.joints[i]?.ways ?? 0;
  return (leaves(ways, way) ? 0 : 1) + (leaves(ways, opposite(way)) ? 0 : 2);
}

/** For a direction: which parts, by their place in the piece, a part pushes along when it moves that way. */
function followers(problem: SequenceProblem, piece: PartGraph, way: number): number[][] {
  const follows = piece.parts.map((): number[] => []);
  for (const { joint, i, k } of piece.ends) {
    const blocked = blockedBy(problem, joint, way);
    if (blocked & 1) follows[k]?.push(i);
    if (blocked & 2) follows[i]?.push(k);
  }
  const { runsInto, parts } = problem;
  if (runsInto === null) return follows;
  piece.parts.forEach((b, i) => {
    piece.parts.forEach((c, k) => {
      if (leaves(runsInto[b * parts + c] ?? 0, way)) follows[i]?.push(k);
    });
  });
  return follows;
}

function closure(follows: readonly (readonly number[])[], part: number): Uint8Array {
  const moving = new Uint8Array(follows.length);
  moving[part] = 1;
  const open = [part];
  for (const one of open) {
    for (const other of follows[one] ?? []) {
      if (moving[other] === 1) continue;
      moving[other] = 1;
      open.push(other);
    }
  }
  return moving;
}

/** Parts and the joints among them, by their places in a list. */
export class PartGraph {
  readonly ends: readonly { readonly joint: number; readonly i: number; readonly k: number }[];
  private readonly near: readonly number[][];

  constructor(
    problem: SequenceProblem,
    readonly parts: readonly number[],
    joints: readonly number[] = problem.joints.map((_, i) => i),
  ) {
    const at = new Map(parts.map((part, i) => [part, i]));
    this.ends = joints.flatMap((joint) => {
      const { a = -1, b = -1 } = problem.joints[joint] ?? {};
      const [i, k] = [at.get(a), at.get(b)];
      return i === undefined || k === undefined ? [] : [{ joint, i, k }];
    });
    this.near = parts.map(() => []);
    for (const { i, k } of this.ends) {
      this.near[i]?.push(k);
      this.near[k]?.push(i);
    }
  }

  /** Places of parts that hang together, out of those with this flag. */
  piecesWith(flags: Uint8Array, flag: number): number[][] {
    const seen = new Uint8Array(flags.length);
    const pieces: number[][] = [];
    flags.forEach((is, first) => {
      if (is !== flag || seen[first] === 1) return;
      seen[first] = 1;
      const piece = [first];
      for (const one of piece) {
        for (const other of this.near[one] ?? []) {
          if (flags[other] !== flag || seen[other] === 1) continue;
          seen[other] = 1;
          piece.push(other);
        }
      }
      pieces.push(piece.sort((x, y) => x - y));
    });
    return pieces;
  }

  /** One piece taken off the rest; null where the rest falls apart. */
  splitAt(places: readonly number[]): Split | null {
    const own = new Uint8Array(this.parts.length);
    for (const i of places) own[i] = 1;
    const [rest, another] = this.piecesWith(own, 0);
    if (rest === undefined || another !== undefined) return null;
    return {
      joints: this.ends.flatMap(({ joint, i, k }) => (own[i] === own[k] ? [] : [joint])),
      halves: [this.named(rest), this.named(places)],
    };
  }

  named(places: readonly number[]): number[] {
    return places.map((i) => this.parts[i] ?? 0);
  }
}

/** Parts that hang together over some joints. */
export function connectedPieces(
  problem: SequenceProblem,
  parts: readonly number[],
  joints: readonly number[],
): number[][] {
  const graph = new PartGraph(problem, parts, joints);
  return graph
    .piecesWith(new Uint8Array(parts.length), 0)
    .map((piece) => graph.named(piece).sort((x, y) => x - y));
}

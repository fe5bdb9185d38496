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

/** A joint seen from one of its parts. */
interface Neighbour {
  readonly part: number;
  readonly joint: number;
}

/**
 * Ways of taking a connected sub-assembly apart along one of the 26 directions: for each direction, each part
 * with all that has to move along with it, and each connected piece that is then left over or taken off. These
 * are not all closed sets there are, but if there is any way of taking it apart, there is one among them: every
 * set that can move holds the followers of each of its parts.
 *
 * Source: directional blocking graphs.
 */
export function splitsOf(
  problem: SequenceProblem,
  parts: readonly number[],
  ways: readonly number[] = waysToTry(problem),
): Split[] {
  const inside = new Set(parts);
  const joints = problem.joints.flatMap(({ a, b }, i) => (inside.has(a) && inside.has(b) ? [i] : []));
  const neighbours = neighboursOf(problem, joints);
  const found = new Map<string, Split>();
  const reached = new Set<string>();
  for (const way of ways) {
    const follows = followers(problem, joints, parts, way);
    for (const part of parts) {
      const moving = closure(follows, part);
      if (moving.size === parts.length) continue;
      const key = [...moving].sort((x, y) => x - y).join(',');
      if (reached.has(key)) continue;
      reached.add(key);
      for (const split of connectedSplits(parts, neighbours, moving)) {
        // A piece of what moves together may run into the rest of it when it moves alone.
        if (isOpen(problem, split)) found.set(split.joints.join(','), split);
      }
    }
  }
  return [...found.values()];
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

function isOpen(problem: SequenceProblem, { joints, halves: [rest, piece] }: Split): boolean {
  if (problem.runsInto === null) return true;
  const [from, to] = [new Set(rest), new Set(piece)];
  return (
    sharedWays(
      problem,
      joints,
      (part) => from.has(part),
      (part) => to.has(part),
    ) !== 0
  );
}

/** Which way round a joint keeps its parts together along a direction: 0 not, 1 b pushes a, 2 a pushes b, 3 both. */
function blockedBy(problem: SequenceProblem, i: number, way: number): number {
  const ways = problem.joints[i]?.ways ?? 0;
  return (leaves(ways, way) ? 0 : 1) + (leaves(ways, opposite(way)) ? 0 : 2);
}

/** For a direction: which parts a part pushes along when it moves that way. */
function followers(
  problem: SequenceProblem,
  joints: readonly number[],
  parts: readonly number[],
  way: number,
): Map<number, number[]> {
  const follows = new Map<number, number[]>();
  const push = (from: number, to: number) => {
    const others = follows.get(from);
    if (others === undefined) follows.set(from, [to]);
    else others.push(to);
  };
  for (const i of joints) {
    const { a = 0, b = 0 } = problem.joints[i] ?? {};
    const blocked = blockedBy(problem, i, way);
    if (blocked & 1) push(b, a);
    if (blocked & 2) push(a, b);
  }
  const { runsInto } = problem;
  if (runsInto === null) return follows;
  for (const b of parts) {
    for (const c of parts) if (leaves(runsInto[b * problem.parts + c] ?? 0, way)) push(b, c);
  }
  return follows;
}

function closure(follows: ReadonlyMap<number, readonly number[]>, part: number): Set<number> {
  const moving = new Set([part]);
  for (const one of moving) for (const other of follows.get(one) ?? []) moving.add(other);
  return moving;
}

/** Splits into two connected halves that a moving set gives: its own pieces, and the pieces it leaves behind. */
function connectedSplits(
  parts: readonly number[],
  neighbours: ReadonlyMap<number, readonly Neighbour[]>,
  moving: ReadonlySet<number>,
): Split[] {
  const staying = parts.filter((part) => !moving.has(part));
  const pieces = [...piecesOf([...moving], neighbours), ...piecesOf(staying, neighbours)];
  return pieces.flatMap((piece) => {
    const own = new Set(piece);
    const rest = parts.filter((part) => !own.has(part));
    if (rest.length === 0 || !hangTogether(rest, neighbours)) return [];
    const between = piece.flatMap((part) =>
      (neighbours.get(part) ?? []).flatMap((other) => (own.has(other.part) ? [] : [other.joint])),
    );
    return [{ joints: between.sort((x, y) => x - y), halves: [rest, piece] as const }];
  });
}

function neighboursOf(problem: SequenceProblem, joints: readonly number[]): Map<number, Neighbour[]> {
  const neighbours = new Map<number, Neighbour[]>();
  const add = (part: number, neighbour: Neighbour) => {
    const others = neighbours.get(part);
    if (others === undefined) neighbours.set(part, [neighbour]);
    else others.push(neighbour);
  };
  for (const joint of joints) {
    const { a = 0, b = 0 } = problem.joints[joint] ?? {};
    add(a, { part: b, joint });
    add(b, { part: a, joint });
  }
  return neighbours;
}

function hangTogether(
  parts: readonly number[],
  neighbours: ReadonlyMap<number, readonly Neighbour[]>,
): boolean {
  const left = new Set(parts);
  const reached = parts.slice(0, 1);
  for (const one of reached) {
    left.delete(one);
    for (const other of neighbours.get(one) ?? []) if (left.delete(other.part)) reached.push(other.part);
  }
  return left.size === 0;
}

/** Parts that hang together over some joints. */
export function connectedPieces(
  problem: SequenceProblem,
  parts: readonly number[],
  joints: readonly number[],
): number[][] {
  return piecesOf(parts, neighboursOf(problem, joints));
}

function piecesOf(
  parts: readonly number[],
  neighbours: ReadonlyMap<number, readonly Neighbour[]>,
): number[][] {
  const left = new Set(parts);
  const pieces: number[][] = [];
  for (const part of parts) {
    if (!left.delete(part)) continue;
    const piece = [part];
    for (const one of piece) {
      for (const other of neighbours.get(one) ?? []) if (left.delete(other.part)) piece.push(other.part);
    }
    pieces.push(piece.sort((x, y) => x - y));
  }
  return pieces;
}

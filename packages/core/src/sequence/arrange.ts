import { SHARE_EPS } from './best-timing';
import { closingTree, type Splitter } from './closing-tree';
import { blocksOf, inOrder, type Merge } from './merge';
import { type SequenceProblem, shortOf } from './problem';
import type { BlockTimer } from './block-timer';
import { blocksUnder, packBlocks, type SessionPlan } from './session-plan';
import { connectedPieces } from './splits';

/**
 * One attempt at a whole arrangement: a tree of closings, cut into sessions as early as clamps, windows and pins
 * allow, with the windows as even over the sessions as that number of them lets them be.
 * @returns null where the parts cannot be put together this way.
 */
export function arrangeOnce(
  problem: SequenceProblem,
  splits: Splitter,
  timer: BlockTimer,
  noise: number,
  random: () => number,
): SessionPlan[] | null {
  const all = problem.joints.map((_, i) => i);
  const parts = Array.from({ length: problem.parts }, (_, i) => i);
  const trees: Merge[] = [];
  for (const piece of connectedPieces(problem, parts, all)) {
    if (piece.length < 2) continue;
    const tree = closingTree(piece, splits, timer, noise, random);
    if (tree === null) return null;
    trees.push(tree);
  }
  const merges = trees.flatMap((tree) => inOrder(noise > 0 ? shuffled(tree, random) : tree));
  const cut = cutIntoSessions(problem, merges, timer, 1 + SHARE_EPS);
  if (cut === null) return null;
  const sessions = evened(problem, merges, timer, cut);
  return sessions.map((session) => sessionLaidOut(problem, session, timer));
}

function shuffled(merge: Merge, random: () => number): Merge {
  const children = merge.children.map((child) => shuffled(child, random));
  return { joints: merge.joints, children: random() < 0.5 ? children : children.reverse() };
}

/** Each closing goes into the first session that its sub-assemblies, clamps, windows and pin allow. */
function cutIntoSessions(
  problem: SequenceProblem,
  merges: readonly Merge[],
  timer: BlockTimer,
  limit: number,
): Merge[][] | null {
  const sessions: Merge[][] = [];
  const sessionOf = new Map<Merge, number>();
  for (const merge of merges) {
    const earliest = Math.max(0, ...merge.children.map((child) => sessionOf.get(child) ?? 0));
    const pins = new Set(merge.joints.flatMap((joint) => problem.pins[joint] ?? []));
    if (pins.size > 1) return null;
    const [pin] = pins;
    const last = pin ?? sessions.length;
    let at = pin ?? earliest;
    if (at < earliest) return null;
    while (at < last && !fitsIn(problem, sessions[at] ?? [], merge, sessionOf, at, timer, limit)) at += 1;
    const full = sessions[at];
    if (full !== undefined && pin !== undefined) {
      if (!fitsIn(problem, full, merge, sessionOf, at, timer, limit)) return null;
    }
    while (sessions.length <= at) sessions.push([]);
    sessions[at]?.push(merge);
    sessionOf.set(merge, at);
  }
  if (sessions.some((session) => session.length === 0)) return null;
  return sessions.map((session, s) => ownChildren(session, sessionOf, s));
}

function fitsIn(
  problem: SequenceProblem,
  session: readonly Merge[],
  merge: Merge,
  sessionOf: ReadonlyMap<Merge, number>,
  at: number,
  timer: BlockTimer,
  limit: number,
): boolean {
  const together = [...session, merge];
  const joints = together.flatMap((each) => each.joints);
  if (shortOf(problem, joints).length > 0) return false;
  const trial = ownChildren(together, new Map([...sessionOf, [merge, at]]), at);
  const added = trial[trial.length - 1];
  const block = blocksOf(problem, trial).find((list) => added !== undefined && list.includes(added));
  return block !== undefined && timer(block, limit) !== null;
}

/** The merges of one session with only those children that belong to it. */
function ownChildren(session: readonly Merge[], sessionOf: ReadonlyMap<Merge, number>, at: number): Merge[] {
  const own = new Map<Merge, Merge>();
  return session.map((merge) => {
    const children = merge.children
      .filter((child) => sessionOf.get(child) === at)
      .flatMap((child) => own.get(child) ?? []);
    const copy = { joints: merge.joints, children };
    own.set(merge, copy);
    return copy;
  });
}

/** The same number of sessions with a lower worst share, by halving the share that is allowed. */
function evened(
  problem: SequenceProblem,
  merges: readonly Merge[],
  timer: BlockTimer,
  cut: Merge[][],
): Merge[][] {
  // Where each closing has clamps of its own, sessions do not change what it uses.
  if (problem.presses.every(({ joints }) => joints.length === 1)) return cut;
  let best = cut;
  let [low, high] = [0, Math.max(...cut.map((session) => worstOf(problem, session, timer)))];
  for (let i = 0; i < 8 && high - low > 0.01; i += 1) {
    const middle = (low + high) / 2;
    const tried = cutIntoSessions(problem, merges, timer, middle);
    const worst =
      tried === null ? Infinity : Math.max(...tried.map((session) => worstOf(problem, session, timer)));
    if (tried !== null && tried.length <= best.length && worst <= middle) {
      best = tried;
      high = worst;
    } else {
      low = middle;
    }
  }
  return best;
}

function worstOf(problem: SequenceProblem, session: readonly Merge[], timer: BlockTimer): number {
  return Math.max(0, ...blocksOf(problem, session).map((block) => timer(block)?.usedShare ?? Infinity));
}

/** The closings of one session, children before parents, on the clock. */
export function sessionLaidOut(
  problem: SequenceProblem,
  session: readonly Merge[],
  timer: BlockTimer,
): SessionPlan {
  const roots = session.filter((merge) => !session.some(({ children }) => children.includes(merge)));
  const under = blocksUnder(problem, roots, timer, Infinity);
  return packBlocks(problem, under?.blocks ?? [], under?.timings ?? []);
}

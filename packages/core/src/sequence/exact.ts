import { SHARE_EPS } from './best-timing';
import type { Effort } from './clock-search';
import { forestsBetween, type JointSet, listOf, sharedWays, subAssemblies } from './forests';
import { type SequenceProblem, shortOf } from './problem';
import { blocksUnder, type SessionPlan, shortestSession } from './session-plan';
import { blockTimer } from './block-timer';
import { fitsTogether } from './closing-tree';

/** Sessions in order, and what of them is known to be the best there is. */
export interface Arrangement {
  readonly sessions: readonly SessionPlan[];
  /** No fewer sessions exist, and no gentler worst window. */
  readonly proven: boolean;
  /** Nor is there less hands-on time. */
  readonly handsOnProven: boolean;
}

/** What an arrangement comes to. */
interface Known {
  readonly sessions: number;
  readonly usedShare: number;
}

/**
 * The best arrangement, by going through all there are: fewest sessions, then the gentlest use of the tightest
 * window, then the least hands-on time.
 *
 * A state is the set of joints made so far; a session leads from one to another. States are worked through
 * session by session, so the first number of sessions that reaches the whole is the least. Then the gentlest
 * worst session over all chains of that many is found, then the shortest chain that is as gentle.
 * Range: up to thirty joints, which are bits of one number; meant for a handful.
 * @param known Sessions and share of an arrangement found otherwise; nothing worse is looked at.
 * @returns null where no number of sessions makes the whole.
 */
export function exactArrangement(
  problem: SequenceProblem,
  effort: { readonly margin: Effort; readonly handsOn: Effort },
  known: Known | null = null,
): Arrangement | null {
  const whole = 2 ** problem.joints.length - 1;
  const timer = blockTimer(problem, effort.margin);
  const allows = fitsTogether(problem, timer);
  const forests = remembered((from: JointSet, to: JointSet) => forestsBetween(problem, from, to, allows));
  const steps = sessionSteps(problem, allows);
  // Closings with clamps of their own never hinder each other; those that share clamps have to fit as a whole.
  const coupled = problem.presses.some(({ joints }) => joints.length > 1);
  const fits = remembered(
    (from: JointSet, to: JointSet) =>
      !coupled ||
      forests(from, to).some((forest) => blocksUnder(problem, forest, timer, 1 + 2 * SHARE_EPS) !== null),
  );
  const chains = fewestSessions(
    // The last session of as many as are known to do has to reach the whole.
    (from, session) =>
      steps(from, session).filter(
        (to) => (session + 1 !== known?.sessions || to === whole) && fits(from, to),
      ),
    whole,
  );
  if (chains === null) return null;
  const atMost = known?.sessions === chains.length ? known.usedShare : 1;
  // Gentlest chain of exactly that many sessions.
  let shares = new Map<JointSet, number>([[0, 0]]);
  for (const level of chains) {
    const next = new Map<JointSet, number>();
    for (const { from, to } of level) {
      const before = shares.get(from);
      if (before === undefined) continue;
      let share = next.get(to) ?? atMost + 2 * SHARE_EPS;
      for (const forest of forests(from, to)) {
        const under = blocksUnder(problem, forest, timer, share);
        if (under === null) continue;
        const worst = Math.max(before, under.usedShare);
        if (worst < share) {
          share = worst;
          next.set(to, worst);
        }
      }
    }
    shares = next;
  }
  const gentlest = shares.get(whole);
  if (gentlest === undefined) return null;
  const sessions = shortestChain(problem, chains, (from, to) =>
    shortestSession(problem, forests(from, to), timer, gentlest, effort.handsOn),
  );
  if (sessions === null) return null;
  return { sessions, proven: effort.margin.left > 0, handsOnProven: effort.handsOn.left > 0 };
}

interface Step {
  readonly from: JointSet;
  readonly to: JointSet;
}

function remembered<T>(find: (from: JointSet, to: JointSet) => T): (from: JointSet, to: JointSet) => T {
  const known = new Map<string, T>();
  return (from, to) => {
    const key = `${from}-${to}`;
    const ready = known.get(key);
    if (ready !== undefined) return ready;
    const found = find(from, to);
    known.set(key, found);
    return found;
  };
}

/** States that one session can lead to from a state, as far as ways in, clamps and pins allow. */
function sessionSteps(problem: SequenceProblem, allows: (joints: readonly number[]) => boolean) {
  return (from: JointSet, session: number): JointSet[] => {
    const reached = new Set<JointSet>([from]);
    const open = [from];
    for (let state = open.pop(); state !== undefined; state = open.pop()) {
      for (const joints of possibleMerges(problem, state)) {
        const next = joints.reduce((set, joint) => set | (1 << joint), state);
        if (reached.has(next) || shortOf(problem, listOf(next & ~from)).length > 0 || !allows(joints))
          continue;
        if (joints.some((joint) => (problem.pins[joint] ?? session) !== session)) continue;
        reached.add(next);
        open.push(next);
      }
    }
    reached.delete(from);
    return [...reached];
  };
}

/** Groups of joints that could be closed next. */
function possibleMerges(problem: SequenceProblem, state: JointSet): number[][] {
  const of = subAssemblies(problem, (joint) => ((state >> joint) & 1) === 1);
  const between = new Map<string, number[]>();
  problem.joints.forEach(({ a, b }, i) => {
    const [one = 0, other = 0] = [of[a], of[b]];
    if (one === other) return;
    const key = one < other ? `${one}-${other}` : `${other}-${one}`;
    between.set(key, [...(between.get(key) ?? []), i]);
  });
  return [...between].flatMap(([key, joints]) => {
    const [first, second] = key.split('-').map(Number);
    const partsOf = (piece: number | undefined) => of.flatMap((own, part) => (own === piece ? [part] : []));
    const ways = sharedWays(problem, joints, (part) => of[part] === first, partsOf(first), partsOf(second));
    return ways === 0 ? [] : [joints];
  });
}

/** Steps of each session that lie on a chain of the fewest sessions; null where none reaches the whole. */
function fewestSessions(
  steps: (from: JointSet, session: number) => JointSet[],
  whole: JointSet,
): Step[][] | null {
  const levels: Step[][] = [];
  let states = new Set<JointSet>([0]);
  // Every session makes a joint, so this ends.
  while (!states.has(whole)) {
    const session = levels.length;
    const level = [...states].flatMap((from) => steps(from, session).map((to) => ({ from, to })));
    if (level.length === 0) return null;
    states = new Set(level.map(({ to }) => to));
    levels.push(level);
  }
  // Only what leads to the whole.
  let wanted = new Set<JointSet>([whole]);
  for (let k = levels.length - 1; k >= 0; k -= 1) {
    levels[k] = (levels[k] ?? []).filter(({ to }) => wanted.has(to));
    wanted = new Set((levels[k] ?? []).map(({ from }) => from));
  }
  return levels;
}

interface Chain {
  readonly spanMin: number;
  readonly sessions: readonly SessionPlan[];
}

/** The chain with least hands-on time among those that are as gentle as can be. */
function shortestChain(
  problem: SequenceProblem,
  levels: readonly (readonly Step[])[],
  session: (from: JointSet, to: JointSet) => ReturnType<typeof shortestSession>,
): readonly SessionPlan[] | null {
  let chains = new Map<JointSet, Chain>([[0, { spanMin: 0, sessions: [] }]]);
  const known = remembered(session);
  for (const level of levels) {
    const next = new Map<JointSet, Chain>();
    for (const { from, to } of level) {
      const chain = chains.get(from);
      if (chain === undefined) continue;
      const found = known(from, to);
      if (found === null) continue;
      const spanMin = chain.spanMin + found.timing.spanMin;
      const best = next.get(to);
      if (best === undefined || spanMin < best.spanMin - 1e-9) {
        next.set(to, { spanMin, sessions: [...chain.sessions, found] });
      }
    }
    chains = next;
  }
  return chains.get(2 ** problem.joints.length - 1)?.sessions ?? null;
}

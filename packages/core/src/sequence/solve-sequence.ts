import { finding, type Finding } from '../findings';
import { type BestApart, bestApart } from './best-apart';
import { SHARE_EPS } from './best-timing';
import { type BlockTimer, blockTimer, roughTimer } from './block-timer';
import type { Effort } from './clock-search';
import { exactArrangement } from './exact';
import { leastSessions, type SessionsBound } from './lower-bound';
import { rootsOf } from './merge';
import type { SequenceProblem } from './problem';
import { type Impossible, impossibleAlone, smallestHeld, whyHeld } from './reasons';
import { FULL_EFFORT, type SequenceEffort } from './sequence-effort';
import { sessionLaidOut, type SessionPlan, shortestSession } from './session-plan';
import { connectedPieces } from './splits';
import { type TakenApart, TakingApart } from './take-apart';

/** Sessions worked out for an assembly, or why there are none. */
export interface SequenceAnswer {
  readonly status: 'proven' | 'best-found' | 'infeasible';
  readonly sessions: readonly SessionPlan[];
  /** Share of its window that the tightest one uses. */
  readonly usedShare: number;
  readonly impossible: readonly Impossible[];
  readonly findings: readonly (Finding | Impossible)[];
  readonly bound: SessionsBound;
}

/** Best answer so far and how far the work is. */
export interface SequenceProgress {
  readonly answer: SequenceAnswer;
  readonly done: number;
  readonly of: number;
}

/** Works the answer out to the end. */
export function solveSequence(
  problem: SequenceProblem,
  effort: SequenceEffort = FULL_EFFORT,
): SequenceAnswer {
  let last: SequenceAnswer | null = null;
  for (const { answer } of improvingSequence(problem, effort)) last = answer;
  return last ?? nothingToDo(problem);
}

/**
 * Works the answer out step by step, best so far after each: ways of taking the assembly apart side by side first, then
 * windows used less, then the proof that nothing is better; where presses tie closings together, every arrangement of a
 * small assembly.
 */
export function* improvingSequence(
  problem: SequenceProblem,
  effort: SequenceEffort = FULL_EFFORT,
): Generator<SequenceProgress, void> {
  if (problem.joints.length === 0) {
    yield { answer: nothingToDo(problem), done: 1, of: 1 };
    return;
  }
  const bound = leastSessions(problem);
  const timer = roughTimer(problem, effort.swaps, effort.lists);
  const alone = impossibleAlone(problem, timer);
  if (alone.length > 0) {
    yield { answer: cannot(bound, { why: alone, proven: true }), done: 1, of: 1 };
    return;
  }
  yield* takenApart(problem, effort, bound, timer);
}

/** The best by every arrangement there is; null where the steps ran out before any was as good as what is known. */
function exactAnswer(
  problem: SequenceProblem,
  effort: SequenceEffort,
  bound: SessionsBound,
  known: TakenApart | null,
): SequenceAnswer | null {
  const steps = { margin: { left: effort.marginSteps }, handsOn: { left: effort.handsOnSteps } };
  const best = exactArrangement(
    problem,
    steps,
    known === null ? null : { sessions: known.sessions.length, usedShare: known.usedShare },
  );
  if (best === null) return null;
  const answer = answerOf(best.sessions, best.proven ? 'proven' : 'best-found', bound);
  return best.handsOnProven ? answer : withHandsOnOpen(answer);
}

/** Ways of taking it apart, laid out on the clock; every arrangement where presses tie a few joints together. */
function* takenApart(
  problem: SequenceProblem,
  effort: SequenceEffort,
  bound: SessionsBound,
  timer: BlockTimer,
): Generator<SequenceProgress, void> {
  const taking = new TakingApart(problem, timer, effort.mostSets);
  const exact = problem.joints.length <= effort.exactJoints && !taking.independent;
  let best: BestApart | null = null;
  for (const next of bestApart(problem, taking, bound, effort)) {
    if (best === null && effort.rounds > 0) {
      const answer = laidOut(problem, next, bound, { ...effort, handsOnSteps: 0 });
      yield { answer, done: 1, of: 2 };
    }
    best = next;
  }
  const exactly =
    exact && best?.proven !== true ? exactAnswer(problem, effort, bound, best?.found ?? null) : null;
  if (exactly?.status === 'proven') {
    yield { answer: exactly, done: 2, of: 2 };
    return;
  }
  const apart =
    best === null ? cannot(bound, whyNot(problem, taking, timer)) : laidOut(problem, best, bound, effort);
  const answer = exactly !== null && !isWorse(exactly, apart) ? exactly : apart;
  yield { answer, done: 2, of: 2 };
}

/** Joints up to which stretches that clamps tie together are searched for a gentler timing; beyond, orders are only tightened. */
const MOST_JOINTS_TO_SEARCH = 20;

function laidOut(
  problem: SequenceProblem,
  { found: { sessions }, proven }: BestApart,
  bound: SessionsBound,
  effort: SequenceEffort,
): SequenceAnswer {
  const timer = blockTimer(problem, {
    left: problem.joints.length > MOST_JOINTS_TO_SEARCH ? 0 : effort.marginSteps,
  });
  const plans = sessions.map((session) => sessionLaidOut(problem, session, timer));
  const answer = answerOf(plans, proven ? 'proven' : 'best-found', bound);
  if (problem.crew === 1) return answer;
  const handsOn: Effort = { left: Math.min(effort.handsOnSteps, STEPS_TO_SHORTEN) };
  const shorter = plans.map((plan) => sooner(problem, plan, timer, answer.usedShare, handsOn));
  const timed = { ...answer, sessions: shorter };
  return proven ? withHandsOnOpen(timed) : timed;
}

/** Works up to which a session is searched for less hands-on time; each step costs the square of them. */
const MOST_WORKS_TO_SHORTEN = 30;
/** Steps of that search over all sessions: three times as many shorten hands-on time by another 0.4 % and take a quarter longer in all. */
const STEPS_TO_SHORTEN = 500;

/** The same closings in less time with all hands, windows used no more than elsewhere. */
function sooner(
  problem: SequenceProblem,
  plan: SessionPlan,
  timer: BlockTimer,
  share: number,
  effort: Effort,
): SessionPlan {
  if (plan.job.works.length > MOST_WORKS_TO_SHORTEN) return plan;
  const shortest = shortestSession(problem, [rootsOf(plan.merges)], timer, share, effort);
  return shortest !== null && shortest.timing.spanMin < plan.timing.spanMin ? shortest : plan;
}

function withHandsOnOpen(answer: SequenceAnswer): SequenceAnswer {
  return { ...answer, findings: [...answer.findings, finding('hands-on-not-proven', 'informs')] };
}

function answerOf(
  sessions: readonly SessionPlan[],
  status: SequenceAnswer['status'],
  bound: SessionsBound,
): SequenceAnswer {
  return {
    status,
    sessions,
    usedShare: Math.max(...sessions.map(({ timing }) => timing.usedShare)),
    impossible: [],
    findings: [bound.why],
    bound,
  };
}

function cannot(bound: SessionsBound, { why, proven }: WhyNot): SequenceAnswer {
  const findings = proven ? why : [...why, finding('impossible-not-proven', 'informs')];
  return { status: 'infeasible', sessions: [], usedShare: 0, impossible: why, findings, bound };
}

function nothingToDo(problem: SequenceProblem): SequenceAnswer {
  return {
    status: 'proven',
    sessions: [],
    usedShare: 0,
    impossible: [],
    findings: [],
    bound: leastSessions(problem),
  };
}

/** Whether one answer has more sessions than another, or less room in as many; none at all is worst. */
function isWorse(one: SequenceAnswer, other: SequenceAnswer): boolean {
  if (other.status === 'infeasible') return false;
  if (one.sessions.length !== other.sessions.length) return one.sessions.length > other.sessions.length;
  return one.usedShare > other.usedShare + SHARE_EPS;
}

/** Why nothing was found, and whether it is known that there is nothing. */
interface WhyNot {
  readonly why: readonly Impossible[];
  readonly proven: boolean;
}

/** The joints that stand in the way: a set that can never be put together, else the pins. */
function whyNot(problem: SequenceProblem, taking: TakingApart, timer: BlockTimer): WhyNot {
  const possible = (parts: readonly number[]) => taking.pieces.gentlest(parts).usedShare <= 1 + SHARE_EPS;
  const all = problem.joints.map((_, i) => i);
  const parts = Array.from({ length: problem.parts }, (_, i) => i);
  const held = connectedPieces(problem, parts, all).find((piece) => piece.length > 1 && !possible(piece));
  if (held !== undefined) {
    const core = smallestHeld(problem, held, possible);
    const why = [whyHeld(problem, core, timer)];
    return { why, proven: taking.pieces.gentlest(core).complete };
  }
  const pinned = all.filter((joint) => problem.pins[joint] !== null);
  return { why: [{ ...finding('pins-contradict', 'refuses'), joints: pinned }], proven: false };
}

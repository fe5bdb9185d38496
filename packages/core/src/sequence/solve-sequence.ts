import { finding, type Finding } from '../findings';
import { arrangeOnce } from './arrange';
import { blockTimer, roughTimer } from './block-timer';
import { closingTree, splitter } from './closing-tree';
import { exactArrangement } from './exact';
import { leastSessions, type SessionsBound } from './lower-bound';
import type { SequenceProblem } from './problem';
import { type Impossible, impossibleAlone, impossibleSet } from './reasons';
import { scatterFrom } from './scatter';
import type { SessionPlan } from './session-plan';
import { connectedPieces } from './splits';

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

/** How much may be spent on an answer. Counted in steps, not in time, so that the same question is answered alike. */
export interface SequenceEffort {
  /** Joints up to which every arrangement is gone through. */
  readonly exactJoints: number;
  readonly marginSteps: number;
  readonly handsOnSteps: number;
  /** Attempts on larger assemblies. */
  readonly rounds: number;
  readonly seed: number;
}

/** What the command line and the server spend. */
export const FULL_EFFORT: SequenceEffort = Object.freeze({
  exactJoints: 6,
  marginSteps: 1_000_000,
  handsOnSteps: 15_000,
  rounds: 12,
  seed: 1,
});

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
 * Works the answer out step by step, best so far after each: a quick arrangement first, then every arrangement of
 * a small assembly, or more attempts at a large one.
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
  const exact = problem.joints.length <= effort.exactJoints;
  const rough = roughTimer(problem);
  const alone = impossibleAlone(problem, exact ? blockTimer(problem, { left: effort.marginSteps }) : rough);
  if (alone.length > 0) {
    yield { answer: cannot(bound, alone), done: 1, of: 1 };
    return;
  }
  if (exact) {
    yield { answer: exactAnswer(problem, effort, bound), done: 1, of: 1 };
    return;
  }
  yield* attempts(problem, effort, bound);
}

function exactAnswer(problem: SequenceProblem, effort: SequenceEffort, bound: SessionsBound): SequenceAnswer {
  const steps = { margin: { left: effort.marginSteps }, handsOn: { left: effort.handsOnSteps } };
  const best = exactArrangement(problem, steps);
  if (best === null) return cannot(bound, whyNot(problem));
  const answer = answerOf(best.sessions, best.proven ? 'proven' : 'best-found', bound);
  if (best.handsOnProven) return answer;
  return { ...answer, findings: [...answer.findings, finding('hands-on-not-proven', 'informs')] };
}

function* attempts(
  problem: SequenceProblem,
  effort: SequenceEffort,
  bound: SessionsBound,
): Generator<SequenceProgress, void> {
  const random = scatterFrom(effort.seed);
  const timer = roughTimer(problem);
  const splits = splitter(problem, timer);
  let best: SequenceAnswer | null = null;
  for (let round = 0; round < effort.rounds; round += 1) {
    // Further and further from the greedy choice, then near it again.
    const noise = round === 0 ? 0 : 0.05 * (1 + (round % 6));
    const sessions = arrangeOnce(problem, splits, timer, noise, random);
    if (sessions !== null) {
      const answer = answerOf(sessions, 'best-found', bound);
      if (best === null || isBetter(answer, best)) best = answer;
    } else if (round === 0 && problem.pins.every((pin) => pin === null)) {
      yield { answer: cannot(bound, whyNot(problem)), done: 1, of: 1 };
      return;
    }
    if (best !== null) yield { answer: best, done: round + 1, of: effort.rounds };
  }
  if (best === null) yield { answer: cannot(bound, whyNot(problem)), done: 1, of: 1 };
}

/** Fewer sessions, then more margin, then less hands-on time. */
function isBetter(next: SequenceAnswer, best: SequenceAnswer): boolean {
  const span = ({ sessions }: SequenceAnswer) =>
    sessions.reduce((sum, { timing }) => sum + timing.spanMin, 0);
  if (next.sessions.length !== best.sessions.length) return next.sessions.length < best.sessions.length;
  if (Math.abs(next.usedShare - best.usedShare) > 1e-9) return next.usedShare < best.usedShare;
  return span(next) < span(best) - 1e-9;
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

function cannot(bound: SessionsBound, impossible: readonly Impossible[]): SequenceAnswer {
  return { status: 'infeasible', sessions: [], usedShare: 0, impossible, findings: impossible, bound };
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

/** The joints that stand in the way: a set that can never be put together, else the pins. */
function whyNot(problem: SequenceProblem): Impossible[] {
  const timer = roughTimer(problem);
  const splits = splitter(problem, timer);
  const possible = (parts: readonly number[]) => closingTree(parts, splits, timer, 0, () => 0) !== null;
  const all = problem.joints.map((_, i) => i);
  const parts = Array.from({ length: problem.parts }, (_, i) => i);
  const held = connectedPieces(problem, parts, all).find((piece) => piece.length > 1 && !possible(piece));
  if (held !== undefined) return [impossibleSet(problem, held, possible, timer)];
  const pinned = all.filter((joint) => problem.pins[joint] !== null);
  return [{ ...finding('pins-contradict', 'refuses'), joints: pinned }];
}

import type { SequenceProblem } from './problem';
import { lanesOf } from './lanes';
import type { SessionPlan } from './session-plan';
import type { SequenceAnswer } from './solve-sequence';

/** One stretch of work in a session, as the contract names it. */
export interface SessionOperation {
  readonly kind: 'spread' | 'close' | 'clamp';
  /** Ids of the joints. */
  readonly joints: readonly string[];
  /** Pairs of hands, from 0. */
  readonly hands: readonly number[];
  /** From the first operation of the session. */
  readonly startMin: number;
  readonly endMin: number;
}

/** One session as the contract names it. */
export interface SequenceSession {
  readonly joints: readonly string[];
  readonly operations: readonly SessionOperation[];
  readonly worstMargin: number;
  readonly handsOnMin: number;
}

/** Operations in order of starting, with the hands that do them. */
export function sessionOf(problem: SequenceProblem, { job, timing }: SessionPlan): SequenceSession {
  const ids = (joints: readonly number[]) => joints.map((joint) => problem.joints[joint]?.id ?? '');
  const lanes = lanesOf(job.works, timing.startMin, problem.crew);
  const operations = job.works
    .map(({ kind, joints, minutes }, i): SessionOperation => {
      const startMin = timing.startMin[i] ?? 0;
      return {
        kind,
        joints: ids(joints),
        hands: lanes?.hands[i] ?? [],
        startMin,
        endMin: startMin + minutes,
      };
    })
    .sort((x, y) => x.startMin - y.startMin || x.endMin - y.endMin);
  const closed = operations.filter(({ kind }) => kind === 'close');
  return {
    joints: closed.flatMap(({ joints }) => joints),
    operations,
    worstMargin: 1 - timing.usedShare,
    handsOnMin: timing.spanMin,
  };
}

/** Sums over all sessions; null where the whole cannot be made. */
export function sequenceTotals(problem: SequenceProblem, { status, sessions, usedShare }: SequenceAnswer) {
  if (status === 'infeasible') return { worstMargin: null, handsOnMin: null, elapsedMin: null };
  const handsOnMin = sessions.reduce((sum, { timing }) => sum + timing.spanMin, 0);
  const waits = sessions.length * (problem.setUpMin + problem.clampTimeMin);
  return { worstMargin: 1 - usedShare, handsOnMin, elapsedMin: handsOnMin + waits };
}

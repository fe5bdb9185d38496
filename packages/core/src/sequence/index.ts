export { PACE } from './pace';
export { type SequenceSession, sequenceTotals, sessionOf, type SessionOperation } from './answer';
export { problemOf } from './input';
export type { ClampCount, Press, RunsInto, SequenceProblem } from './problem';
export { type GivenSessions, givenSessions } from './given-sessions';
export type { SessionPlan } from './session-plan';
export { FULL_EFFORT, type SequenceEffort } from './sequence-effort';
export {
  improvingSequence,
  type SequenceAnswer,
  type SequenceProgress,
  solveSequence,
} from './solve-sequence';
export type { ImpossibleCode } from './reasons';
export { logNormal, scatterFrom } from './scatter';
export {
  DIRECTION_NAMES,
  EVERY_WAY,
  leaves,
  opposite,
  seenFromOther,
  WAYS,
  waysOut,
  type WaysOut,
} from './ways-out';

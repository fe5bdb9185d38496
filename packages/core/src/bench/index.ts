export { asPlanned, bestOrder, type Outlook } from './ahead';
export type { Moment } from './rest';
export {
  type Field,
  fieldsOf,
  isRead,
  type Judged,
  judgeReading,
  offBy,
  type Subject,
  type Values,
} from './checks';
export { type FuseReading, readFuse, shortestFuse } from './clock';
export {
  answerMishap,
  answersNow,
  beginDrill,
  type Debrief,
  debrief,
  type Drill,
  drillMoment,
  drillPosition,
  type DrillStart,
  type Handled,
  type Outcome,
  playOn,
} from './drill';
export { type DryRun, dryRunOf, type Lap, type Walked, isLikelyPace, walkedSteps } from './dry-run';
export { type Answer, answersTo, type Mishap, MISHAPS } from './mishaps';
export { positionOf, type RunPosition, waitsUntilMs } from './position';
export { type BeforeLong, beforeLong } from './before-long';
export { promiseOf } from './promise';
export { gatherList, planOfSession } from './gather';
export { preflight } from './preflight';
export { readinessOf } from './readiness';
export {
  asked,
  type BenchScript,
  benchScript,
  comesLater,
  type Fuse,
  type ScriptOperation,
  scriptOfRun,
  stepsOfSession,
} from './script';
export { bestWay, type NotedEvent, type Way, waysOn } from './ways';
export { retrace, type Retraced, type RetracedFuse, type RetracedMark, type RetracedStep } from './retrace';
export { type WindowsUsed, windowsUsed } from './windows-used';

export { compareGlues, type GlueComparison, type GlueOption } from './compare-glues';
export { batchJobOf, type DatedSessionOfBuild, weekOf } from './dates/dates';
export {
  type HoursLeft,
  hoursLeft,
  type PlannedStart,
  type Slip,
  type Slips,
  slipsOf,
  startsOf,
} from './dates/day';
export {
  type BuildToDate,
  buildToDate,
  datesOf,
  glueToGet,
  type GlueWanted,
  glueWanted,
  heldBy,
  type ShopCalendar,
  shopCalendar,
  type ShopSession,
} from './dates/shop-calendar';
export { endGrainOf } from './end-grain';
export { type Worth, worthOfOneMore } from './dates/worth';
export { glueJobOf } from './glue-job';
export type { ClosingAdvice } from './joints/closing';
export type { JointNeed, PlannedJoint } from './joints/planned-joint';
export { slowestOf } from './joints/slowest';
export { arrangements, withSessions } from './order/arrange-order';
export type { Arranged } from './order/arranged';
export { type Likelihood, likelihoodOf, USUAL_SCATTER, WINDOW_CV } from './order/likelihood';
export { type FuseBar, fuseBars } from './order/fuse-bars';
export { fuseOf, holdsFuse, type PlannedFuse } from './order/fuses';
export { operationsOf } from './order/operations';
export { paceOf } from './order/paces';
export { isLater, type PlannedOperation } from './order/planned-operation';
export type { Order, OrderedSession } from './order/ordered-sessions';
export type { Plan, PlanParts } from './plan';
export {
  type ClampAnswer,
  type JointAnswer,
  type JointPressure,
  type JointState,
  type PlanAnswer,
  planAnswer,
  type SessionAnswer,
  type VerdictAnswer,
} from './plan-answer';
export { checkBuild } from './check-build';
export { gluedTotals, planBuild, settledAtOnce, settlePlan } from './plan-build';
export { type PlanInput, type PlanQuestion, planQuestion } from './plan-input';
export { type Packing, packingOf, packingPieces, spreadMm } from './pulls/packing';
export { clampsElsewhere, suits } from './pulls/placed-on-pull';
export { isOpposed } from './pulls/opposed';
export type { PlannedPull } from './pulls/planned-pull';
export { ON_A_ROLL, placeableLots } from './pulls/take-from-rack';
export { clampsWanted } from './pulls/clamps-wanted';
export type { CaulPlan } from './row/cauls';
export { clampBowMm } from './row/clamp-bow';
export { type RingChoice, ringChoices, type RingOrder } from './row/moisture-cup';
export { unpressed } from './row/pressed-row';
export { positionsOn } from './row/even-places';
export { withHandles } from './row/handles';
export { ACROSS, type RowGap, type RowJob, rowOf, uncrushedN, withRow } from './row/row-job';
export { judgedLines, type PlannedLine, type RowPlan } from './row/row-plan';
export { type Opening, rowOpenings, rowTightening, stageOpeningsMm } from './row/row-tightening';
export { type BoardChange, withBoards } from './row/turned-boards';
export { ofSession } from './session-joints';
export { type MitredCorner, mitredCorner } from './mitred-corner';
export { bottlesOf, familiesOf } from './shelf';
export {
  acrossInTurn,
  blockClampsOf,
  type HoldingClamp,
  holdingClamps,
  type ClampInSpace,
  CORNER_INSET_MM,
  type CornersDown,
  cornersOf,
  leastOf,
  type PressedAlong,
  canBePlaced,
  type ClampPlace,
  pullFrame,
  type PullOpening,
  pullOpenings,
  pullTightening,
  type Squeeze,
  type SqueezedPull,
  type Stack,
  stackOf,
  wantsElements,
} from './squeeze';
export { type WhichBench, whichBench } from './which-bench';

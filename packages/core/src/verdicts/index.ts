export {
  type Arranged,
  type AssemblyOpening,
  assemblyOpenings,
  type AssemblySqueeze,
  assemblyTightening,
  acrossInTurn,
  CAREFUL_SAW_DEG,
  clampsElsewhere,
  type ClampInSpace,
  leastOf,
  type Packing,
  packingOf,
  type PressedAlong,
  pullFrame,
  spreadMm,
  type Stack,
  stackOf,
  suits,
  settleAssembly,
  type SqueezedPull,
  arrangements,
  type AssemblyPlan,
  batchJobOf,
  type DatedSessionOfBuild,
  type Likelihood,
  likelihoodOf,
  type Order,
  type OrderedSession,
  planAssembly,
  type PlannedJoint,
  type PlannedPull,
  SET_UP_MIN,
  weekOf,
  withSessions,
} from './assembly';
export type { ClosingAdvice } from './closing';
export { compareGlues, type GlueComparison, type GlueOption } from './compare-glues';
export { jobOfAssembly, jobOfPanel } from './glue-job';
export { adhesiveOf, familiesOf } from './shelf';
export {
  type BuildToDate,
  buildToDate,
  datesOf,
  type GlueToGet,
  glueToGet,
  heldBy,
  type ShopCalendar,
  shopCalendar,
  type ShopSession,
} from './shop-calendar';
export { COMFORTABLE_MARGIN, type WindowUse } from './in-time';
export { type RingChoice, ringChoices, type RingOrder } from './moisture-cup';
export { type Plan, planBuild } from './plan';
export { clampBowMm } from './flat';
export type { CaulPlan } from './cauls';
export { type PressedPlan, unpressed } from './pressed-plan';
export { type Opening, openings, tightening } from './tightening';
export { settlePlan } from './settle';
export type { PlannedLine } from './plan-parts';
export { type Aspect, ASPECTS, type FigureKind, stateRank, type Verdict, type VerdictState } from './verdict';

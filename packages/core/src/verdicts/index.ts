export { type AssemblyPlan, planAssembly, type PlannedJoint, type PlannedPull } from './assembly';
export type { ClosingAdvice } from './closing';
export { compareGlues, type GlueComparison, type GlueOption } from './compare-glues';
export { adhesiveOf } from './shelf';
export { COMFORTABLE_MARGIN, type WindowUse } from './in-time';
export { type RingChoice, ringChoices, type RingOrder } from './moisture-cup';
export { type Plan, planBuild } from './plan';
export type { PlannedLine } from './plan-parts';
export { type Aspect, ASPECTS, type FigureKind, stateRank, type Verdict, type VerdictState } from './verdict';

export type { AssemblyPlanParts, PlannedJoint } from './assembly-parts';
export type { PlannedPull } from './planned-pull';
export { type AssemblyPlan, planAssembly, settleAssembly } from './plan-assembly';
export {
  type AssemblyOpening,
  assemblyOpenings,
  type AssemblySqueeze,
  assemblyTightening,
  acrossInTurn,
  type ClampInSpace,
  leastOf,
  type Packing,
  packingOf,
  type PressedAlong,
  pullFrame,
  spreadMm,
  type SqueezedPull,
  type Stack,
  stackOf,
} from './squeeze';
export { CAREFUL_SAW_DEG } from './square';
export { clampsElsewhere, suits } from './placed-on-pull';
export { type Arranged, arrangements, withSessions } from './arrange-order';
export { batchJobOf, type DatedSessionOfBuild, weekOf } from './dates';
export { type Likelihood, likelihoodOf } from './likelihood';
export type { Order, OrderedSession } from './ordered-sessions';
export { SET_UP_MIN } from './order-problem';

export type { AssemblyPlanParts, PlannedJoint, PlannedPull } from './assembly-parts';
export { type AssemblyPlan, planAssembly } from './plan-assembly';

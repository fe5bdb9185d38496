export { type CleanUpMethod, cleanUpOf, leadMin, type SqueezeOutAccess, stepsBefore } from './around';
export { type ChangeCode, type OrderChange, whatWouldChange } from './changers';
export { type GlueJob, PLAIN_JOB, type ShelfBottle } from './job';
export { type Deciding, type OfPlan, rankAdhesives, type RankedGlue, type Ranking } from './rank';
export { areaOf, type Reason } from './reasons';
export type { ReasonValues } from './reason-values';

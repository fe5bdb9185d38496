export type { Placing, PlacingJob, PlacingLot, SetClamp } from './job';
export type { RowPlacing } from './checked';
export type { PlacingStage } from './aimed';
export { rowPlacings, placeOnRow, type RowPlacingStep } from './place-on-row';
export { type PullPlacing, pullPlacings, type PullPlacingStep } from './place-on-pull';
export { placeClamps } from './search';

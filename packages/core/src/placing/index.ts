export type { Placing, PlacingJob, PlacingLot, SetClamp } from './job';
export type { PanelPlacing } from './checked';
export type { PlacingStage } from './aimed';
export { panelPlacings, placeOnPanel, type PlacingStep } from './place-on-panel';
export { type PullPlacing, pullPlacings, type PullPlacingStep } from './place-on-pull';
export { placeClamps } from './search';

export type { Placing, PlacingJob, PlacingLot, SetClamp } from './job';
export type { PanelPlacing } from './checked';
export { panelPlacings, placeOnPanel, type PlacingStep } from './place-on-panel';
export { placeClamps } from './search';

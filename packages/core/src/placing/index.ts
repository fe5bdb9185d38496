export type { Placing, PlacingJob, PlacingLot, SetClamp } from './job';
export {
  type Instead,
  type PanelPlacing,
  panelPlacings,
  placeOnPanel,
  type PlacingStep,
} from './place-on-panel';
export { placeClamps } from './search';

export { type CaulBeam, type CaulCrown, caulCrown } from './caul';
export { closingForceN, spreadingRatio } from './closing-force';
export { type HoldingLoad, holdingLoad } from './flattening';
export { endDepthMm, linePressure, type LinePressure } from './line-pressure';
export {
  type LineGap,
  overlapsOf,
  pressableSpan,
  type PanelPressure,
  panelPressure,
  type Press,
  type PressedBoard,
  type PressedLine,
  type PressedPanel,
  type PressingClamp,
  type PressPlace,
  steadyPressure,
  type UnitPressures,
  unitPressures,
} from './panel';
export { type OneSided, oneSidedBowMm } from './one-sided';
export { type LayerPressure, layerPressure, type PressedLayer } from './pressed-layer';
export { panelStrut, STRUT_SHARE, type StrutAnswer, type StrutBoard, strutModulusMPa } from './panel-strut';

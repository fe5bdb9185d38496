export { type CaulBeam, type CaulCrown, caulCrown } from './caul';
export { closingForceN, spreadingRatio } from './closing-force';
export { endDepthMm, linePressure, type LinePressure } from './line-pressure';
export {
  type LineGap,
  type PanelPressure,
  panelPressure,
  type PressedBoard,
  type PressedLine,
  type PressedPanel,
  type PressingClamp,
} from './panel';
export { panelStrut, STRUT_SHARE, type StrutAnswer, type StrutBoard } from './panel-strut';

export { closingForceN, spreadingRatio } from './closing-force';
export { endDepthMm, linePressure, type LinePressure } from './line-pressure';
export { panelStrut, STRUT_SHARE, type StrutAnswer, type StrutBoard } from './panel-strut';

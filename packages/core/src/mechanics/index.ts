export { closingForceN, spreadingRatio } from './closing-force';
export { DEFAULT_SAMPLES, linePressure, type LinePressure } from './line-pressure';
export { panelStrut, STRUT_SHARE, type StrutAnswer, type StrutBoard, strutModulusMPa } from './panel-strut';

export {
  type AssemblyMarks,
  assemblyMarks,
  type AssemblyView,
  clampMarks,
  type PlacedMark,
  type SideGlyph,
} from './assembly-marks';
export { type PlayedClosing, playedClosings, pulledApart, type Shifts, shiftsAt, TOGETHER } from './apart';
export { type FacetedPart, facetedParts } from './faceted-parts';
export {
  type BoardMark,
  type ClampMark,
  type LineMark,
  type PanelMarks,
  panelMarks,
  type PressureBand,
  type PressureStep,
} from './panel-marks';
export { type Figure, type FigureInk, figureOf } from './figures';
export { assemblyFigure, drawingOf } from './lowered';

export {
  type AssemblyMarks,
  assemblyMarks,
  type AssemblyView,
  type FacetedPart,
  facetedParts,
  type SideGlyph,
} from './assembly-marks';
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

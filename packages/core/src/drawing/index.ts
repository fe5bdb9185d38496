export {
  type AssemblyMarks,
  assemblyMarks,
  type AssemblyView,
  type FacetedPart,
  facetedParts,
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

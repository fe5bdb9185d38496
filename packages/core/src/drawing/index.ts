export { type AssemblyMarks, assemblyMarks, type SideGlyph } from './assembly-marks';
export { benchLayout } from './bench-layout';
export { correctionFigure } from './corrections';
export { clampMarks, frameWith, type PlacedMark } from './clamp-marks';
export { type AssemblyView } from './eye';
export {
  closingsOnSheet,
  type PlayedClosing,
  playedClosings,
  pulledApart,
  type SheetClosing,
  type Shifts,
  shiftsAt,
  TOGETHER,
} from './apart';
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
export type { FigureLabel, FigurePath } from './figures/figure';
export { type Figure, type FigureInk, figureOf } from './figures';
export { assemblyFigure, drawingOf } from './lowered';
export { clampSlides, type Slide, slid, slideOnSheet } from './slides';
export { type PlacedLabel, placeLabels, type WantedLabel } from './place-labels';

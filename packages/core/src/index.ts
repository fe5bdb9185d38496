export {
  type Adhesive,
  type AdhesiveWindow,
  adhesiveWindow,
  findAdhesive,
  type Hazard,
  listAdhesives,
  type Service,
  SERVICES,
  standsService,
} from './adhesives';
export { boardLabel, type ClampOnPanel, type Panel, panelOf } from './assembly';
export {
  type BenchScript,
  benchScript,
  type BenchStep,
  type FuseReading,
  gatherList,
  positionOf,
  promiseOf,
  readinessOf,
  readFuse,
  type RunPosition,
  shortestFuse,
  troubleOptions,
} from './bench';
export { type AnyCalculation, CALCULATIONS, findCalculation } from './calculations';
export { type Bounds, boundsInWords, InputError } from './checks';
export { type ClampKind, findClampKind, listClampKinds } from './clamps';
export {
  type BoardMark,
  type ClampMark,
  type LineMark,
  type PanelMarks,
  panelMarks,
  type PressureBand,
  type PressureStep,
} from './drawing';
export type { Finding, FindingValue } from './finding';
export { findFixes, type Fix, type Fixes } from './fixes';
export {
  type Board,
  type Bottle,
  type BuildDocument,
  BuildDocumentSchema,
  type Climate,
  MOST_BOARDS,
  MOST_CLAMPS,
  type PlacedClamp,
  type RackLot,
  type RunDocument,
  RunDocumentSchema,
  type RunEvent,
  type RunPromise,
  type RunRecord,
  type ShopDocument,
  ShopDocumentSchema,
} from './formats';
export { type LimitName, LIMITS } from './limits';
export {
  cupSagittaMm,
  equilibriumMoisturePct,
  findSpecies,
  listSpecies,
  movementMm,
  type Species,
} from './materials';
export type { Range } from './range';
export type { LineTimes, Operation, Timeline } from './sequence';
export { findSpreadMethod, listSpreadMethods, type SpreadMethod } from './spread';
export {
  clampsFromRack,
  EDGE_PANEL_DEFAULTS,
  type EdgePanelAnswers,
  edgePanelBuild,
  lotForceN,
  STARTER_SHOP,
} from './templates';
export {
  formatClock,
  formatLength,
  formatScaled,
  formatWait,
  MM_PER_INCH,
  type ParsedQuantity,
  parseLength,
  parseScaled,
  scaledNumber,
  type ScaledQuantity,
  scaledUnit,
  type UnitSystem,
} from './units';
export {
  type Aspect,
  ASPECTS,
  type ClosingAdvice,
  COMFORTABLE_MARGIN,
  compareGlues,
  type FigureKind,
  type GlueOption,
  type Plan,
  planBuild,
  type PlannedLine,
  type Verdict,
  type VerdictState,
  type WindowUse,
} from './verdicts';

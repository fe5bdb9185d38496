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
export {
  type AssemblyFacts,
  boardLabel,
  type ClampOnPanel,
  type Condition,
  CONDITIONS,
  type GrainPairing,
  isEndGrain,
  JOINT_KINDS,
  type JointKind,
  type Panel,
  panelOf,
  type Reinforcement,
  type ReinforcementOption,
  reinforcementOptions,
} from './assembly';
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
  type AssemblyBuild,
  type Board,
  type Bottle,
  type BuildDocument,
  BuildDocumentSchema,
  type FreeJoint,
  type FreePart,
  isPanel,
  MOST_FREE_PARTS,
  type PanelBuild,
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
export {
  type Answer,
  type Answers,
  findKind,
  FREE,
  type Kind,
  type KindCaution,
  KINDS,
  layAssembly,
  type Preparation,
  PREPARATIONS,
  type Question,
  startOf,
} from './kinds';
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
  assemblyBuild,
  type AssemblyStart,
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
  type AssemblyPlan,
  type ClosingAdvice,
  COMFORTABLE_MARGIN,
  compareGlues,
  type FigureKind,
  type GlueOption,
  type Plan,
  planAssembly,
  planBuild,
  type PlannedJoint,
  type PlannedLine,
  type PlannedPull,
  type Verdict,
  type VerdictState,
  type WindowUse,
} from './verdicts';

export {
  type Aid,
  type Assembly,
  type BlockSeat,
  type ClampsOnBlocks,
  type JawPlace,
  type Condition,
  CONDITIONS,
  type Dimension,
  type FlatCheck,
  GLUED_REGIONS,
  type GluedRegion,
  type Joint,
  JOINT_KINDS,
  type JointKind,
  type Part,
  type PartRole,
  type Pull,
  type Reinforcement,
  type Ring,
  type SquareCheck,
} from './assembly';
export { type SlidingBlock, slidingBlock } from './block-slides';
export { type AssemblyFacts, deriveAssembly, type PartFacts } from './derive';
export { type GapReading, readGaps } from './gap-readings';
export { type Contact, type GrainPairing, isEndGrain, type JointFacts } from './joint-facts';
export { type ReferenceMarks } from './reference-marks';
export {
  type BoardsInBars,
  outermost,
  type Panel,
  type PanelBoard,
  type PanelLine,
  panelOf,
  sharedStretch,
  type Stretch,
} from './panel';
export {
  type Corner,
  type ReinforcementCut,
  type ReinforcementOption,
  reinforcementOptions,
} from './reinforcement';
export { longEnoughLots, paddingOf, panelLots, panelOpeningMm, typicalLot } from './panel-lots';
export { bearingMm2, type ClampOnPanel, type ClampSet, clampsOnPanel, padOnEdgeMm } from './placed-clamps';

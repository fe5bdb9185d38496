export {
  type Aid,
  type Assembly,
  type Condition,
  CONDITIONS,
  type Dimension,
  type FlatCheck,
  type Joint,
  JOINT_KINDS,
  type JointKind,
  type Part,
  PART_ROLES,
  type PartRole,
  type Pull,
  type Reinforcement,
  REINFORCEMENTS,
  type SquareCheck,
} from './assembly';
export { type AssemblyFacts, deriveAssembly, type PartFacts } from './derive';
export {
  type Contact,
  DIRECTIONS,
  type GrainPairing,
  isEndGrain,
  type JointFacts,
  releaseDirections,
} from './joint-facts';
export { boardLabel, type Panel, type PanelLine, panelOf } from './panel';
export { type ReinforcementOption, reinforcementOptions } from './reinforcement';
export { type ClampOnPanel, type ClampSet, clampsOnPanel } from './placed-clamps';

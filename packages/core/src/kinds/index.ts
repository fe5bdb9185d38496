export {
  type Kind,
  type KindCaution,
  type Layout,
  type PartDraft,
  type Preparation,
  PREPARATIONS,
  type Season,
  startOf,
} from './kind';
export {
  CHECK_KINDS,
  type CheckKind,
  OPERATION_KINDS,
  type OperationKind,
  type Ritual,
  ritualOf,
} from './ritual';
export { FREE, layAssembly } from './lay-assembly';
export { boardLabel } from './edge-panel';
export { findKind, KINDS } from './list';
export { type Answer, type Answers, type Question, type Questions } from './question';

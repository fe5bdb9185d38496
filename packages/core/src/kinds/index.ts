export {
  type AsksOfGlue,
  type Kind,
  type KindCaution,
  type Layout,
  type PartDraft,
  type Preparation,
  PREPARATIONS,
  type Season,
  startOf,
} from './kind';
export { lookOf, type OperationKind, type Ritual, ritualOf } from './ritual';
export { BLOCK_FIXINGS } from './block-fixing';
export { letsIn } from './layouts/free-joinery';
export { layAssembly } from './lay-assembly';
export { layOutKind } from './layouts/list';
export { measureBuild } from './measure-build';
export { boardLabel } from './names';
export { findKind, FREE, kindOf, KINDS } from './list';
export {
  type Answer,
  type Answers,
  keptAnswers,
  piecesOfQuestion,
  type Question,
  type Questions,
} from './question';

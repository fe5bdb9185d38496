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
export { FREE, layAssembly } from './lay-assembly';
export { findKind, KINDS } from './list';
export { type Answer, type Answers, type Question, type Questions } from './question';

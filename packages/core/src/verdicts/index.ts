export { COMFORTABLE_MARGIN, type WindowUse, windowUses } from './in-time';
export { judge, judgeTight } from './judge';
export { CAREFUL_SAW_DEG } from './square';
export { type Aspect, ASPECTS, type FigureKind, stateRank, type Verdict, type VerdictState } from './verdict';

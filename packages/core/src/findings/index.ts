export type {
  CheckCode,
  CorrectionValues,
  GatherValues,
  InstructionValues,
  ReadyValues,
  MishapAnswer,
  MomentValues,
  PreparingCode,
  RitualValues,
  TroubleValues,
} from './bench';
export type { PlacingValues, PullTighteningValues, RowTighteningValues } from './bringing-on';
export type { CauseValues, FlatPart, PullValues, RowValues, SquarePart } from './causes';
export type { ChangeValues, PullChangeValues, RowChangeValues } from './changes';
export {
  type Finding,
  finding,
  type FindingCode,
  type FindingOf,
  type FindingValue,
  type FindingValues,
  ofCode,
  type PlanFinding,
  type PlanFindingValues,
  type Severity,
} from './finding';
export type { KindValues } from './kinds';
export type { ComesOutValues, LessonValues } from './lessons';
export type { None } from './none';
export type { SumValues } from './sums';
export type { WorkingValues } from './workings';

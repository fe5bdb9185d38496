import type {
  CorrectionValues,
  GatherValues,
  InstructionValues,
  MomentValues,
  ReadyValues,
  RitualValues,
  TroubleValues,
} from './bench';
import type { PlacingValues, PullTighteningValues, RowTighteningValues } from './bringing-on';
import type { CauseValues, PullValues, RowValues } from './causes';
import type { ChangeValues, PullChangeValues, RowChangeValues } from './changes';
import type { KindValues } from './kinds';
import type { ComesOutValues, LessonValues } from './lessons';
import type { None } from './none';
import type { SumValues } from './sums';
import type { WorkingValues } from './workings';

/** How much a finding matters: it forbids the plan, asks for care, or only informs. */
export type Severity = 'refuses' | 'warns' | 'informs';

/** One numbered or named fact inside a finding, in core units. */
export type FindingValue = number | string;

/** What a plan is judged by and told with: what limits it, what would help, how its clamps come on. */
export interface PlanFindingValues
  extends
    CauseValues,
    RowValues,
    PullValues,
    ChangeValues,
    RowChangeValues,
    PullChangeValues,
    PlacingValues,
    RowTighteningValues,
    PullTighteningValues,
    KindValues,
    ComesOutValues {}

/** Every code, with the values that its sentence is made of. A code that is missing here does not compile. */
export interface FindingValues
  extends
    PlanFindingValues,
    RitualValues,
    InstructionValues,
    MomentValues,
    GatherValues,
    ReadyValues,
    TroubleValues,
    CorrectionValues,
    LessonValues,
    WorkingValues,
    SumValues {}

export type FindingCode = keyof FindingValues;

/** A finding of one code. */
export interface FindingOf<Code extends FindingCode> {
  readonly code: Code;
  readonly severity: Severity;
  readonly values: Readonly<FindingValues[Code]>;
}

/**
 * Something worth telling about a plan, as data. The code is stable and fixes the values; interfaces turn it
 * into a sentence and never the other way round.
 */
export type Finding = { [Code in FindingCode]: FindingOf<Code> }[FindingCode];

/** A finding that a plan is judged by or told with. */
export type PlanFinding = { [Code in keyof PlanFindingValues]: FindingOf<Code> }[keyof PlanFindingValues];

/** Shorthand for building a finding; codes that are told without values take none. */
export function finding<Code extends FindingCode>(
  code: Code,
  severity: Severity,
  ...[values]: FindingValues[Code] extends None ? [] : [values: FindingValues[Code]]
): { [Each in Code]: FindingOf<Each> }[Code] {
  return { code, severity, values: values ?? {} } as unknown as { [Each in Code]: FindingOf<Each> }[Code];
}

/** The first finding of a code among others, with the values of that code. */
export function ofCode<Code extends FindingCode>(
  findings: readonly Finding[],
  code: Code,
): FindingOf<Code> | undefined {
  return findings.find((found): found is Extract<Finding, FindingOf<Code>> => found.code === code);
}

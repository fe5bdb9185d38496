import type { PlanAnswer } from '@lean-clasp/core/plan';
import type {
  Finding,
  FindingValues,
  FindingValue,
  Severity,
  WorkingValues,
} from '@lean-clasp/core/findings';
import type { Fix } from '@lean-clasp/core/fixes';
import { ASPECTS } from '@lean-clasp/core/verdicts';
import { detailWords, INSTRUCTIONS } from './bench';
import type { Format } from './format';
import { GATHER } from './gather';
import { READY } from './ready';
import { LESSON } from './lessons';
import { PLAN_SENTENCES } from './plan-says';
import { SUM_FINDINGS } from './sums';
import { CORRECTIONS, TROUBLE } from './trouble';
import type { Say, Words } from './values';

/** Every finding but the workings, which are explained at length, as a sentence. */
const SENTENCES: Words<Omit<FindingValues, keyof WorkingValues>> = {
  ...PLAN_SENTENCES,
  ...INSTRUCTIONS,
  ...GATHER,
  ...READY,
  ...LESSON,
  ...TROUBLE,
  ...CORRECTIONS,
  ...SUM_FINDINGS,
};

/** The codes that have a sentence. */
export const EVERY_CODE = Object.keys(SENTENCES);

/** Any finding as a sentence; one that an older version kept under a code of its own shows that code. */
export function says({ code, values }: Pick<Finding, 'code' | 'values'>, f: Format): string {
  const say = SENTENCES[code as keyof typeof SENTENCES] as Say<Finding['values']> | undefined;
  return say?.(values, f) ?? code;
}

/** What a sum found, as it comes out of it: sessions and joints by name, figures where there are any. */
export interface SumFinding {
  readonly code: string;
  readonly severity?: Severity;
  readonly values?: Readonly<Record<string, FindingValue>>;
  readonly joints?: readonly string[];
  readonly sessions?: readonly string[];
}

/** A finding of a single sum as a sentence, with the joints or sessions that it concerns. */
export function sumWords({ code, values = {}, joints = [], sessions = [] }: SumFinding, f: Format): string {
  const words = says({ code, values } as unknown as Finding, f);
  const names = [...joints, ...sessions];
  return names.length === 0 ? words : `${names.join(', ')}: ${words}`;
}

/** A plan with what to gather and what would help, every finding with its sentence. */
export function saidPlan(
  plan: PlanAnswer & { readonly gather: readonly Finding[]; readonly fixes: readonly Fix[] },
  f: Format,
) {
  return {
    ...plan,
    verdicts: Object.fromEntries(
      ASPECTS.map((aspect) => {
        const { cause, ...rest } = plan.verdicts[aspect];
        return [aspect, { ...rest, cause: { ...cause, says: says(cause, f) }, says: says(cause, f) }];
      }),
    ),
    findings: plan.findings.map((each) => ({ ...each, says: says(each, f) })),
    bench: plan.sessions.flatMap(({ id, operations }) =>
      operations.map(
        ({ id: operation, kind, joints, clamps, hands, startMin, endMin, wait, instruction }) => ({
          session: id,
          operation,
          kind,
          joints,
          clamps,
          hands,
          startMin,
          endMin,
          wait,
          says: `${says(instruction, f)}: ${detailWords(instruction, f)}`,
        }),
      ),
    ),
    gather: plan.gather.map((item) => ({
      what: item.code,
      count: 'count' in item.values ? item.values.count : 1,
      ...('openingMm' in item.values ? { setting: { openingMm: item.values.openingMm } } : {}),
      values: item.values,
      says: says(item, f),
    })),
    fixes: plan.fixes.map(({ change, aspect, states, after, first }) => ({
      edit: change,
      says: says(change, f),
      aspect,
      first,
      figure: after.figure,
      verdicts: states,
    })),
  };
}

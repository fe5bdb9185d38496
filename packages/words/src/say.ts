import type { Finding } from '@lean-clasp/core/basics';
import type { Fix } from '@lean-clasp/core/fixes';
import type { PlanAnswer } from '@lean-clasp/core/plan';
import { ASPECTS } from '@lean-clasp/core/verdicts';
import { detailWords, instructionWords } from './bench';
import { causeWords, changeWords, placingWords, tighteningWords } from './causes';
import type { Format } from './format';
import { gatherWords, troubleWords } from './gather';
import { findingWords } from './kind-words';

/** Where a finding may be worded, the likeliest first. */
const TABLES: readonly ((finding: Finding, f: Format) => string)[] = [
  causeWords,
  findingWords,
  instructionWords,
  gatherWords,
  changeWords,
  tighteningWords,
  placingWords,
  troubleWords,
];

/** Any finding as a sentence, wherever its words stand; null for a code that nobody worded. */
export function says(finding: Finding, f: Format): string | null {
  for (const words of TABLES) {
    const said = words(finding, f);
    if (said !== finding.code) return said;
  }
  return null;
}

/** A finding with its sentence; a code without words keeps its code. */
const said = (finding: Finding, f: Format) => ({ ...finding, says: says(finding, f) ?? finding.code });

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
        return [aspect, { ...rest, cause: said(cause, f), says: says(cause, f) ?? cause.code }];
      }),
    ),
    findings: plan.findings.map((each) => said(each, f)),
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
          says: `${instructionWords(instruction, f)}: ${detailWords(instruction, f)}`,
        }),
      ),
    ),
    gather: plan.gather.map((item) => ({
      what: item.code,
      count: Number(item.values.count ?? 1),
      ...(item.values.openingMm === undefined ? {} : { setting: { openingMm: item.values.openingMm } }),
      values: item.values,
      says: gatherWords(item, f),
    })),
    fixes: plan.fixes.map(({ change, aspect, states, after, first }) => ({
      edit: change,
      says: changeWords(change, f),
      aspect,
      first,
      figure: after.figure,
      verdicts: states,
    })),
  };
}

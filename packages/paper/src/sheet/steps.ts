import type { ScriptOperation } from '@lean-clasp/core/bench';
import type { Plan } from '@lean-clasp/core/plan';
import { formatClock } from '@lean-clasp/core/units';
import { detailWords, type Format, says } from '@lean-clasp/words';
import { type Flow, tickRow, TYPE } from '../pdf/flow';
import type { Pdf } from '../pdf/open-pdf';

/** More steps than this stand in small type in two columns, and more than that in three, details only where they are new. */
const MANY_STEPS = { two: 30, three: 60 } as const;

/** Steps to tick off, with the minute at which each begins. */
export function writeSteps(flow: Flow, plan: Plan, steps: readonly ScriptOperation[], f: Format) {
  const count = steps.length > MANY_STEPS.three ? 3 : steps.length > MANY_STEPS.two ? 2 : 1;
  const told = count === 3 ? new Set<string>() : null;
  flow.columns(
    count,
    steps.map((step) => stepRow(flow.pdf, step, plan, f, { small: count > 1, told })),
  );
}

const MINUTES_MM = { usual: 13, small: 9 } as const;

interface StepStyle {
  readonly small: boolean;
  /** Kinds of work whose detail was told before, where many steps are told short; null to tell all. */
  readonly told: Set<string> | null;
}

export function stepRow(pdf: Pdf, step: ScriptOperation, plan: Plan, f: Format, { small, told }: StepStyle) {
  const detail = told?.has(step.kind) === true ? '' : detailWords(step.instruction, f);
  told?.add(step.kind);
  const hands = step.hands.map((hand) => (told === null ? `hands ${hand + 1}` : hand + 1));
  const who = plan.build.crew > 1 && hands.length > 0 ? ` (${hands.join(' and ')})` : '';
  return tickRow(pdf, joined(`${says(step.instruction, f)}${who}`, detail), {
    before: formatClock(step.startMin),
    beforeMm: small ? MINUTES_MM.small : MINUTES_MM.usual,
    size: small ? TYPE.small : TYPE.text,
  });
}

/** What is done, and its detail behind it. */
export const joined = (what: string, detail: string): string =>
  detail === '' ? what : `${what}${what.endsWith('.') ? ' –' : ':'} ${detail}`;

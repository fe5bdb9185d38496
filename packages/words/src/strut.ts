import type { RowPlan } from '@lean-clasp/core/plan';

/** What keeps the panel from popping out of plane, in a sentence. */
export function strutWords({ strut, heldBy }: RowPlan): string {
  const times = strut.loadShare.toFixed(1);
  if (strut.loadShare < 0.3)
    return 'The pull is small for a panel of this width and thickness; it stays flat by itself.';
  if (heldBy.length === 0) {
    return strut.loadShare >= 0.8
      ? `Free, this panel would buckle: the pull is ${times} times what pops it. Lay bars against both faces or put cauls across.`
      : `The pull is ${Math.round(100 * strut.loadShare)} % of what pops a free panel. Hold it by bars on both faces or by cauls.`;
  }
  const holding = heldBy.map((what) => (what === 'bars' ? 'bars on both faces' : 'cauls')).join(' and ');
  return strut.loadShare >= 0.8
    ? `Free, this panel would buckle: the pull is ${times} times what pops it. What holds it: ${holding}.`
    : `Held by ${holding}; free, the pull would be ${Math.round(100 * strut.loadShare)} % of what pops it.`;
}

import { type Aspect, ASPECTS, type VerdictState } from '../basics/aspects';
import type { Finding, PlanFinding } from '../findings';
import { clamp } from '../basics/range';

export { ASPECTS, type Aspect, type VerdictState };

/** What kind of number a figure is, so that an interface can print it in the person's units. */
export type FigureKind = 'minutes' | 'pressure' | 'force' | 'fine-length';

/** One of the four verdicts on a plan. */
export interface Verdict {
  readonly aspect: Aspect;
  readonly state: VerdictState;
  readonly kind: FigureKind;
  /** Null when there is no number to give, such as the bow of a panel that would pop. */
  readonly figure: number | null;
  /** What the figure is measured against: the least or the most that is good enough. */
  readonly against: number;
  readonly sense: 'at-least' | 'at-most';
  /** Filled share of the bar; its limit mark always stands at one half. */
  readonly barShare: number;
  /** The one thing that limits it. */
  readonly cause: PlanFinding;
  /** Steps of the sum, to be opened by whoever wants to know how. */
  readonly workings: readonly Finding[];
}

/** Bar position of a margin: −1 empty, 0 at the limit mark, +1 full. */
export function barShareOf(margin: number): number {
  return 0.5 + 0.5 * clamp(margin, -1, 1);
}

/** Order of states from worst to best, for comparing plans. */
export function stateRank(state: VerdictState): number {
  return { fails: 0, close: 1, holds: 2 }[state];
}

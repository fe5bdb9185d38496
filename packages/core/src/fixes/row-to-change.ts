import type { BuildDocument } from '../formats';
import type { RowPlan } from '../plan';
import type { Verdict } from '../verdicts';

/** A planned row with its build, as its changes look at it. */
export interface RowToChange extends RowPlan {
  readonly build: BuildDocument;
  readonly square: Verdict;
}

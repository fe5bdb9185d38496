import type { FlatPart, SquarePart } from '../findings';

/** A verdict on a row with less than this share of the allowance left is close. */
export const CLOSE_SHARE = 0.3;

/** One thing that adds to how far a row strays, under the code that says it. */
export interface RowPart<Code extends FlatPart | SquarePart = FlatPart> {
  readonly code: Code;
  readonly mm: number;
}

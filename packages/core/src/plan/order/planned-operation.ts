import type { CheckCode, Finding } from '../../findings';
import type { OperationKind } from '../../kinds';

/** What a wait ends with: the glue drags under a clamp, its squeeze-out is rubbery, or a coat is dry. */
export type WaitUntil = 'drags' | 'rubbery' | 'dry';

/** One stretch of work at the bench. */
export interface PlannedOperation {
  /** Survives edits that leave it be: what is done to what. */
  readonly id: string;
  readonly kind: OperationKind;
  /** Ids of the joints that it concerns. */
  readonly joints: readonly string[];
  /** Numbers of the clamps, or pairs of cauls, that it concerns. */
  readonly clamps: readonly number[];
  /** Pairs of hands, from 0. */
  readonly hands: readonly number[];
  /** From the first bead of its session. */
  readonly startMin: number;
  readonly endMin: number;
  /** Ids of those that must end before it may begin. */
  readonly after: readonly string[];
  /** A wait that it begins with, in place of work; null where there is none. */
  readonly wait: { readonly min: number; readonly until: WaitUntil } | null;
  /** Reading that it asks for; null where it asks for none. */
  readonly asks: CheckCode | null;
  readonly instruction: Finding;
}

/** An operation that is not yet set against the others. */
export type Draft = Omit<PlannedOperation, 'after'>;

/** Whether it is done hours into the cure rather than in the session: it waits for squeeze-out to turn rubbery. */
export const isLater = ({ wait }: Pick<PlannedOperation, 'wait'>): boolean => wait?.until === 'rubbery';

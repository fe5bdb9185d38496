import type { Finding } from '../../findings';
import type { SequenceAnswer } from '../../sequence';

/** The best arrangement so far, in the words of a build. */
export interface Arranged {
  readonly status: SequenceAnswer['status'];
  /** Ids of the joints of each session. */
  readonly sessions: readonly (readonly string[])[];
  /** Share of every window that is left over for a fumble. */
  readonly askedMargin: number;
  /** Fewest sessions that can be told beforehand, and why. */
  readonly leastSessions: number;
  readonly why: Finding;
  /** Joints that stand in the way, by name, with a code each; empty where there is an arrangement. */
  readonly impossible: readonly { readonly code: string; readonly joints: readonly string[] }[];
  readonly done: number;
  readonly of: number;
}

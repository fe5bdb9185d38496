import type { ImpossibleCode } from '../../sequence';
import type { SequenceSession } from '../../sequence';
import type { JointTimes } from './joint-times';

/** Two sub-assemblies brought together in a session. */
export interface Closing {
  /** Ids of the joints that close in one go. */
  readonly joints: readonly string[];
  readonly startMin: number;
}

/** Joints put together dry as a jig for a session. */
export interface DryJig {
  readonly joints: number;
  readonly minutes: number;
}

/** One session with its clock. */
export interface OrderedSession extends SequenceSession {
  readonly closings: readonly Closing[];
  /** What stands dry around it to hold it in its place; null where nothing does. */
  readonly dryJig: DryJig | null;
  /** Hands-on work and the check, and putting the jig together before, min. */
  readonly workMin: number;
}

/** The sessions of a build, or what stands in their way. */
export interface Order {
  readonly sessions: readonly OrderedSession[];
  /** In the order of the joints. */
  readonly times: readonly JointTimes[];
  readonly handsOnMin: number;
  readonly impossible: {
    readonly session: number;
    readonly code: ImpossibleCode;
    /** Names of the joints. */
    readonly joints: readonly string[];
  } | null;
}

import type { WaysOut } from './ways-out';

/** One joint as the sequence sees it. */
export interface JointWork {
  readonly id: string;
  /** Indexes of its two parts. */
  readonly a: number;
  readonly b: number;
  readonly spreadMin: number;
  readonly closeMin: number;
  /** Pairs of hands that closing it takes. */
  readonly hands: number;
  /** Ways in which b can leave a. */
  readonly ways: WaysOut;
}

/** How many clamps of each kind; kinds are free labels. */
export type ClampCount = Readonly<Record<string, number>>;

/**
 * One pass with the clamps that presses one joint, or several that the same clamps close. It follows the closing
 * of all its joints that are made in the session.
 */
export interface Press {
  readonly joints: readonly number[];
  /** For all of its joints, min. */
  readonly clampMin: number;
  /** Pairs of hands at it all the while. */
  readonly hands: number;
  readonly clamps: ClampCount;
  /** True where each part of it takes all its clamps and minutes; false where they are shared out by joints. */
  readonly whole: boolean;
}

/** Windows after the margin that is asked for, min. */
export interface Windows {
  /** First bead to closed. */
  readonly openMin: number;
  /** Closed to full pressure. */
  readonly closedMin: number;
  /** First bead to full pressure. */
  readonly totalMin: number;
}

/** Ways in which part `b` runs into part `c`, at `b * parts + c`. */
export type RunsInto = Int32Array;

/** An assembly to be cut into sessions and put in order. */
export interface SequenceProblem {
  /** How many parts the joints name; parts without joints are left out. */
  readonly parts: number;
  readonly joints: readonly JointWork[];
  /** Ways in which one part, moved far, runs into another that it is not joined to; left out where none does. */
  readonly runsInto: RunsInto | null;
  /** Every joint is in exactly one of them. */
  readonly presses: readonly Press[];
  readonly windows: Windows;
  readonly crew: number;
  /** Clamps there are; null where they never run out, and none of a kind that is not named. */
  readonly rack: ClampCount | null;
  readonly clampTimeMin: number;
  readonly setUpMin: number;
  /** Session, from 0, that a person wants a joint made in; null leaves it open. */
  readonly pins: readonly (number | null)[];
}

/** Times are compared to this many minutes. */
export const TIME_EPS_MIN = 1e-9;

/** Share of a press that some of its joints are. */
function shareOf(press: Press, count: number): number {
  return press.whole ? 1 : count / press.joints.length;
}

/** Minutes of clamping for `count` joints of a press. */
export function pressMinutes(press: Press, count: number): number {
  return press.clampMin * shareOf(press, count);
}

/** Clamps that these joints tie up when made in one session. */
export function clampsFor(problem: SequenceProblem, joints: readonly number[]): ClampCount {
  const made = new Set(joints);
  const sum: Record<string, number> = {};
  for (const press of problem.presses) {
    const count = press.joints.filter((joint) => made.has(joint)).length;
    if (count === 0) continue;
    for (const [kind, clamps] of Object.entries(press.clamps)) {
      sum[kind] = (sum[kind] ?? 0) + Math.ceil(clamps * shareOf(press, count) - TIME_EPS_MIN);
    }
  }
  return sum;
}

/** Kinds of clamps that the rack is short of for these joints together. */
export function shortOf(problem: SequenceProblem, joints: readonly number[]): string[] {
  const { rack } = problem;
  if (rack === null) return [];
  return Object.entries(clampsFor(problem, joints))
    .filter(([kind, count]) => count > (rack[kind] ?? 0))
    .map(([kind]) => kind);
}

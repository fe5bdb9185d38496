import { logNormal, scatterFrom, type SessionOperation as Operation } from '../../sequence';
import type { PlanParts } from '../plan';
import { passesOf, pressing } from '../pulls/passes';
import { workforceOf } from './order-problem';
import { pressSteps } from './press-steps';

/** How likely every window holds, out of simulated runs. */
export interface Likelihood {
  readonly runs: number;
  /** Share of the runs in which all held, with the ends of its 95 % confidence interval. */
  readonly share: number;
  readonly low: number;
  readonly high: number;
  /** The joint that failed in most runs, and the share of runs; null where none did. */
  readonly weakest: { readonly label: string; readonly share: number } | null;
}

/** Runs simulated; enough for an interval of ± 2 %. */
const RUNS = 2000;
/** How much one step differs from another like it, and one day from another, until the log knows better: standard deviation over mean [judgement]. */
export const USUAL_SCATTER = Object.freeze({ stepCv: 0.25, dayCv: 0.1 });
/** The same of the open time of a glue. */
export const WINDOW_CV = 0.2;

/**
 * Plays the sessions of a plan many times with minutes and windows that vary: log-normal around what is planned,
 * each step on its own and all of a day together, the windows of a run together, since it is one glue in one air. People keep to the
 * planned order; nobody starts before what is needed is done, and planned pauses are kept. Where the log has taught how much steps,
 * days and windows vary, it goes by that. Source: models §8; spreads are defaults until then. Deterministic for a seed.
 * @returns null where the order cannot be made or there is nothing to glue.
 */
export function likelihoodOf(parts: PlanParts, seed = 1, runs = RUNS): Likelihood | null {
  const { order, joints } = parts;
  if (order === null || order.impossible || joints.length === 0) return null;
  const random = scatterFrom(seed);
  const windows = new Map(joints.map(({ facts, window }) => [facts.joint.id, window]));
  const { learned } = parts.shop;
  const { stepCv, dayCv } = learned?.scatter ?? USUAL_SCATTER;
  const windowCv = learned?.windows.find(({ adhesive }) => adhesive === parts.adhesive.id)?.cv ?? WINDOW_CV;
  const sessions = order.sessions.map(({ operations }) => ({
    works: playable(operations, (joints) => movesIn(parts, joints)),
    fuses: fusesOf(operations, windows),
  }));
  const failed = new Map<string, number>();
  let held = 0;
  for (let run = 0; run < runs; run += 1) {
    const stretch = logNormal(random, windowCv);
    let all = true;
    for (const session of sessions) {
      const day = logNormal(random, dayCv);
      const minutes = ({ operation, moves }: Playable) =>
        (operation.endMin - operation.startMin) * day * lasting(moves, () => logNormal(random, stepCv));
      for (const joint of lateJoints(session, stretch, minutes)) {
        failed.set(joint, (failed.get(joint) ?? 0) + 1);
        all = false;
      }
    }
    if (all) held += 1;
  }
  const worst = [...failed].sort((x, y) => y[1] - x[1])[0];
  const label = joints.find(({ facts }) => facts.joint.id === worst?.[0])?.facts.label;
  return {
    runs,
    share: held / runs,
    ...wilson(held, runs),
    weakest: worst === undefined || label === undefined ? null : { label, share: worst[1] / runs },
  };
}

/** A move of a pass with clamps: its share of the minutes of the pass, and those that are over before it is begun. */
interface Move {
  readonly share: number;
  readonly after: readonly number[];
}

const ONE_MOVE: readonly Move[] = [{ share: 1, after: [] }];
/** Moves nearer than this in time follow each other, min. */
const SAME_MIN = 1e-9;

/** What a pass with clamps is made of, pull after pull, as it is done at the bench; one move where nothing presses. */
function movesIn(parts: PlanParts, joints: readonly string[]): Move[] {
  const pass = passesOf(parts.pulls).find((each) => each.joints.some((joint) => joints.includes(joint)));
  let fromMin = 0;
  const steps = pressing(pass ?? { joints: [], pulls: [] }, joints).flatMap((pull) => {
    const own = pressSteps(pull, parts.row, workforceOf(parts));
    const laid = own.steps.map(({ startMin, endMin }) => ({
      startMin: fromMin + startMin,
      endMin: fromMin + endMin,
    }));
    fromMin += own.minutes;
    return laid;
  });
  if (fromMin === 0) return [...ONE_MOVE];
  return steps.map(({ startMin, endMin }) => ({
    share: (endMin - startMin) / fromMin,
    after: steps.flatMap((earlier, k) => (earlier.endMin <= startMin + SAME_MIN ? [k] : [])),
  }));
}

/** How long moves take together, as a share of what is planned, each scattering on its own. */
function lasting(moves: readonly Move[], scattered: () => number): number {
  const ends: number[] = [];
  for (const { share, after } of moves) {
    const start = after.reduce((latest, k) => Math.max(latest, ends[k] ?? 0), 0);
    ends.push(start + share * scattered());
  }
  return Math.max(...ends);
}

/** An operation with those that must end before it, and the pause planned after the last of its hands. */
interface Playable {
  readonly operation: Operation;
  readonly needs: readonly number[];
  readonly pauseMin: number;
  /** What it is made of, each move varying on its own. */
  readonly moves: readonly Move[];
}

function playable(
  operations: readonly Operation[],
  movesOf: (joints: readonly string[]) => readonly Move[],
): Playable[] {
  return operations.map((operation, i) => {
    const earlier = operations.slice(0, i).map((other, k) => ({ other, k }));
    const sameHands = earlier.filter(({ other }) =>
      other.hands.some((hand) => operation.hands.includes(hand)),
    );
    const ended = Math.max(0, ...sameHands.map(({ other }) => other.endMin));
    const needs = earlier.filter(
      ({ other }) =>
        other.endMin <= operation.startMin + 1e-9 &&
        (other.hands.some((hand) => operation.hands.includes(hand)) || comesFirst(other, operation)),
    );
    return {
      operation,
      moves: operation.kind === 'clamp' ? movesOf(operation.joints) : ONE_MOVE,
      needs: needs.map(({ k }) => k),
      pauseMin: Math.max(0, operation.startMin - ended),
    };
  });
}

/** Spreading comes before closing, closing before clamping, and closings keep their order. */
function comesFirst(one: Operation, other: Operation): boolean {
  if (one.kind === 'close' && other.kind === 'close') return true;
  const shared = one.joints.some((joint) => other.joints.includes(joint));
  return (
    shared &&
    ((one.kind === 'spread' && other.kind === 'close') || (one.kind === 'close' && other.kind === 'clamp'))
  );
}

/** A joint with its operations by number, and the windows that run between them. */
interface Fuse {
  readonly joint: string;
  readonly spread: number;
  readonly close: number;
  readonly clamp: number;
  readonly openMin: number;
  readonly closedMin: number;
  readonly totalMin: number;
}

function fusesOf(
  operations: readonly Operation[],
  windows: ReadonlyMap<string, PlanParts['joints'][number]['window']>,
): Fuse[] {
  const at = (kind: Operation['kind'], joint: string) =>
    operations.findIndex((operation) => operation.kind === kind && operation.joints.includes(joint));
  return operations
    .filter(({ kind }) => kind === 'spread')
    .flatMap(({ joints }) => joints)
    .map((joint) => ({
      joint,
      spread: at('spread', joint),
      close: at('close', joint),
      clamp: at('clamp', joint),
      openMin: windows.get(joint)?.openMin?.likely ?? 0,
      closedMin: windows.get(joint)?.closedMin?.likely ?? 0,
      totalMin: windows.get(joint)?.totalMin?.likely ?? 0,
    }));
}

function lateJoints(
  { works, fuses }: { readonly works: readonly Playable[]; readonly fuses: readonly Fuse[] },
  stretch: number,
  minutes: (work: Playable) => number,
): string[] {
  const ends: number[] = [];
  const starts = works.map((work, i) => {
    const { needs, pauseMin } = work;
    // A pause that only waited for somebody else has passed by the time that is done.
    const start = needs.length === 0 ? pauseMin : Math.max(...needs.map((k) => ends[k] ?? 0));
    ends[i] = start + minutes(work);
    return start;
  });
  return fuses
    .filter(({ spread, close, clamp, openMin, closedMin, totalMin }) => {
      const spreadAt = starts[spread] ?? 0;
      const closedAt = ends[close] ?? 0;
      const pressedAt = ends[clamp] ?? 0;
      return (
        closedAt - spreadAt > openMin * stretch ||
        pressedAt - closedAt > closedMin * stretch ||
        pressedAt - spreadAt > totalMin * stretch
      );
    })
    .map(({ joint }) => joint);
}

/** 95 % confidence interval of a share (Wilson's score). */
function wilson(held: number, runs: number): { readonly low: number; readonly high: number } {
  const z = 1.96;
  const share = held / runs;
  const middle = (share + (z * z) / (2 * runs)) / (1 + (z * z) / runs);
  const half =
    (z / (1 + (z * z) / runs)) * Math.sqrt((share * (1 - share)) / runs + (z * z) / (4 * runs * runs));
  return { low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}

import type { SessionOperation as Operation } from '../../sequence';
import type { PlanParts } from '../plan';
import { passesOf, pressing } from '../pulls/passes';
import { workforceOf } from './workforce';
import { pressSteps } from './press-steps';

/** A session as numbers, to be played many times over. */
export interface PlayedSession {
  readonly works: readonly Work[];
  readonly fuses: readonly Fuse[];
  /** When each of the works began and ended as last played, min. */
  readonly starts: Float64Array;
  readonly ends: Float64Array;
  /** How often each of the fuses has burnt out so far. */
  readonly late: Int32Array;
}

/** An operation with those that must end before it, and the pause planned after the last of its hands. */
interface Work {
  readonly minutes: number;
  readonly needs: Int32Array;
  readonly pauseMin: number;
  /** What it is made of, each move varying on its own; none: it varies as one. */
  readonly moves: readonly Move[];
  /** When each move ended in this run, as a share of the minutes. */
  readonly movesEnd: Float64Array;
}

/** A move of a pass with clamps: its share of the minutes of the pass, and those that are over before it is begun. */
interface Move {
  readonly share: number;
  readonly after: Int32Array;
}

/** A joint with its operations by number, and the windows that run between them, min. */
interface Fuse {
  readonly joint: string;
  readonly spread: number;
  readonly close: number;
  readonly clamp: number;
  readonly openMin: number;
  readonly closedMin: number;
  readonly totalMin: number;
}

/** Moves nearer than this in time follow each other, min. */
const SAME_MIN = 1e-9;

/** What is done in a session of a plan, and the windows that run meanwhile. */
export function playedSession(parts: PlanParts, operations: readonly Operation[]): PlayedSession {
  const fuses = fusesOf(parts, operations);
  return {
    works: operations.map((operation, i) => workOf(parts, operation, operations.slice(0, i))),
    fuses,
    late: new Int32Array(fuses.length),
    starts: new Float64Array(operations.length),
    ends: new Float64Array(operations.length),
  };
}

/**
 * Plays a session once: nobody starts before what is needed is done, and planned pauses are kept.
 * @param day How much longer everything takes today.
 * @param step How much longer a step or move takes, drawn for each.
 */
export function play({ works, starts, ends }: PlayedSession, day: number, step: () => number): void {
  for (const [i, { minutes, needs, pauseMin, moves, movesEnd }] of works.entries()) {
    // A pause that only waited for somebody else has passed by the time that is done.
    const start = needs.length === 0 ? pauseMin : latest(ends, needs);
    starts[i] = start;
    ends[i] = start + minutes * day * (moves.length === 0 ? step() : lasting(moves, movesEnd, step));
  }
}

/** Whether every window of a session as last played has held, where windows are so much longer today; counts those that have not. */
export function holdsToday({ fuses, starts, ends, late }: PlayedSession, stretch: number): boolean {
  let all = true;
  for (const [i, { spread, close, clamp, openMin, closedMin, totalMin }] of fuses.entries()) {
    const spreadAt = starts[spread] ?? 0;
    const closedAt = ends[close] ?? 0;
    const pressedAt = ends[clamp] ?? 0;
    const holds =
      closedAt - spreadAt <= openMin * stretch &&
      pressedAt - closedAt <= closedMin * stretch &&
      pressedAt - spreadAt <= totalMin * stretch;
    if (holds) continue;
    late[i] = (late[i] ?? 0) + 1;
    all = false;
  }
  return all;
}

/** The latest of some ends. */
function latest(ends: Float64Array, of: Int32Array): number {
  let end = 0;
  for (const k of of) end = Math.max(end, ends[k] as number);
  return end;
}

/** How long moves take together, as a share of what is planned, each scattering on its own. */
function lasting(moves: readonly Move[], ends: Float64Array, step: () => number): number {
  let last = 0;
  for (const [i, { share, after }] of moves.entries()) {
    const end = latest(ends, after) + share * step();
    ends[i] = end;
    last = Math.max(last, end);
  }
  return last;
}

function workOf(parts: PlanParts, operation: Operation, earlier: readonly Operation[]): Work {
  const shares = (other: Operation) => other.hands.some((hand) => operation.hands.includes(hand));
  const ended = Math.max(0, ...earlier.filter(shares).map(({ endMin }) => endMin));
  const needs = earlier.flatMap((other, k) =>
    other.endMin <= operation.startMin + SAME_MIN && (shares(other) || comesFirst(other, operation))
      ? [k]
      : [],
  );
  const moves = operation.kind === 'clamp' ? movesIn(parts, operation.joints) : [];
  return {
    minutes: operation.endMin - operation.startMin,
    needs: Int32Array.from(needs),
    pauseMin: Math.max(0, operation.startMin - ended),
    moves,
    movesEnd: new Float64Array(moves.length),
  };
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

/** What a pass with clamps is made of, pull after pull, as it is done at the bench; nothing where nothing presses. */
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
  if (fromMin === 0) return [];
  return steps.map(({ startMin, endMin }) => ({
    share: (endMin - startMin) / fromMin,
    after: Int32Array.from(steps.flatMap((earlier, k) => (earlier.endMin <= startMin + SAME_MIN ? [k] : []))),
  }));
}

function fusesOf({ joints }: PlanParts, operations: readonly Operation[]): Fuse[] {
  const windows = new Map(joints.map(({ facts, window }) => [facts.joint.id, window]));
  const at = (kind: Operation['kind'], joint: string) =>
    operations.findIndex((operation) => operation.kind === kind && operation.joints.includes(joint));
  return operations
    .filter(({ kind }) => kind === 'spread')
    .flatMap((operation) => operation.joints)
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

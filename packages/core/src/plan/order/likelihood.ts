import { scatterFrom, type SessionOperation as Operation } from '../../sequence';
import type { PlanParts } from '../plan';

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
/** Spread of the minutes of any operation, and of the open time of a glue, as standard deviation over mean. */
const OPERATION_CV = 0.25;
const WINDOW_CV = 0.2;

/**
 * Plays the sessions of a plan many times with minutes and windows that vary: log-normal around what is planned,
 * each operation on its own, the windows of a run together, since it is one glue in one air. People keep to the
 * planned order; nobody starts before what is needed is done, and planned pauses are kept.
 * Source: models §8; spreads are defaults until the logbook knows better. Deterministic for a seed.
 * @returns null where the order cannot be made or there is nothing to glue.
 */
export function likelihoodOf(parts: PlanParts, seed = 1): Likelihood | null {
  const { order, joints } = parts;
  if (order === null || order.impossible || joints.length === 0) return null;
  const random = scatterFrom(seed);
  const windows = new Map(joints.map(({ facts, window }) => [facts.joint.id, window]));
  const sessions = order.sessions.map(({ operations }) => ({
    works: playable(operations),
    fuses: fusesOf(operations, windows),
  }));
  const failed = new Map<string, number>();
  let held = 0;
  for (let run = 0; run < RUNS; run += 1) {
    const stretch = logNormal(random, WINDOW_CV);
    let all = true;
    for (const session of sessions) {
      for (const joint of lateJoints(session, stretch, random)) {
        failed.set(joint, (failed.get(joint) ?? 0) + 1);
        all = false;
      }
    }
    if (all) held += 1;
  }
  const worst = [...failed].sort((x, y) => y[1] - x[1])[0];
  const label = joints.find(({ facts }) => facts.joint.id === worst?.[0])?.facts.label;
  return {
    runs: RUNS,
    share: held / RUNS,
    ...wilson(held, RUNS),
    weakest: worst === undefined || label === undefined ? null : { label, share: worst[1] / RUNS },
  };
}

/** An operation with those that must end before it, and the pause planned after the last of its hands. */
interface Playable {
  readonly operation: Operation;
  readonly needs: readonly number[];
  readonly pauseMin: number;
}

function playable(operations: readonly Operation[]): Playable[] {
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
    return { operation, needs: needs.map(({ k }) => k), pauseMin: Math.max(0, operation.startMin - ended) };
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
  random: () => number,
): string[] {
  const ends: number[] = [];
  const starts = works.map(({ operation, needs, pauseMin }, i) => {
    // A pause that only waited for somebody else has passed by the time that is done.
    const start = needs.length === 0 ? pauseMin : Math.max(...needs.map((k) => ends[k] ?? 0));
    ends[i] = start + (operation.endMin - operation.startMin) * logNormal(random, OPERATION_CV);
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

/** A factor with mean 1 and the given spread. */
function logNormal(random: () => number, cv: number): number {
  const variance = Math.log(1 + cv * cv);
  // Box and Muller's transform; 1 − random keeps the logarithm finite.
  const normal = Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  return Math.exp(Math.sqrt(variance) * normal - variance / 2);
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

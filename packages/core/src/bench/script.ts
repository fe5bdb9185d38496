import type { CheckCode } from '../findings';
import type { Script, ScriptOfBefore } from '../formats';
import { fuseOf, holdsFuse, isLater, operationsOf, type Plan, type PlannedOperation } from '../plan';

/** One thing to do at the bench, with its place on the clock that starts with the first bead. */
export type ScriptOperation = Script['operations'][number];

/** A burning joint: lit by one operation, closed by another, out once all that hold it are done; unfavourable ends of its windows. */
export type Fuse = Script['fuses'][number];

/** What bench mode runs through. */
export type BenchScript = Script;

const NOTHING: BenchScript = { operations: [], fuses: [], plannedMin: 0 };

/**
 * The script of a plan's first session, or of another; empty where there is nothing to glue. What comes before the first bead is not
 * in it: the clock does not run yet. A plan whose glue is refused has no fuses and should not be run.
 */
export function benchScript(plan: Plan, session = 0): BenchScript {
  const ordered = plan.order?.sessions[session];
  if (ordered === undefined) return NOTHING;
  const timed = operationsOf(plan, ordered).filter(({ startMin, endMin }) => endMin > startMin);
  const known = new Set(timed.map(({ id }) => id));
  const soon = timed.filter((operation) => !isLater(operation));
  const fuses = ordered.joints.flatMap((joint): Fuse[] => {
    const planned = plan.joints.find(({ facts }) => facts.joint.id === joint);
    const fuse = planned === undefined ? null : fuseOf(planned, soon);
    if (planned === undefined || fuse === null) return [];
    const { lit, closed, openMin, closedMin, totalMin } = fuse;
    return [
      {
        joint,
        label: planned.facts.label,
        lit,
        closed,
        holds: soon.filter((operation) => holdsFuse(operation, joint)).map(({ id }) => id),
        openMin,
        closedMin,
        totalMin,
      },
    ];
  });
  return {
    operations: timed.map(
      ({ id, kind, instruction, joints, clamps, hands, startMin, endMin, after, wait, asks }) => ({
        id,
        kind,
        instruction,
        joints: [...joints],
        clamps: [...clamps],
        hands: [...hands],
        startMin,
        endMin,
        after: awaited({ startMin, after: after.filter((each) => known.has(each)) }, timed),
        wait: wait === null ? null : { ...wait },
        asks,
      }),
    ),
    fuses,
    plannedMin: Math.max(ordered.handsOnMin, ...soon.map(({ endMin }) => endMin)),
  };
}

/** Ends and beginnings nearer than this are one moment, min. */
const SAME_MIN = 1e-6;

/**
 * What an operation waits for. Where its own hands stand idle before it the plan has it wait for somebody else: a bead laid at once
 * would burn all that while.
 */
function awaited(
  { startMin, after }: Pick<PlannedOperation, 'startMin' | 'after'>,
  all: readonly PlannedOperation[],
): string[] {
  const earlier = all.filter(({ endMin }) => endMin <= startMin + SAME_MIN);
  const latestMin = Math.max(0, ...earlier.map(({ endMin }) => endMin));
  const own = earlier.filter(({ id }) => after.includes(id));
  if (own.some(({ endMin }) => endMin >= latestMin - SAME_MIN)) return [...after];
  const others = earlier.filter(({ endMin }) => endMin >= latestMin - SAME_MIN).map(({ id }) => id);
  return [...after, ...others];
}

/** What an operation reads; null for most, and for what a later version asks. */
export const asked = ({ asks }: Pick<ScriptOperation, 'asks'>): CheckCode | null => asks as CheckCode | null;

/** Whether an operation is done hours into the cure, long after the clamps were left alone. */
export const comesLater = ({ wait }: Pick<ScriptOperation, 'wait'>): boolean => isLater({ wait });

/** What ends first is ticked off first; among those, what begins first. */
export const byPlan = (one: ScriptOperation, other: ScriptOperation): number =>
  one.endMin - other.endMin || one.startMin - other.startMin;

/** What is done before the clamps are left alone, in the order in which it is shown. */
export const stepsOfSession = ({ operations }: BenchScript): ScriptOperation[] =>
  operations.filter((operation) => !comesLater(operation)).sort(byPlan);

/**
 * A script as runs keep it today. Runs begun before kept steps one after the other, by their places: each waits for the one before, and
 * joints go by their place in the plan.
 */
export function scriptOfRun(kept: Script | ScriptOfBefore): BenchScript {
  if ('operations' in kept) return kept;
  const { steps, fuses, plannedMin } = kept;
  const at = (step: number): string => steps[Math.max(0, step)]?.operation ?? '';
  return {
    operations: steps.map(({ operation, instruction, lines, clamp, plannedEndMin }, i) => ({
      id: operation,
      kind: operation.split(':')[0] ?? operation,
      instruction,
      joints: lines.map((line) => `${line}`),
      clamps: clamp === null ? [] : [clamp],
      hands: [0],
      startMin: steps[i - 1]?.plannedEndMin ?? 0,
      endMin: plannedEndMin,
      after: i === 0 ? [] : [at(i - 1)],
      wait: null,
      asks: null,
    })),
    fuses: fuses.map(({ line, label, litByStep, closedByStep, outByStep, openMin, closedMin, totalMin }) => ({
      joint: `${line}`,
      label,
      lit: at(litByStep),
      closed: at(closedByStep),
      holds: steps.slice(Math.max(0, litByStep), outByStep + 1).map(({ operation }) => operation),
      openMin,
      closedMin,
      totalMin,
    })),
    plannedMin,
  };
}

import type { Finding } from '../findings';
import type { Script } from '../formats';
import {
  fuseOf,
  holdsFuse,
  isLater,
  operationsOf,
  type OrderedSession,
  type Plan,
  type PlannedOperation,
} from '../plan';

/** One thing to do at the bench, with its place on the plan's clock. */
export interface BenchStep {
  readonly index: number;
  /** Id of the operation that it shows. */
  readonly operation: string;
  /** What to do, as a code with values; the interface says it and speaks it. */
  readonly instruction: Finding;
  /** Joints touched now, by their place among those of the plan, and the clamp. */
  readonly lines: readonly number[];
  readonly clamp: number | null;
  /** Planned minutes on the clock that starts with the first bead. */
  readonly plannedEndMin: number;
}

/** A burning joint: lit by one step, put out by another, with a limit from its window. */
export interface Fuse {
  readonly line: number;
  readonly label: string;
  /** Step whose beginning lights it. */
  readonly litByStep: number;
  /** Step whose end closes the faces. */
  readonly closedByStep: number;
  /** Step whose end puts it out. */
  readonly outByStep: number;
  /** Unfavourable ends. */
  readonly openMin: number;
  readonly closedMin: number;
  readonly totalMin: number;
}

/** What bench mode runs through. */
export interface BenchScript {
  readonly steps: readonly BenchStep[];
  readonly fuses: readonly Fuse[];
  readonly plannedMin: number;
}

/** A script as a run keeps it from its beginning on. */
export const frozenScript = ({ steps, fuses, plannedMin }: BenchScript): Script => ({
  steps: steps.map((step) => ({ ...step, lines: [...step.lines] })),
  fuses: fuses.map((fuse) => ({ ...fuse })),
  plannedMin,
});

/** The script of a plan's first session, or of another; empty where there is nothing to glue. */
export function benchScript(plan: Plan, session = 0): BenchScript {
  const ordered = plan.order?.sessions[session];
  return ordered === undefined ? { steps: [], fuses: [], plannedMin: 0 } : scriptOf(plan, ordered);
}

/**
 * Turns a session into instructions in the order one reads them out: its operations by start. A plan whose glue is refused has no
 * fuses and should not be run.
 */
function scriptOf(plan: Plan, session: OrderedSession): BenchScript {
  const all = operationsOf(plan, session);
  const operations = all.filter((operation) => operation.endMin > operation.startMin && !isLater(operation));
  const placeOf = (joint: string) => plan.joints.findIndex(({ facts }) => facts.joint.id === joint);
  const steps = operations.map(({ id, kind, joints, clamps, instruction, endMin }, index): BenchStep => ({
    index,
    operation: id,
    instruction,
    lines: joints.map(placeOf),
    clamp: kind === 'caul' ? null : (clamps[0] ?? null),
    plannedEndMin: endMin,
  }));
  const fuses = session.joints.flatMap((joint): Fuse[] => {
    const planned = plan.joints[placeOf(joint)];
    const fuse = planned === undefined ? null : fuseOf(planned, operations);
    if (planned === undefined || fuse === null) return [];
    const { openMin, closedMin, totalMin } = fuse;
    return [
      {
        line: placeOf(joint),
        label: planned.facts.label,
        litByStep: litBy(operations, fuse.lit),
        closedByStep: operations.findIndex(({ id }) => id === fuse.closed),
        // Steps are ticked off one after the other, so that all that hold it must have been.
        outByStep: operations.findLastIndex((operation) => holdsFuse(operation, joint)),
        openMin,
        closedMin,
        totalMin,
      },
    ];
  });
  return {
    steps,
    fuses,
    plannedMin: Math.max(session.handsOnMin, ...operations.map(({ endMin }) => endMin)),
  };
}

/**
 * The step that is on show when a joint's first bead is laid. Its own spreading may be shown later, where somebody else is still at
 * what was begun before: the fuse burns from the bead, not from the screen.
 */
function litBy(operations: readonly PlannedOperation[], lit: string): number {
  const spread = operations.findIndex(({ id }) => id === lit);
  const startMin = operations[spread]?.startMin ?? 0;
  const showing = operations.findIndex(({ endMin }) => endMin > startMin + 1e-9);
  return Math.max(0, Math.min(spread, showing));
}

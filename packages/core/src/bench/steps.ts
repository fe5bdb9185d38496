import type { ClampOnPanel } from '../assembly';
import { type Finding, finding } from '../finding';
import type { Plan } from '../verdicts';

/** One thing to do at the bench, with its place on the plan's clock. */
export interface BenchStep {
  readonly index: number;
  /** What to do, as a code with values; the interface says it and speaks it. */
  readonly instruction: Finding;
  /** Lines and clamps touched now. */
  readonly lines: readonly number[];
  readonly clamp: number | null;
  /** Planned minutes on the clock that starts with the first bead. */
  readonly plannedEndMin: number;
}

/** A burning line: lit by one step, put out by another, with a limit from its window. */
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

/**
 * Turns a plan into instructions in the order one reads them out: the timeline's operations by start. A plan whose
 * glue is refused has no fuses and should not be run.
 */
export function benchScript(plan: Plan): BenchScript {
  const operations = [...plan.timeline.operations].sort(
    (a, b) => a.startMin - b.startMin || a.endMin - b.endMin,
  );
  const steps = operations.map((operation, index): BenchStep => {
    const clamp = plan.clampSet.clamps.find(({ number }) => number === operation.item);
    return {
      index,
      instruction: instructionFor(operation, plan, clamp),
      lines: operation.lines,
      clamp: operation.kind === 'set-clamp' || operation.kind === 'tighten' ? operation.item : null,
      plannedEndMin: operation.endMin,
    };
  });
  const lastPressing = operations.findLastIndex(({ kind }) => kind !== 'check');
  const fuses = plan.lines.flatMap(({ line, window }): Fuse[] => {
    if (window.openMin === null || window.closedMin === null || window.totalMin === null) return [];
    return [
      {
        line: line.index,
        label: line.label,
        litByStep: operations.findIndex(({ kind, lines }) => kind === 'spread' && lines[0] === line.index),
        closedByStep: operations.findIndex(({ kind, lines }) => kind === 'close' && lines[0] === line.index),
        outByStep: lastPressing,
        openMin: window.openMin.low,
        closedMin: window.closedMin.low,
        totalMin: window.totalMin.low,
      },
    ];
  });
  return { steps, fuses, plannedMin: plan.timeline.handsOnMin };
}

function instructionFor(
  operation: Plan['timeline']['operations'][number],
  plan: Plan,
  clamp: ClampOnPanel | undefined,
): Finding {
  const planned = plan.lines[operation.lines[0] ?? -1];
  switch (operation.kind) {
    case 'spread':
      return finding('do-spread', 'informs', {
        line: planned?.line.label ?? '',
        board: planned?.line.first.label ?? '',
        faces: plan.build.glue.faces,
        method: plan.build.glue.method,
        massG: planned?.spread.massG ?? 0,
      });
    case 'close':
      return finding('do-close', 'informs', {
        line: planned?.line.label ?? '',
        board: planned?.line.second.label ?? '',
      });
    case 'caul':
      return finding('do-caul', 'informs', {
        pair: operation.item ?? 0,
        pairs: plan.build.holding.caulPairs,
      });
    case 'set-clamp':
    case 'tighten':
      return finding(operation.kind === 'tighten' ? 'do-tighten' : 'do-set-clamp', 'informs', {
        clamp: operation.item ?? 0,
        atMm: clamp?.placed.xMm ?? 0,
        side: clamp?.placed.side ?? '',
        kind: clamp?.lot.kind ?? '',
        forceN: clamp?.forceN ?? 0,
      });
    case 'check':
      return finding('do-check', 'informs', { flatMm: plan.build.goals.flatMm });
  }
}

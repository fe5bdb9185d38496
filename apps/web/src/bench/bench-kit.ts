import { type BenchScript, benchScript } from '@lean-clasp/core/bench';
import {
  type AssemblyMarks,
  assemblyMarks,
  clampMarks,
  type PanelMarks,
  panelMarks,
  type PlacedMark,
} from '@lean-clasp/core/drawing';
import { cornersOf, type Plan } from '@lean-clasp/core/plan';

/** An assembly as it is drawn at the bench: its marks on the slant, which parts each joint joins, and the clamps. */
export interface BenchAssembly {
  readonly marks: AssemblyMarks;
  readonly joins: readonly (readonly [string, string])[];
  readonly clamps: readonly PlacedMark[];
}

/** Everything bench mode needs to conduct a run, so that it asks nobody while the clock runs. */
export interface BenchKit {
  readonly title: string;
  readonly crew: number;
  readonly script: BenchScript;
  /** A row of straight boards; null for all else. */
  readonly marks: PanelMarks | null;
  /** What is not drawn as a row; a kit kept by an earlier version has none and is told in words. */
  readonly drawn?: BenchAssembly | null;
}

/** Packs the kit for one session of a plan. */
export function benchKit(plan: Plan, session = 0): BenchKit {
  const asRow = plan.row !== null && !plan.row.panel.outlined;
  return {
    title: plan.build.name,
    crew: plan.build.crew,
    script: benchScript(plan, session),
    marks: asRow && plan.row !== null ? panelMarks(plan.row, cornersOf(plan)) : null,
    drawn: asRow ? null : assemblyOf(plan),
  };
}

function assemblyOf(plan: Plan): BenchAssembly {
  const { facts } = plan;
  return {
    marks: assemblyMarks(facts, 'slant'),
    joins: facts.joints.map(({ joint }) => [joint.a, joint.b]),
    clamps: clampMarks(plan, 'slant'),
  };
}

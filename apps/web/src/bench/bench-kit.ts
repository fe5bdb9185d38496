import { type BenchScript, benchScript, scriptOfRun } from '@lean-clasp/core/bench';
import {
  type AssemblyMarks,
  assemblyMarks,
  clampMarks,
  closingsOnSheet,
  type PanelMarks,
  panelMarks,
  type PlacedMark,
  type SheetClosing,
} from '@lean-clasp/core/drawing';
import type { RunDocument } from '@lean-clasp/core/formats';
import { cornersOf, type Plan } from '@lean-clasp/core/plan';

/** An assembly as it is drawn at the bench: its marks on the slant, which parts each joint joins, and the clamps. */
export interface BenchAssembly {
  readonly marks: AssemblyMarks;
  readonly joins: readonly (readonly [string, string])[];
  readonly clamps: readonly PlacedMark[];
  /** How parts come together, closing by closing; kits of before do not tell. */
  readonly closings?: readonly SheetClosing[];
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
  /** Ids of all joints in the order of the drawing; kits of before go by place. */
  readonly jointIds?: readonly string[];
  /** What readings are judged by; kits of before take none. */
  readonly readings?: { readonly template: string; readonly flatMm: number; readonly squareMm: number };
}

/** Packs the kit for one session of a plan. */
export function benchKit(plan: Plan, session = 0): BenchKit {
  const asRow = plan.row !== null && !plan.row.panel.outlined;
  const { template, goals, name, crew } = plan.build;
  return {
    title: name,
    crew,
    script: benchScript(plan, session),
    marks: asRow && plan.row !== null ? panelMarks(plan.row, cornersOf(plan)) : null,
    drawn: asRow ? null : assemblyOf(plan, session),
    jointIds: plan.joints.map(({ facts }) => facts.joint.id),
    readings: { template, flatMm: goals.flatMm, squareMm: goals.squareMm },
  };
}

/** The kit with the script that was frozen when the run began: that is what it is run by, whatever the plan says today. */
export const kitOfRun = (kit: BenchKit, { script }: Pick<RunDocument, 'script'>): BenchKit =>
  script === null ? kit : { ...kit, script: scriptOfRun(script) };

/** Places of joints in the drawing. */
export const linesOf = ({ jointIds }: BenchKit, joints: readonly string[]): number[] =>
  joints.map((joint) => jointIds?.indexOf(joint) ?? Number(joint)).filter((line) => line >= 0);

function assemblyOf(plan: Plan, session: number): BenchAssembly {
  const { facts } = plan;
  return {
    marks: assemblyMarks(facts, 'slant'),
    joins: facts.joints.map(({ joint }) => [joint.a, joint.b]),
    clamps: clampMarks(plan, 'slant'),
    closings: closingsOnSheet(
      facts,
      plan.order?.sessions[session]?.closings.map(({ joints }) => joints) ?? [],
      'slant',
    ),
  };
}

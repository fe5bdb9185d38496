import { type BenchScript, benchScript } from '@lean-clasp/core/bench';
import { type PanelMarks, panelMarks } from '@lean-clasp/core/drawing';
import type { Plan } from '@lean-clasp/core/plan';

/** Everything bench mode needs to conduct a run, so that it asks nobody while the clock runs. */
export interface BenchKit {
  readonly title: string;
  readonly crew: number;
  readonly script: BenchScript;
  /** Null for what is not a row of straight boards: it is told in words, without a drawing. */
  readonly marks: PanelMarks | null;
}

/** Packs the kit for one session of a plan. */
export function benchKit(plan: Plan, session = 0): BenchKit {
  return {
    title: plan.build.name,
    crew: plan.build.crew,
    script: benchScript(plan, session),
    marks: plan.row === null || plan.row.panel.outlined ? null : panelMarks(plan.row),
  };
}

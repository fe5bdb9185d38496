import { type BenchScript, benchScript, type PanelMarks, panelMarks, type Plan } from '@lean-clasp/core';

/** Everything bench mode needs to conduct a run, so that it asks nobody while the clock runs. */
export interface BenchKit {
  readonly title: string;
  readonly crew: number;
  readonly script: BenchScript;
  readonly marks: PanelMarks;
}

/** Packs the kit for a plan. */
export function benchKit(plan: Plan): BenchKit {
  return {
    title: plan.build.name,
    crew: plan.build.crew,
    script: benchScript(plan),
    marks: panelMarks(plan),
  };
}

import type { RunPromise } from '../formats';
import type { Plan } from '../verdicts';

/** What a plan promises, frozen when a run begins. */
export function promiseOf(plan: Plan): RunPromise {
  const line = plan.lines[0];
  return {
    adhesive: plan.adhesive.id,
    climate: { ...plan.climate },
    crew: plan.build.crew,
    clamps: plan.clampSet.clamps.length,
    handsOnMin: plan.timeline.handsOnMin,
    windowMin: line?.window.totalMin?.low ?? null,
    lowestMPa: Math.min(...plan.lines.map(({ pressure }) => pressure.minMPa)),
    flatMm: plan.verdicts.flat.figure,
    clampMin: line?.window.clampMin?.high ?? null,
    machineMin: line?.window.machineMin ?? null,
  };
}

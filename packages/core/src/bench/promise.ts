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
    lots: lotsOf(plan),
    handsOnMin: plan.timeline.handsOnMin,
    windowMin: line?.window.totalMin?.low ?? null,
    lowestMPa: Math.min(...plan.lines.map(({ pressure }) => pressure.minMPa)),
    flatMm: plan.verdicts.flat.figure,
    clampMin: line?.window.clampMin?.high ?? null,
    machineMin: line?.window.machineMin ?? null,
  };
}

/** Clamps that the run ties up, by their lot: those across, and those at the ends of cauls. */
function lotsOf({ clampSet, cauls }: Plan): { rackId: string; count: number }[] {
  const counts = new Map<string, number>();
  const add = (rackId: string, count: number) => counts.set(rackId, (counts.get(rackId) ?? 0) + count);
  for (const { lot } of clampSet.clamps) add(lot.id, 1);
  if (cauls?.endClamps.lot) add(cauls.endClamps.lot.id, cauls.endClamps.count);
  return [...counts].map(([rackId, count]) => ({ rackId, count }));
}

import type { RunPromise } from '../formats';
import { leastOf, ON_A_ROLL, type Plan, slowestOf } from '../plan';

/** What a session of a plan promises, frozen when a run begins. Release times are those of its joint that takes longest. */
export function promiseOf(plan: Plan, session = 0): RunPromise {
  const ordered = plan.order?.sessions[session];
  const joints =
    ordered === undefined
      ? plan.joints
      : plan.joints.filter(({ facts }) => ordered.joints.includes(facts.joint.id));
  const windows = joints.filter(({ facts }) => facts.gluedMm2 > 0).map(({ window }) => window);
  const least = (values: readonly (number | undefined)[]) =>
    values.length === 0 || values.includes(undefined) ? null : Math.min(...(values as number[]));
  const { clampMin, machineMin } = slowestOf(joints);
  return {
    adhesive: plan.adhesive.id,
    climate: { ...plan.climate },
    crew: plan.build.crew,
    clamps: plan.pulls.reduce((sum, { taken }) => sum + taken.reduce((all, { count }) => all + count, 0), 0),
    lots: lotsOf(plan),
    handsOnMin: ordered?.workMin ?? plan.handsOnMin,
    windowMin: least(windows.map(({ totalMin }) => totalMin?.low)),
    lowestMPa: lowestMPa(plan),
    flatMm: plan.verdicts.flat.figure,
    clampMin,
    machineMin,
  };
}

/** Lowest pressure that any joint gets; seats are asked for force and left out. */
function lowestMPa({ pulls, squeeze }: Plan): number {
  const pressed = pulls.filter(({ seats }) => !seats).map((pull) => leastOf(pull, squeeze).reachMPa);
  return pressed.length === 0 ? 0 : Math.min(...pressed);
}

/** Clamps that the run ties up, by their lot: those across, and those at the ends of cauls. */
function lotsOf({ pulls, row }: Plan): { rackId: string; count: number }[] {
  const counts = new Map<string, number>();
  const add = (rackId: string, count: number) => counts.set(rackId, (counts.get(rackId) ?? 0) + count);
  for (const { lot, count } of pulls.flatMap(({ taken }) => taken)) {
    if (!ON_A_ROLL.includes(lot.kind)) add(lot.id, count);
  }
  const ends = row?.cauls?.endClamps;
  if (ends?.lot) add(ends.lot.id, ends.count);
  return [...counts].map(([rackId, count]) => ({ rackId, count }));
}

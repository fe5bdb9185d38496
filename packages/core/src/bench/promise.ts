import { type RunJob, type RunPromise, WORKS } from '../formats';
import { lessonsBearing, saidOf, SOME_DAY, type Traits, traitsOf, type When } from '../lessons';
import {
  gluedTotals,
  leastOf,
  ofSession,
  ON_A_ROLL,
  type Plan,
  paceOf,
  type PlannedJoint,
  slowestOf,
} from '../plan';
import { nextBottle } from '../shelf';
import { ASPECTS } from '../verdicts';

/**
 * What a session of a plan promises, frozen when a run begins. Release times are those of its joint that takes longest.
 * @param when by which bottles age and lessons come back; left out where nobody knows.
 */
export function promiseOf(plan: Plan, session = 0, when: When = SOME_DAY): RunPromise {
  const ordered = plan.order?.sessions[session];
  const own = ofSession(plan, session);
  const { joints } = own;
  const windows = joints.filter(({ facts }) => facts.gluedMm2 > 0).map(({ window }) => window);
  const least = (values: readonly (number | undefined)[]) =>
    values.length === 0 || values.includes(undefined) ? null : Math.min(...(values as number[]));
  const { clampMin, machineMin } = slowestOf(joints);
  return {
    adhesive: plan.adhesive.id,
    climate: { ...plan.climate },
    crew: plan.build.crew,
    clamps: plan.pulls.reduce((sum, { pieces }) => sum + pieces.length, 0),
    lots: lotsOf(plan),
    handsOnMin: ordered?.workMin ?? plan.handsOnMin,
    windowMin: least(windows.map(({ totalMin }) => totalMin?.low)),
    lowestMPa: lowestMPa(plan),
    flatMm: plan.verdicts.flat.figure,
    clampMin,
    machineMin,
    verdicts: ASPECTS.map((aspect) => {
      const { state, figure } = plan.verdicts[aspect];
      return { aspect, state, figure };
    }),
    paces: WORKS.map((work) => ({ work, factor: paceOf(plan.shop)(work, plan.build.glue.method) })),
    window: windowOf(plan, joints),
    glueMl: gluedTotals(own).volumeMl,
    bottle: nextBottle(plan.shop.bottles, plan.adhesive.id),
    job: jobOf(plan, joints, traitsOf(plan, when)),
    lessons: lessonsBearing(plan, when).map(saidOf),
  };
}

/** How long the plan takes the times of its glue to be: the likely end of each over the one that fuses go by. */
function windowOf({ shop, adhesive }: Plan, joints: readonly PlannedJoint[]): RunPromise['window'] {
  const known = shop.learned?.windows.find((each) => each.adhesive === adhesive.id);
  const ratio = (name: 'openMin' | 'closedMin' | 'totalMin'): number => {
    const range = joints.flatMap(({ window }) => window[name] ?? [])[0];
    return range === undefined || range.low === 0 ? 1 : range.likely / range.low;
  };
  return {
    factor: known?.factor ?? 1,
    open: ratio('openMin'),
    closed: ratio('closedMin'),
    total: ratio('totalMin'),
  };
}

/** What later looks at the cause of something go by. */
function jobOf(plan: Plan, joints: readonly PlannedJoint[], traits: Traits): RunJob {
  const glued = joints.filter(({ facts }) => facts.gluedMm2 > 0);
  const read = glued.flatMap(({ gap }) => (gap === null ? [] : [Math.abs(gap.gapMm)]));
  const pressed = plan.pulls.filter(({ seats }) => !seats);
  return {
    template: plan.build.template,
    method: plan.build.glue.method,
    gluedM2: glued.reduce((sum, { facts }) => sum + facts.gluedMm2, 0) / 1e6,
    glueG: glued.reduce((sum, { spread }) => sum + spread.massG, 0),
    gapMm: read.length === 0 ? null : Math.max(...read),
    mcPct: [Math.min(...plan.partMcPct), Math.max(...plan.partMcPct)],
    endGrainPct: traits.amount('end-grain-pct') ?? 0,
    bottlePct: traits.amount('bottle-age-pct'),
    wantedMPa: Math.max(0, ...pressed.map(({ wanted }) => wanted.lowMPa)),
    mostMPa: Math.max(0, ...pressed.map(({ reachMPa }) => reachMPa)),
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

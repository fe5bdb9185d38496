import { finding } from '../findings';
import type { BuildDocument, ShopDocument } from '../formats';
import type { Press } from '../mechanics';
import { arrangements, glueJobOf, type Plan, planBuild, settlePlan, withSessions } from '../plan';
import type { SequenceEffort } from '../sequence';
import { covers, findSpreadMethod, listSpreadMethods } from '../spread';
import { atHour, clampsLaidOut, oneMorePair } from './common-changes';
import { glueCandidates } from './other-glues';
import { outsideFirst } from './outside-first';
import { type Candidate, type Fixes, rankFixes } from './rank';
import { rowChanges } from './row-changes';
import { squeezeChanges } from './squeeze-changes';
import { warmWood } from './warm-wood';

/** Ways of spreading that suit most joints, whatever their shape. */
const COMMON_METHODS: readonly string[] = ['bead', 'card', 'brush', 'roller'];

/**
 * Fixes for a build of any kind: other hands, glue, clamps, packing, sessions or hour, each really planned; with `press` those that
 * look best are pressed as well, and their effect is told from there.
 */
export function findFixes(plan: Plan, shop: ShopDocument, press?: Press): Fixes {
  const steps = fixesInSteps(plan, shop, press);
  for (;;) {
    const step = steps.next();
    if (step.done === true) return step.value;
  }
}

/** The same candidate by candidate. */
export function fixesInSteps(plan: Plan, shop: ShopDocument, press?: Press): Generator<undefined, Fixes> {
  // A candidate that helps several verdicts is pressed once.
  const settled = new Map<Candidate, Plan['verdicts']>();
  const settledBy = (by: Press) => (candidate: Candidate) => {
    const verdicts =
      settled.get(candidate) ?? settlePlan(planBuild(candidate.build, candidate.shop ?? shop), by).verdicts;
    settled.set(candidate, verdicts);
    return verdicts;
  };
  return rankFixes(
    plan.verdicts,
    () => candidatesFor(plan, shop),
    (candidate) => planBuild(candidate.build, candidate.shop ?? shop).verdicts,
    press && { verdicts: settlePlan(plan, press).verdicts, of: settledBy(press) },
  );
}

function candidatesFor(plan: Plan, shop: ShopDocument): Candidate[] {
  const { build, row, verdicts } = plan;
  const glue = (change: Partial<BuildDocument['glue']>) => ({ ...build, glue: { ...build.glue, ...change } });
  return [
    ...oneMorePair(build, shop),
    ...clampsLaidOut(build),
    ...(row === null ? [] : rowChanges({ ...row, build, square: verdicts.square }, shop)),
    ...squeezeChanges(plan, shop),
    ...outsideFirst(plan, shop),
    ...arrangedAnew(plan),
    ...glueCandidates(build, glueJobOf(plan, null), shop),
    ...warmWood(build),
    ...[...listSpreadMethods().filter(({ id }) => COMMON_METHODS.includes(id)), ...(shop.methods ?? [])]
      .map(({ id }) => findSpreadMethod(id, shop.methods))
      .filter(({ id }) => id !== build.glue.method)
      .filter((method) =>
        plan.joints.every(({ facts }) => covers(method, facts.gluedMm2 / Math.max(1, facts.lengthMm))),
      )
      .map(({ id, name }) => ({
        change: finding('spread-with', 'informs', { method: name }),
        build: glue({ method: id }),
      })),
    {
      change: finding(build.glue.faces === 1 ? 'wet-both-faces' : 'wet-one-face', 'informs'),
      build: glue({ faces: build.glue.faces === 1 ? 2 : 1 }),
    },
    ...shop.hours
      .filter(({ tempC, rhPct }) => tempC !== plan.climate.tempC || rhPct !== plan.climate.rhPct)
      .map((hour) => atHour(build, hour)),
  ];
}

/** Joints above which a page does not wait for an arrangement that it did not ask for. */
const MOST_JOINTS_UNASKED = 24;
/** A first good arrangement, no proof. */
const QUICK: SequenceEffort = {
  exactJoints: 0,
  marginSteps: 0,
  handsOnSteps: 0,
  width: 4,
  rounds: 2,
  proofSteps: 0,
  mostSets: 300,
};

/** The sessions and order that a first look finds, where they are not what the plan goes by anyway. */
function arrangedAnew(plan: Plan): Candidate[] {
  const { build, joints } = plan;
  if (joints.length < 2 || joints.length > MOST_JOINTS_UNASKED) return [];
  const [first] = arrangements(plan, QUICK);
  if (first === undefined || first.sessions.length === 0) return [];
  return [
    {
      change: finding('arrange-sessions', 'informs', { sessions: first.sessions.length }),
      build: withSessions(build, first.sessions),
    },
  ];
}

import { finding } from '../findings';
import type { BuildDocument, ShopDocument } from '../formats';
import type { Press } from '../mechanics';
import {
  arrangements,
  glueJobOf,
  type Plan,
  planBuild,
  settledAtOnce,
  settlePlan,
  withSessions,
} from '../plan';
import type { SequenceEffort } from '../sequence';
import { covers, findSpreadMethod, listSpreadMethods } from '../spread';
import { atHour, clampsLaidOut, oneMorePair } from './common-changes';
import { glueCandidates } from './other-glues';
import { outsideFirst } from './outside-first';
import {
  type Candidate,
  type Fixes,
  type Likely,
  likelyFixes,
  NO_FIXES,
  placesOf,
  rankFixes,
  type Tried,
  type Verdicts,
  wantingFixes,
} from './rank';
import { rowChanges } from './row-changes';
import { squeezeChanges } from './squeeze-changes';
import { warmWood } from './warm-wood';

/** Ways of spreading that suit most joints, whatever their shape. */
const COMMON_METHODS: readonly string[] = ['bead', 'card', 'brush', 'roller'];

/**
 * Fixes for a build of any kind: other hands, glue, clamps, packing, sessions or hour, each really planned; with `press` those that
 * look best are pressed as well, and their effect is told from there. Costs a plan for every candidate, and nothing where no verdict
 * wants a fix.
 */
export function findFixes(plan: Plan, shop: ShopDocument, press?: Press): Fixes {
  const settled = press === undefined ? settledAtOnce(plan).verdicts : settlePlan(plan, press).verdicts;
  if (wantingFixes(settled).length === 0) return NO_FIXES;
  const candidates = fixCandidates(plan, shop);
  const estimated = candidates.map((candidate, place): Tried => ({
    candidate,
    place,
    verdicts: candidateVerdicts(candidate, shop),
  }));
  if (press === undefined) return rankFixes(settled, () => estimated);
  const likely = likelyFixes(settledAtOnce(plan).verdicts, estimated, settled);
  const full = placesOf(likely).flatMap((place) => {
    const candidate = candidates[place];
    return candidate === undefined ? [] : [[place, candidateVerdicts(candidate, shop, press)] as const];
  });
  return fixesAmong(candidates, likely, settled, new Map(full));
}

/** Fixes of those that were worked out in full. */
export function fixesAmong(
  candidates: readonly Candidate[],
  likely: Likely,
  settled: Verdicts,
  full: ReadonlyMap<number, Verdicts>,
): Fixes {
  const tried = triedAmong(candidates, full);
  return rankFixes(settled, (aspect) =>
    likely[aspect].flatMap((place) => tried.filter((each) => each.place === place)),
  );
}

/** Candidates with their verdicts, as far as those are known by their places. */
export const triedAmong = (candidates: readonly Candidate[], known: ReadonlyMap<number, Verdicts>): Tried[] =>
  candidates.flatMap((candidate, place) => {
    const verdicts = known.get(place);
    return verdicts === undefined ? [] : [{ candidate, place, verdicts }];
  });

/** What a candidate comes to; by finite elements with `press`, else by estimates where those have something to say. */
function candidateVerdicts(candidate: Candidate, shop: ShopDocument, press?: Press): Verdicts {
  const steps = candidateInSteps(candidate, shop, press);
  let step = steps.next();
  while (step.done !== true) step = steps.next();
  return step.value;
}

/** The same, resting before the elements, which take as long as all the rest: whoever tries it may be wanted elsewhere by then. */
export function* candidateInSteps(
  candidate: Candidate,
  shop: ShopDocument,
  press?: Press,
): Generator<undefined, Verdicts> {
  const plan = planBuild(candidate.build, candidate.shop ?? shop);
  if (press === undefined) return settledAtOnce(plan).verdicts;
  yield;
  return settlePlan(plan, press).verdicts;
}

/** Everything that might help, in an order that is always the same. */
export function fixCandidates(plan: Plan, shop: ShopDocument): Candidate[] {
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

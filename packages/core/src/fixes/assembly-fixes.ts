import { finding } from '../finding';
import type { AssemblyBuild, ShopDocument } from '../formats';
import { listSpreadMethods } from '../spread';
import type { SequenceEffort } from '../sequence';
import type { Press } from '../mechanics';
import {
  arrangements,
  type AssemblyPlan,
  jobOfAssembly,
  planAssembly,
  settleAssembly,
  withSessions,
} from '../verdicts';
import { atHour, clampsLaidOut, oneMorePair } from './common-changes';
import { glueCandidates } from './other-glues';
import { type Candidate, type Fixes, rankFixes } from './rank';
import { outsideFirst } from './outside-first';
import { squeezeChanges } from './squeeze-changes';
import { warmWood } from './warm-wood';

/** Ways of spreading that suit most joints, whatever their shape. */
const COMMON_METHODS: readonly string[] = ['bead', 'card', 'brush', 'roller'];

/** Fixes for an assembly: other hands, glue, clamps, packing or hour, each really planned; with `press` pressed too. */
export function findAssemblyFixes(
  plan: AssemblyPlan,
  shop: ShopDocument,
  press?: Press,
): Fixes<AssemblyBuild> {
  const verdictsOf = (planned: AssemblyPlan) =>
    press === undefined ? planned.verdicts : settleAssembly(planned, press).verdicts;
  return rankFixes(
    verdictsOf(plan),
    () => candidatesFor(plan, shop),
    (candidate) => verdictsOf(planAssembly(candidate.build, candidate.shop ?? shop)),
  );
}

function candidatesFor(plan: AssemblyPlan, shop: ShopDocument): Candidate<AssemblyBuild>[] {
  const { build } = plan;
  const glue = (change: Partial<AssemblyBuild['glue']>) => ({ ...build, glue: { ...build.glue, ...change } });
  return [
    ...oneMorePair(build, shop),
    ...clampsLaidOut(build),
    ...squeezeChanges(plan, shop),
    ...outsideFirst(plan, shop),
    ...arrangedAnew(plan),
    ...glueCandidates(build, jobOfAssembly(plan, null), shop, { onShelf: 2, toGet: 6 }),
    ...warmWood(build),
    ...listSpreadMethods()
      .filter(({ id }) => COMMON_METHODS.includes(id) && id !== build.glue.method)
      .map(({ id }) => ({
        change: finding('spread-with', 'informs', { method: id }),
        build: glue({ method: id }),
        effort: 1,
      })),
    {
      change: finding(build.glue.faces === 1 ? 'wet-both-faces' : 'wet-one-face', 'informs'),
      build: glue({ faces: build.glue.faces === 1 ? 2 : 1 }),
      effort: 1,
    },
    ...shop.hours.map((hour) => atHour(build, hour)),
  ];
}

/** Joints above which a page does not wait for an arrangement that it did not ask for. */
const MOST_JOINTS_UNASKED = 24;
/** A first good arrangement, no proof. */
const QUICK: SequenceEffort = { exactJoints: 0, marginSteps: 0, handsOnSteps: 0, rounds: 1, seed: 1 };

/** The sessions and order that a first look finds. */
function arrangedAnew(plan: AssemblyPlan): Candidate<AssemblyBuild>[] {
  const { build, joints } = plan;
  if (joints.length < 2 || joints.length > MOST_JOINTS_UNASKED) return [];
  const [first] = arrangements(plan, QUICK);
  if (first === undefined || first.sessions.length === 0) return [];
  return [
    {
      change: finding('arrange-sessions', 'informs', { sessions: first.sessions.length }),
      build: withSessions(build, first.sessions),
      effort: first.sessions.length > 1 ? 3 : 1,
    },
  ];
}

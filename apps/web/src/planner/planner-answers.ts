import {
  type Arranged,
  arrangements,
  type AssemblyBuild,
  type AssemblyPlan,
  type BuildDocument,
  type BuildToDate,
  buildToDate,
  compareGlues,
  findAssemblyFixes,
  findFixes,
  type Fixes,
  type GlueComparison,
  isPanel,
  type Likelihood,
  likelihoodOf,
  type LikelyChange,
  likelyChanges,
  type PanelBuild,
  panelPlacings,
  pullPlacings,
  type PullPlacingStep,
  type Press,
  type PlacingStep,
  type Plan,
  planAssembly,
  planBuild,
  settleAssembly,
  settlePlan,
  type ShopDocument,
} from '@lean-clasp/core';

/** Ids that begin alike and count up. */
function idsLike(start: string): () => string {
  let made = 0;
  return () => `${start}-${(made += 1)}`;
}

/**
 * What the planning worker does for the page.
 * @param press presses panels by finite elements, for what is asked to be settled or placed.
 * @param pressFixes the same for fixes; without it their effect is that of the estimate.
 */
export const plannerAnswers = (press: Press, pressFixes?: Press) => ({
  plan: (build: BuildDocument, shop: ShopDocument): Plan | AssemblyPlan =>
    isPanel(build) ? planBuild(build, shop) : planAssembly(build, shop),
  fixes: (build: BuildDocument, shop: ShopDocument): Fixes<PanelBuild> | Fixes<AssemblyBuild> =>
    isPanel(build)
      ? findFixes(planBuild(build, shop), shop, pressFixes)
      : findAssemblyFixes(planAssembly(build, shop), shop, pressFixes),
  compareGlues: (build: BuildDocument, shop: ShopDocument, today: string): GlueComparison =>
    compareGlues(build, shop, today),
  /** How likely it is, then what would change that, told one by one until told that it is enough. */
  likelihood: async (
    build: AssemblyBuild,
    shop: ShopDocument,
    asItIs: (likelihood: Likelihood | null) => Promise<boolean>,
    goOn: (change: LikelyChange) => Promise<boolean>,
  ): Promise<void> => {
    const plan = planAssembly(build, shop);
    if (!(await asItIs(likelihoodOf(plan)))) return;
    for (const change of likelyChanges(plan, shop)) if (!(await goOn(change))) return;
  },
  /** The plan with pressures by finite elements in place of estimates. */
  settle: (build: BuildDocument, shop: ShopDocument): Plan | AssemblyPlan =>
    isPanel(build)
      ? settlePlan(planBuild(build, shop), press)
      : settleAssembly(planAssembly(build, shop), press),
  /** Places clamps on a panel, telling how far it is, until told that it is enough. */
  place: async (
    build: PanelBuild,
    shop: ShopDocument,
    idsFrom: string,
    goOn: (step: PlacingStep) => Promise<boolean>,
  ): Promise<void> => {
    const makeId = idsLike(idsFrom);
    for (const step of panelPlacings(planBuild(build, shop), makeId, press)) if (!(await goOn(step))) return;
  },
  /** Places the clamps of one pull of an assembly in the same way. */
  placePull: async (
    build: AssemblyBuild,
    shop: ShopDocument,
    pull: string,
    idsFrom: string,
    goOn: (step: PullPlacingStep) => Promise<boolean>,
  ): Promise<void> => {
    const makeId = idsLike(idsFrom);
    for (const step of pullPlacings(planAssembly(build, shop), pull, makeId, press)) {
      if (!(await goOn(step))) return;
    }
  },
  /** A build as the calendar of the shop sees it. */
  toDate: (id: string, build: BuildDocument, shop: ShopDocument): BuildToDate =>
    buildToDate(id, isPanel(build) ? planBuild(build, shop) : planAssembly(build, shop)),
  /** Arranges sessions, telling the best so far after each step, until told that it is enough. */
  arrange: async (
    build: AssemblyBuild,
    shop: ShopDocument,
    goOn: (best: Arranged) => Promise<boolean>,
  ): Promise<void> => {
    for (const best of arrangements(planAssembly(build, shop))) if (!(await goOn(best))) return;
  },
});

/** The answers of a planning worker. */
export type Planner = ReturnType<typeof plannerAnswers>;

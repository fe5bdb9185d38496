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
  type PressedPlan,
  pressPlan,
  type Plan,
  planAssembly,
  planBuild,
  type ShopDocument,
} from '@lean-clasp/core';
import { expose } from 'comlink';

/** What the planning worker does for the page. */
const planner = {
  plan: (build: BuildDocument, shop: ShopDocument): Plan | AssemblyPlan =>
    isPanel(build) ? planBuild(build, shop) : planAssembly(build, shop),
  fixes: (build: BuildDocument, shop: ShopDocument): Fixes<PanelBuild> | Fixes<AssemblyBuild> =>
    isPanel(build)
      ? findFixes(planBuild(build, shop), shop)
      : findAssemblyFixes(planAssembly(build, shop), shop),
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
  /** Pressure along the lines of a panel by finite elements. */
  press: (build: PanelBuild, shop: ShopDocument): PressedPlan => pressPlan(planBuild(build, shop)),
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
};

export type Planner = typeof planner;

expose(planner);

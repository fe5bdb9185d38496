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
  likelihood: (build: AssemblyBuild, shop: ShopDocument): Likelihood | null =>
    likelihoodOf(planAssembly(build, shop)),
  /** What would make it likelier, told one by one until told that it is enough. */
  likelier: async (
    build: AssemblyBuild,
    shop: ShopDocument,
    goOn: (change: LikelyChange) => Promise<boolean>,
  ): Promise<void> => {
    for (const change of likelyChanges(planAssembly(build, shop), shop)) if (!(await goOn(change))) return;
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

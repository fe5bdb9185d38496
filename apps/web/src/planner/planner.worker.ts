import {
  type Arranged,
  arrangements,
  type AssemblyBuild,
  type AssemblyPlan,
  type BuildDocument,
  compareGlues,
  findAssemblyFixes,
  findFixes,
  type Fixes,
  type GlueComparison,
  isPanel,
  type Likelihood,
  likelihoodOf,
  type PanelBuild,
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

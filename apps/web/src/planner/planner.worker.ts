import {
  type AssemblyBuild,
  type AssemblyPlan,
  type BuildDocument,
  compareGlues,
  findAssemblyFixes,
  findFixes,
  type Fixes,
  type GlueComparison,
  isPanel,
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
};

export type Planner = typeof planner;

expose(planner);

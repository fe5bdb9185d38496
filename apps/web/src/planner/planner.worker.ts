import {
  type PanelBuild,
  compareGlues,
  findFixes,
  type Fixes,
  type GlueOption,
  type Plan,
  planBuild,
  type ShopDocument,
} from '@lean-clasp/core';
import { expose } from 'comlink';

/** What the planning worker does for the page. */
const planner = {
  plan: (build: PanelBuild, shop: ShopDocument): Plan => planBuild(build, shop),
  fixes: (build: PanelBuild, shop: ShopDocument): Fixes => findFixes(planBuild(build, shop), shop),
  compareGlues: (build: PanelBuild, shop: ShopDocument): GlueOption[] => compareGlues(build, shop),
};

export type Planner = typeof planner;

expose(planner);

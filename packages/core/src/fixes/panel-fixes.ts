import type { PanelBuild, ShopDocument } from '../formats';
import { type Plan, planBuild } from '../verdicts';
import { CANDIDATE_SOURCES } from './candidates';
import { type Fixes, rankFixes } from './rank';

/** Fixes for a panel, each really planned. */
export function findFixes(plan: Plan, shop: ShopDocument): Fixes<PanelBuild> {
  return rankFixes(
    plan.verdicts,
    () => CANDIDATE_SOURCES.flatMap((source) => source(plan, shop)),
    (build) => planBuild(build, shop).verdicts,
  );
}

import type { PanelBuild, ShopDocument } from '../formats';
import type { Press } from '../mechanics';
import { type Plan, planBuild, settlePlan } from '../verdicts';
import { CANDIDATE_SOURCES } from './candidates';
import { type Fixes, rankFixes } from './rank';

/**
 * Fixes for a panel, each really planned; with `press` those that look best are pressed by finite elements as well, and
 * their effect is told from there.
 */
export function findFixes(plan: Plan, shop: ShopDocument, press?: Press): Fixes<PanelBuild> {
  return rankFixes(
    plan.verdicts,
    () => CANDIDATE_SOURCES.flatMap((source) => source(plan, shop)),
    (candidate) => planBuild(candidate.build, candidate.shop ?? shop).verdicts,
    press === undefined
      ? undefined
      : {
          verdicts: settlePlan(plan, press).verdicts,
          of: (candidate) => settlePlan(planBuild(candidate.build, candidate.shop ?? shop), press).verdicts,
        },
  );
}

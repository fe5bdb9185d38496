import { remembered } from '@lean-clasp/core/basics';
import { beforeLong } from '@lean-clasp/core/bench';
import { type PanelMarks, panelMarks } from '@lean-clasp/core/drawing';
import {
  candidateInSteps,
  fixCandidates,
  type Fixes,
  fixesAmong,
  type Likely,
  type LikelyChange,
  likelyChanges,
  likelyFixes,
  triedAmong,
  type Verdicts,
} from '@lean-clasp/core/fixes';
import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import { type Press, steadyPressure } from '@lean-clasp/core/mechanics';
import {
  pullPlacings,
  type PullPlacingStep,
  rowPlacings,
  type RowPlacingStep,
} from '@lean-clasp/core/placing';
import {
  type Arranged,
  arrangements,
  type BuildToDate,
  buildToDate,
  compareGlues,
  cornersOf,
  type GlueComparison,
  type Likelihood,
  likelihoodOf,
  type Plan,
  planBuild,
  settledAtOnce,
  settlePlan,
  wantsElements,
} from '@lean-clasp/core/plan';
import { newestOnly } from './newest-only';
import type { Settled } from './settled';

/** Ids that begin alike and count up. */
function idsLike(start: string): () => string {
  let made = 0;
  return () => `${start}-${(made += 1)}`;
}

/** Plans of parts with more sides than this take as long to hand over and draw as to work out. */
const MANY_SIDES = 400;

/** Verdicts, with the plan that they are of where it is not asked for by itself. */
export interface FirstAnswer {
  readonly plan: Plan | null;
  readonly verdicts: Plan['verdicts'];
  /** Whether finite elements would change nothing of it. */
  readonly settled: boolean;
}

/** What is drawn of a row, and said of it, while something of it is being moved. */
export interface Glance {
  readonly marks: PanelMarks;
  readonly verdicts: Verdicts;
}

/** Changes by their places in the list of all, with what they come to. */
export type Tries = readonly (readonly [place: number, verdicts: Verdicts])[];

/**
 * What the planning worker does for the page.
 * @param press presses rows and stacks by finite elements, for what is asked to be settled or placed.
 * @param pressFixes the same for fixes; without it their effect is that of the estimate.
 */
export const plannerAnswers = (press: Press, pressFixes?: Press) => {
  // Asked for its verdicts first and then as a whole.
  const planned = remembered(({ build, shop }: { build: BuildDocument; shop: ShopDocument }) => {
    const plan = planBuild(build, shop);
    return { plan: settledAtOnce(plan, press), settled: !wantsElements(plan) };
  }, 1);
  // Asked about by its parts.
  const advised = remembered(({ build, shop }: { build: BuildDocument; shop: ShopDocument }) => {
    const plan = planBuild(build, shop);
    return { verdicts: settledAtOnce(plan).verdicts, candidates: fixCandidates(plan, shop) };
  }, 1);
  const tries = newestOnly(function* (
    build: BuildDocument,
    shop: ShopDocument,
    isWanted: (place: number) => boolean,
    by?: Press,
  ): Generator<undefined, Tries> {
    const found: [number, Verdicts][] = [];
    for (const [place, candidate] of advised({ build, shop }).candidates.entries()) {
      if (!isWanted(place)) continue;
      found.push([place, yield* candidateInSteps(candidate, shop, by)]);
      yield;
    }
    return found;
  });
  return {
    plan: (build: BuildDocument, shop: ShopDocument): Plan => planned({ build, shop }).plan,
    /** What there is to say first: the plan, or the verdicts of one that is slow to hand over. */
    first: (build: BuildDocument, shop: ShopDocument): FirstAnswer => {
      const { plan, settled } = planned({ build, shop });
      const sides = plan.facts.parts.reduce((sum, { surfaces }) => sum + surfaces.length, 0);
      return { plan: sides > MANY_SIDES ? null : plan, verdicts: plan.verdicts, settled };
    },
    /** What every so many-th change comes to by estimates, in turns with others; null where somebody has asked again since, or it was let go. */
    estimates: (build: BuildDocument, shop: ShopDocument, turn: number, turns: number) =>
      tries.ask(build, shop, (place) => place % turns === turn),
    /** Which changes look best by those. */
    likely: (build: BuildDocument, shop: ShopDocument, estimates: Tries, settled: Verdicts): Likely => {
      const { verdicts, candidates } = advised({ build, shop });
      return likelyFixes(verdicts, triedAmong(candidates, new Map(estimates)), settled);
    },
    /** What one change comes to in full; null as above. */
    inFull: (build: BuildDocument, shop: ShopDocument, wanted: number) =>
      tries.ask(build, shop, (place) => place === wanted, pressFixes),
    /** The best of those. */
    fixes: (
      build: BuildDocument,
      shop: ShopDocument,
      likely: Likely,
      settled: Verdicts,
      full: Tries,
    ): Fixes => fixesAmong(advised({ build, shop }).candidates, likely, settled, new Map(full)),
    letGoOfFixes: tries.letGo,
    compareGlues: (build: BuildDocument, shop: ShopDocument, today: string): GlueComparison =>
      compareGlues(build, shop, today),
    /** How likely it is, then what would change that, told one by one until told that it is enough. */
    likelihood: async (
      build: BuildDocument,
      shop: ShopDocument,
      asItIs: (likelihood: Likelihood | null) => Promise<boolean>,
      goOn: (change: LikelyChange) => Promise<boolean>,
    ): Promise<void> => {
      const plan = planBuild(build, shop);
      if (!(await asItIs(likelihoodOf(plan)))) return;
      for (const change of likelyChanges(plan, shop)) if (!(await goOn(change))) return;
    },
    /** What pressures by finite elements in place of estimates change. */
    settle: (build: BuildDocument, shop: ShopDocument): Settled => {
      const plan = planBuild(build, shop);
      const { row, squeeze, verdicts, joints } = settlePlan(plan, press);
      return { row, squeeze, verdicts, joints: joints === plan.joints ? null : joints };
    },
    /** A build at a glance, for every frame while a clamp is dragged; null where its boards do not lie in a row. */
    glance: (build: BuildDocument, shop: ShopDocument): Glance | null => {
      const plan = settlePlan(planBuild(build, shop), steadyPressure);
      return plan.row === null
        ? null
        : { marks: panelMarks(plan.row, cornersOf(plan)), verdicts: plan.verdicts };
    },
    /** Places clamps on a row, telling how far it is, until told that it is enough. */
    place: async (
      build: BuildDocument,
      shop: ShopDocument,
      idsFrom: string,
      goOn: (step: RowPlacingStep) => Promise<boolean>,
    ): Promise<void> => {
      const makeId = idsLike(idsFrom);
      for (const step of rowPlacings(planBuild(build, shop), makeId, press)) if (!(await goOn(step))) return;
    },
    /** Places the clamps of one pull in the same way. */
    placePull: async (
      build: BuildDocument,
      shop: ShopDocument,
      pull: string,
      idsFrom: string,
      goOn: (step: PullPlacingStep) => Promise<boolean>,
    ): Promise<void> => {
      const makeId = idsLike(idsFrom);
      for (const step of pullPlacings(planBuild(build, shop), pull, makeId, press)) {
        if (!(await goOn(step))) return;
      }
    },
    /** A build as the calendar of the shop sees it. */
    toDate: (id: string, build: BuildDocument, shop: ShopDocument): BuildToDate =>
      buildToDate(id, planBuild(build, shop)),
    /** A build looked at for the hour at which it is to be glued. */
    beforeLong,
    /** Arranges sessions, telling the best so far after each step, until told that it is enough. */
    arrange: async (
      build: BuildDocument,
      shop: ShopDocument,
      goOn: (best: Arranged) => Promise<boolean>,
    ): Promise<void> => {
      for (const best of arrangements(planBuild(build, shop))) if (!(await goOn(best))) return;
    },
  };
};

/** The answers of a planning worker. */
export type Planner = ReturnType<typeof plannerAnswers>;

/** The same as they come from a worker. */
export type PlannerLater = {
  readonly [Name in keyof Planner]: (
    ...asked: Parameters<Planner[Name]>
  ) => Promise<Awaited<ReturnType<Planner[Name]>>>;
};

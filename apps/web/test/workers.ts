import {
  type Arranged,
  arrangements,
  type AssemblyBuild,
  type BuildDocument,
  buildToDate,
  compareGlues,
  findAssemblyFixes,
  findFixes,
  isPanel,
  type Likelihood,
  likelihoodOf,
  type LikelyChange,
  likelyChanges,
  planAssembly,
  type PanelBuild,
  planBuild,
  panelPlacings,
  pullPlacings,
  type PullPlacingStep,
  type PlacingStep,
  settleAssembly,
  settlePlan,
  type ShopDocument,
} from '@lean-clasp/core';

// Stands in for the web workers, which jsdom has none of: the same answers, on the page itself.

/** Ids that begin alike and count up. */
function idsLike(start: string): () => string {
  let made = 0;
  return () => `${start}-${(made += 1)}`;
}

const answers = {
  plan: (build: BuildDocument, shop: ShopDocument) =>
    Promise.resolve(isPanel(build) ? planBuild(build, shop) : planAssembly(build, shop)),
  fixes: (build: BuildDocument, shop: ShopDocument) =>
    Promise.resolve(
      isPanel(build)
        ? findFixes(planBuild(build, shop), shop)
        : findAssemblyFixes(planAssembly(build, shop), shop),
    ),
  compareGlues: (build: BuildDocument, shop: ShopDocument, today: string) =>
    Promise.resolve(compareGlues(build, shop, today)),
  likelihood: async (
    build: AssemblyBuild,
    shop: ShopDocument,
    asItIs: (likelihood: Likelihood | null) => Promise<boolean>,
    goOn: (change: LikelyChange) => Promise<boolean>,
  ) => {
    const plan = planAssembly(build, shop);
    if (!(await asItIs(likelihoodOf(plan)))) return;
    for (const change of likelyChanges(plan, shop)) if (!(await goOn(change))) return;
  },
  place: async (
    build: PanelBuild,
    shop: ShopDocument,
    idsFrom: string,
    goOn: (step: PlacingStep) => Promise<boolean>,
  ) => {
    const makeId = idsLike(idsFrom);
    for (const step of panelPlacings(planBuild(build, shop), makeId)) if (!(await goOn(step))) return;
  },
  placePull: async (
    build: AssemblyBuild,
    shop: ShopDocument,
    pull: string,
    idsFrom: string,
    goOn: (step: PullPlacingStep) => Promise<boolean>,
  ) => {
    const makeId = idsLike(idsFrom);
    for (const step of pullPlacings(planAssembly(build, shop), pull, makeId)) {
      if (!(await goOn(step))) return;
    }
  },
  toDate: (id: string, build: BuildDocument, shop: ShopDocument) =>
    Promise.resolve(buildToDate(id, isPanel(build) ? planBuild(build, shop) : planAssembly(build, shop))),
  arrange: async (build: AssemblyBuild, shop: ShopDocument, goOn: (best: Arranged) => Promise<boolean>) => {
    for (const best of arrangements(planAssembly(build, shop))) if (!(await goOn(best))) return;
  },
};

export const planner = () => answers;
export const adviser = () => answers;
export const arranger = () => answers;
export const askPlan = answers.plan;
export const askSettled = (build: BuildDocument, shop: ShopDocument) =>
  Promise.resolve(
    isPanel(build) ? settlePlan(planBuild(build, shop)) : settleAssembly(planAssembly(build, shop)),
  );

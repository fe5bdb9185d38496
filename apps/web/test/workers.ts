import {
  type BuildDocument,
  compareGlues,
  findAssemblyFixes,
  findFixes,
  isPanel,
  planAssembly,
  planBuild,
  type ShopDocument,
} from '@lean-clasp/core';

// Stands in for the web workers, which jsdom has none of: the same answers, on the page itself.

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
};

export const planner = () => answers;
export const adviser = () => answers;
export const askPlan = answers.plan;

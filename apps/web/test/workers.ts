import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import { panelPressure } from '@lean-clasp/core/mechanics';
import { type Planner, plannerAnswers } from '../src/planner/planner-answers';
import { withSettled } from '../src/planner/settled';

// Stands in for the web workers, which jsdom has none of: the same answers, on the page itself; fixes by the estimate.

const answers = plannerAnswers(panelPressure);
/** A worker answers later, whatever it is asked, and by copies. */
const later = new Proxy(answers, {
  get:
    (_, name: keyof Planner) =>
    (...asked: never[]) =>
      Promise.resolve()
        .then(() => (answers[name] as (...asked: never[]) => unknown)(...asked))
        .then((answer) => structuredClone(answer)),
});

export const planner = () => later;
export const adviser = () => later;
export const arranger = () => later;
export const askPlan = (build: BuildDocument, shop: ShopDocument) => later.plan(build, shop);
export const askVerdictsAhead = (build: BuildDocument, shop: ShopDocument) =>
  later.verdictsAhead(build, shop);
export const askSettled = async (build: BuildDocument, shop: ShopDocument) =>
  withSettled(await later.plan(build, shop), await later.settle(build, shop));

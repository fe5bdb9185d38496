import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import { panelPressure } from '@lean-clasp/core/mechanics';
import { type Planner, plannerAnswers } from '../src/planner/planner-answers';

// Stands in for the web workers, which jsdom has none of: the same answers, on the page itself; fixes by the estimate.

const answers = plannerAnswers(panelPressure);
/** A worker answers later, whatever it is asked. */
const later = new Proxy(answers, {
  get:
    (_, name: keyof Planner) =>
    (...asked: never[]) =>
      Promise.resolve().then(() => (answers[name] as (...asked: never[]) => unknown)(...asked)),
});

export const planner = () => later;
export const adviser = () => later;
export const arranger = () => later;
export const askPlan = (build: BuildDocument, shop: ShopDocument) => later.plan(build, shop);
export const askSettled = (build: BuildDocument, shop: ShopDocument) => later.settle(build, shop);

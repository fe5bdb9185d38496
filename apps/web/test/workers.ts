import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import { panelPressure } from '@lean-clasp/core/mechanics';
import { fixesBy } from '../src/planner/fixes-by';
import { type Planner, plannerAnswers, type PlannerLater } from '../src/planner/planner-answers';
import { withSettled } from '../src/planner/settled';

// Stands in for the web workers, which jsdom has none of: the same answers, on the page itself; fixes by the estimate.

const answers = plannerAnswers(panelPressure);

/** A copy as a message brings it; Node's own makes lists that jsdom does not take for such. */
function copyOf(value: unknown, seen: Map<object, unknown>): unknown {
  if (typeof value !== 'object' || value === null || ArrayBuffer.isView(value)) return value;
  const known = seen.get(value);
  if (known !== undefined) return known;
  const copy: unknown[] | Record<string, unknown> = Array.isArray(value) ? [] : {};
  seen.set(value, copy);
  for (const [key, each] of Object.entries(value)) Reflect.set(copy, key, copyOf(each, seen));
  return copy;
}

/** A worker answers later, whatever it is asked, and by copies. */
const later = new Proxy(answers, {
  get:
    (_, name: keyof Planner) =>
    (...asked: never[]) => {
      const answer: (...asked: never[]) => unknown = answers[name];
      return Promise.resolve()
        .then(() => answer(...asked))
        .then((given) => copyOf(given, new Map()));
    },
}) as unknown as PlannerLater;

export const planner = () => later;
export const adviser = () => later;
export const arranger = () => later;
export const askPlan = (build: BuildDocument, shop: ShopDocument) => later.plan(build, shop);
export const askFirst = (build: BuildDocument, shop: ShopDocument) => later.first(build, shop);
export const answeredFirst = () => null;
export const askGlance = (build: BuildDocument, shop: ShopDocument) => later.glance(build, shop);
export const askSettled = async (build: BuildDocument, shop: ShopDocument) =>
  withSettled(await later.plan(build, shop), await later.settle(build, shop));
export const askFixes = async (build: BuildDocument, shop: ShopDocument, isWanted: () => boolean) => {
  const settled = later.plan(build, shop).then(({ verdicts }) => verdicts);
  return fixesBy([later], build, shop, settled, isWanted);
};
export const letGoOfFixes = () => later.letGoOfFixes();

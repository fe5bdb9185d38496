import { type Fixes, NO_FIXES, wantingFixes } from '@lean-clasp/core/fixes';
import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import type { Plan } from '@lean-clasp/core/plan';
import { newPlannerWorker, plannerWorker } from '../start/planner-worker';
import { fixesBy } from './fixes-by';
import { lastingWorker } from './lasting-worker';
import type { FirstAnswer, Glance, Planner } from './planner-answers';
import { withSettled } from './settled';

const lazyWorker = (make = newPlannerWorker) => lastingWorker<Planner>(make);

/** Plans each edit; nothing slow is ever asked of it, so that a verdict never waits. */
export const planner = lazyWorker(plannerWorker);
/** Tries many builds at once: fixes and comparisons, which may take a tenth of a second. */
export const adviser = lazyWorker();

/** Presses panels by finite elements, also while a clamp is dragged, then helps the adviser; only the newest edit is worth waiting for. */
const presser = lazyWorker();

/** Works sessions and places of clamps out, which may take seconds; nothing else waits for it. */
export const arranger = lazyWorker();

/** Answers asked for, by the shop and build they are for; gone as soon as nobody holds those any more. */
type Asked<T> = WeakMap<ShopDocument, WeakMap<BuildDocument, Promise<T>>>;
const asked: Asked<Plan> = new WeakMap();
const askedFirst: Asked<FirstAnswer> = new WeakMap();
const askedToSettle: Asked<Plan> = new WeakMap();
/** The newest answer for a build. */
const answered = new WeakMap<BuildDocument, { readonly shop: ShopDocument; readonly answer: FirstAnswer }>();

/**
 * The plan of a build, or what a large one comes to before the whole of it is handed over, asked for once: whoever edits asks at once,
 * and whoever shows the build then finds the answer under way.
 */
export function askFirst(build: BuildDocument, shop: ShopDocument): Promise<FirstAnswer> {
  return once(askedFirst, build, shop, async () => {
    const answer = await planner().first(build, shop);
    answered.set(build, { shop, answer });
    return answer;
  });
}

/** That answer where it has come already, so that a screen is drawn with it and not once before. */
export function answeredFirst(build: BuildDocument, shop: ShopDocument): FirstAnswer | null {
  const known = answered.get(build);
  return known?.shop === shop ? known.answer : null;
}

/** All of the plan of a build. */
export function askPlan(build: BuildDocument, shop: ShopDocument): Promise<Plan> {
  return once(asked, build, shop, async () => {
    const { plan } = await askFirst(build, shop);
    return plan ?? planner().plan(build, shop);
  });
}

/** The same with pressures by finite elements, which comes a moment later. */
export function askSettled(build: BuildDocument, shop: ShopDocument): Promise<Plan> {
  return once(askedToSettle, build, shop, async () => {
    if ((await askFirst(build, shop)).settled) return askPlan(build, shop);
    const settled = presser().settle(build, shop);
    return withSettled(await askPlan(build, shop), await settled);
  });
}

/** A build at a glance while something of it is being moved. */
export const askGlance = (build: BuildDocument, shop: ShopDocument): Promise<Glance | null> =>
  presser().glance(build, shop);

/** Fixes for a build, by the two that nobody waits for, while they are wanted; null where they were let go. */
export async function askFixes(
  build: BuildDocument,
  shop: ShopDocument,
  isWanted: () => boolean,
): Promise<Fixes | null> {
  const { verdicts } = await askFirst(build, shop);
  const settled = askSettled(build, shop).then(
    (plan) => plan.verdicts,
    // The elements have nothing to say of it.
    () => verdicts,
  );
  const content = wantingFixes(verdicts).length === 0 && wantingFixes(await settled).length === 0;
  if (content) return NO_FIXES;
  const own = (sought = { build, shop });
  const found = await fixesBy(
    [adviser(), presser()],
    build,
    shop,
    settled,
    () => sought === own && isWanted(),
  );
  if (sought === own) sought = null;
  return found;
}

/** For what fixes are being looked for. */
let sought: { readonly build: BuildDocument; readonly shop: ShopDocument } | null = null;

/** Nobody waits for fixes any more; whatever is asked next has the machine to itself. */
export async function letGoOfFixes(): Promise<void> {
  if (sought === null) return;
  sought = null;
  await Promise.all([adviser(), presser()].map((each) => each.letGoOfFixes()));
}

function once<T>(
  before: Asked<T>,
  build: BuildDocument,
  shop: ShopDocument,
  ask: () => Promise<T>,
): Promise<T> {
  const ofShop = before.get(shop) ?? new WeakMap<BuildDocument, Promise<T>>();
  before.set(shop, ofShop);
  const answer = ofShop.get(build) ?? ask();
  ofShop.set(build, answer);
  // What failed is asked for again by whoever wants it next.
  answer.catch(() => ofShop.delete(build));
  return answer;
}

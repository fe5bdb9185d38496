import { panelPressure, type Press } from '../mechanics';
import type { Plan } from '../verdicts';
import { aimed, type Step } from './aimed';
import { check, type PanelPlacing } from './checked';
import { insteadOf } from './instead';
import { jobOf } from './panel-job';

/** How far the placing on a panel has come. */
export type PlacingStep = Step<PanelPlacing>;

/**
 * Places clamps from the rack on a panel: kinds, places, sides, handles and pull that bring every line to what its glue
 * wants with the fewest clamps. Pinned clamps stay. Each answer is checked by the elements and aimed higher where they find
 * less. Where the rack falls short, what to borrow, make or do instead is worked out in the same way.
 * @param makeId supplies ids of new clamps.
 */
export function* panelPlacings(
  plan: Plan,
  makeId: () => string,
  press: Press = panelPressure,
): Generator<PlacingStep> {
  const { shop } = plan;
  let placing = yield* aimed(
    (aim) => jobOf(plan, aim),
    (job, found) => check(plan, job, found, makeId, press),
  );
  if (placing !== null && !placing.meets) {
    yield { stage: 'looking-further', placing, clamps: placing.build.clamps.length };
    placing = { ...placing, instead: insteadOf(plan, placing, shop, makeId, press) };
  }
  yield { stage: 'done', placing, clamps: placing?.build.clamps.length ?? 0 };
}

/** The same in one go. */
export function placeOnPanel(plan: Plan, makeId: () => string, press: Press = panelPressure): PanelPlacing {
  let last: PanelPlacing | null = null;
  for (const step of panelPlacings(plan, makeId, press)) last = step.placing;
  if (last === null) throw new Error('unreachable: placing always answers');
  return last;
}

import { panelPressure, type Press } from '../mechanics';
import { type Plan, rowOf } from '../plan';
import { aimed, type Step } from './aimed';
import { check, type RowPlacing } from './checked';
import { insteadOf } from './instead';
import { isRow, jobOf } from './row-job';

/** How far the placing on a panel has come. */
export type RowPlacingStep = Step<RowPlacing>;

/**
 * Places clamps from the rack on a panel: kinds, places, sides, handles and pull that bring every line to what its glue
 * wants with the fewest clamps. Pinned clamps stay. Each answer is checked by the elements and aimed higher where they find
 * less. Where the rack falls short, what to borrow, make or do instead is worked out in the same way.
 * @param makeId supplies ids of new clamps.
 */
export function* rowPlacings(
  plan: Plan,
  makeId: () => string,
  press: Press = panelPressure,
): Generator<RowPlacingStep> {
  if (!isRow(plan)) return;
  const { shop } = plan;
  let placing = yield* aimed(
    (aim) => jobOf(plan, aim),
    (job, found) => check(plan, job, found, makeId, press),
  );
  if (placing !== null && !placing.meets) {
    yield { stage: 'looking-further', placing, clamps: rowOf(placing.build).clamps.length };
    placing = { ...placing, instead: insteadOf(plan, placing, shop, makeId, press) };
  }
  yield { stage: 'done', placing, clamps: placing === null ? 0 : rowOf(placing.build).clamps.length };
}

/** The same in one go. */
export function placeOnRow(plan: Plan, makeId: () => string, press: Press = panelPressure): RowPlacing {
  let last: RowPlacing | null = null;
  for (const step of rowPlacings(plan, makeId, press)) last = step.placing;
  if (last === null) throw new Error('unreachable: placing on a row always answers');
  return last;
}

import { panelPressure, type Press } from '../mechanics';
import type { Plan } from '../verdicts';
import { check, type PanelPlacing } from './checked';
import { insteadOf } from './instead';
import type { Placing } from './job';
import { jobOf } from './panel-job';
import { placings } from './search';

/** What is being done while clamps are placed. */
export type PlacingStage = 'searching' | 'checking' | 'looking-further' | 'done';

/** How far the work has come. */
export interface PlacingStep {
  readonly stage: PlacingStage;
  /** Best so far; null before the first check. */
  readonly placing: PanelPlacing | null;
  /** Clamps of the best so far. */
  readonly clamps: number;
}

/** Tries at aiming higher where the elements find less than the sums did. */
const MOST_TRIES = 3;

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
  let aim = 1;
  let placing: PanelPlacing | null = null;
  for (let attempt = 0; attempt < MOST_TRIES; attempt += 1) {
    const job = jobOf(plan, aim);
    let found: Placing | null = null;
    for (const best of placings(job)) {
      found = best;
      yield { stage: 'searching', placing, clamps: best.clamps.length };
    }
    if (found === null) break;
    yield { stage: 'checking', placing, clamps: found.clamps.length };
    const checked = check(plan, job, found, makeId, press);
    if (placing === null || checked.lowestShare > placing.lowestShare) placing = checked;
    if (checked.meets || found.lowestShare < 1) break;
    aim *= 1.01 / checked.lowestShare;
  }
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

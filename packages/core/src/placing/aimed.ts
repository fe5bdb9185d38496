import type { Placing, PlacingJob } from './job';
import { placings } from './search';

/** What is being done while clamps are placed. */
export type PlacingStage = 'searching' | 'checking' | 'looking-further' | 'done';

/** How far the work has come. */
export interface Step<P> {
  readonly stage: PlacingStage;
  /** Best so far; null before the first check. */
  readonly placing: P | null;
  /** Clamps of the best so far. */
  readonly clamps: number;
}

/** What an answer is worth once it has been pressed for real. */
interface Checked {
  readonly lowestShare: number;
  readonly meets: boolean;
}

/** Tries at aiming higher where the elements find less than the sums did. */
const MOST_TRIES = 3;
/** A check that finds next to nothing does not aim beyond all measure. */
const LEAST_SHARE = 0.1;

/** Searches, has the answer pressed by the elements, and aims higher where they find less; the best of what was pressed. */
export function* aimed<P extends Checked>(
  jobFor: (aim: number) => PlacingJob,
  check: (job: PlacingJob, found: Placing) => P,
): Generator<Step<P>, P | null> {
  let aim = 1;
  let placing: P | null = null;
  for (let attempt = 0; attempt < MOST_TRIES; attempt += 1) {
    const job = jobFor(aim);
    let found: Placing | null = null;
    for (const best of placings(job)) {
      found = best;
      yield { stage: 'searching', placing, clamps: best.clamps.length };
    }
    if (found === null) break;
    yield { stage: 'checking', placing, clamps: found.clamps.length };
    const checked = check(job, found);
    if (placing === null || checked.lowestShare > placing.lowestShare) placing = checked;
    if (checked.meets || found.lowestShare < 1) break;
    aim *= 1.01 / Math.max(checked.lowestShare, LEAST_SHARE);
  }
  return placing;
}

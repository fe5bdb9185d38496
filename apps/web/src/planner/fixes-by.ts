import { type Fixes, placesOf, type Verdicts } from '@lean-clasp/core/fixes';
import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import type { PlannerLater, Tries } from './planner-answers';

type Adviser = Pick<PlannerLater, 'estimates' | 'likely' | 'inFull' | 'fixes'>;

/**
 * Fixes for a build, its many changes planned by several workers side by side: all of them by estimates, then those that look best in full.
 * @param settled the build's verdicts in full.
 * @param isWanted whether anybody waits for them still: a worker tries for the newest question only, so that an older one must not be gone on with.
 * @returns null where they were let go.
 */
export async function fixesBy(
  workers: readonly [Adviser, ...Adviser[]],
  build: BuildDocument,
  shop: ShopDocument,
  settled: Promise<Verdicts>,
  isWanted: () => boolean,
): Promise<Fixes | null> {
  const [first] = workers;
  const all = async (share: (worker: Adviser, turn: number) => Promise<Tries | null>) => {
    const shares = await Promise.all(workers.map(share));
    const whole = shares.filter((each) => each !== null);
    return whole.length < shares.length ? null : whole.flat();
  };
  if (!isWanted()) return null;
  // As long for one change as for another.
  const estimates = await all((worker, turn) => worker.estimates(build, shop, turn, workers.length));
  if (estimates === null) return null;
  const now = await settled;
  if (!isWanted()) return null;
  const likely = await first.likely(build, shop, estimates, now);
  const left = placesOf(likely);
  // What is pressed may take thirty times as long, so whoever is free takes the next.
  const full = await all(async (worker) => {
    const found: Tries[number][] = [];
    for (let place = left.shift(); place !== undefined; place = left.shift()) {
      const tried = isWanted() ? await worker.inFull(build, shop, place) : null;
      if (tried === null) return null;
      found.push(...tried);
    }
    return found;
  });
  return full === null ? null : first.fixes(build, shop, likely, now, full);
}

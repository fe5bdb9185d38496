import { type Fixes, placesOf, type Verdicts } from '@lean-clasp/core/fixes';
import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import type { PlannerLater, Tries } from './planner-answers';

type Adviser = Pick<PlannerLater, 'estimates' | 'likely' | 'inFull' | 'fixes'>;

/** Parts that all changes are tried in, so that whoever had something else to do first takes fewer. */
const SLICES = 4;

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
  /** What is left is taken by whoever is free; null once it was let go. */
  const tried = async (left: number[], ask: (worker: Adviser, next: number) => Promise<Tries | null>) => {
    const shares = await Promise.all(
      workers.map(async (worker) => {
        const found: Tries[number][] = [];
        for (let next = left.shift(); next !== undefined; next = left.shift()) {
          const tries = isWanted() ? await ask(worker, next) : null;
          if (tries === null) return null;
          found.push(...tries);
        }
        return found;
      }),
    );
    const whole = shares.filter((each) => each !== null);
    return whole.length < shares.length ? null : whole.flat();
  };
  const slices = Array.from({ length: SLICES }, (_, slice) => slice);
  const estimates = await tried(slices, (worker, slice) => worker.estimates(build, shop, slice, SLICES));
  if (estimates === null) return null;
  const now = await settled;
  if (!isWanted()) return null;
  const likely = await first.likely(build, shop, estimates, now);
  const full = await tried(placesOf(likely), (worker, place) => worker.inFull(build, shop, place));
  return full === null ? null : first.fixes(build, shop, likely, now, full);
}

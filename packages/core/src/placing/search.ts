import { overlapsOf, pressableSpan } from '../mechanics';
import { better, type Placing, type PlacingJob, type PlacingLot, type SetClamp } from './job';
import { add, type Sums, sumsOf } from './sums';

/** Up to so many places every set is tried. */
const MOST_PLACES_PROVEN = 5;
/** Rounds of moving each clamp in turn before a start is left. */
const MOST_ROUNDS = 30;
/** Ends stand out by these shares of the spacing in the first tries. */
const OVERHANGS: readonly number[] = [0.4, 0.3, 0.5];

/**
 * Fewest clamps, and the best places for them, that bring every line everywhere to the pressure wanted.
 *
 * Pressures of a set are sums of what each clamp does alone (`unitPressures`). On up to five places every set of lots
 * and places is tried, so the answer is proven. Beyond, for each count from the fewest that could do by force alone,
 * evenly spread clamps are moved one at a time, and changed for those of another lot, while the lowest pressure rises.
 * Where nothing meets it, the set with the highest lowest pressure. Deterministic.
 */
export function placeClamps(job: PlacingJob): Placing {
  let last: Placing | null = null;
  for (const best of placings(job)) last = best;
  if (last === null) throw new Error('unreachable: a search always answers');
  return last;
}

/** The same step by step: the best so far after each count of clamps, the answer last. */
export function* placings(job: PlacingJob): Generator<Placing> {
  const sums = sumsOf(job);
  if (job.placesMm.length <= MOST_PLACES_PROVEN) yield everySet(job, sums);
  else yield* bestFound(job, sums);
}

/** Whether a clamp of a lot fits on the edge, between others. */
function fits(job: PlacingJob, set: readonly SetClamp[], lot: PlacingLot, xMm: number): boolean {
  const { fromMm, toMm } = pressableSpan(job.panel.boards, job.panel.lengthMm);
  if (xMm - lot.padMm / 2 < fromMm - 1e-9 || xMm + lot.padMm / 2 > toMm + 1e-9) return false;
  const padOf = ({ lotId }: SetClamp) => job.lots.find(({ id }) => id === lotId)?.padMm ?? 0;
  const foul = (aMm: number, aPadMm: number, b: SetClamp) =>
    Math.abs(b.xMm - aMm) < (padOf(b) + aPadMm) / 2 + job.betweenMm - 1e-9;
  const near = [...job.pinned, ...set].filter((other) => foul(xMm, lot.padMm, other));
  // In two rows one may stand opposite, as long as no three are in each other's way.
  return job.rows === 2
    ? near.every((one, i) => near.slice(i + 1).every((other) => !foul(one.xMm, padOf(one), other)))
    : near.length === 0;
}

function left(set: readonly SetClamp[], lot: PlacingLot): number {
  return lot.count - set.filter(({ lotId }) => lotId === lot.id).length;
}

const room = (job: PlacingJob): number => job.mostClamps - job.pinned.length;

function answer(
  job: PlacingJob,
  sums: Sums,
  set: readonly SetClamp[],
  shares: Float64Array,
  rest: Pick<Placing, 'status' | 'tried'>,
): Placing {
  const { share, line, atMm } = sums.lowest(shares);
  return {
    clamps: [...job.pinned, ...set].sort((a, b) => a.xMm - b.xMm),
    lowestShare: share,
    lowestLine: line,
    lowestAtMm: atMm,
    ...rest,
  };
}

function everySet(job: PlacingJob, sums: Sums): Placing {
  let tried = 0;
  let best: Placing | null = null;
  const shares = sums.always.slice();
  const visit = (place: number, set: readonly SetClamp[]): void => {
    const xMm = job.placesMm[place];
    if (xMm === undefined) {
      tried += 1;
      const found = answer(job, sums, set, shares, { status: 'proven', tried });
      if (best === null || better(found, best)) best = found;
      return;
    }
    visit(place + 1, set);
    if (set.length >= room(job)) return;
    for (const lot of job.lots) {
      if (left(set, lot) <= 0 || !fits(job, set, lot, xMm)) continue;
      const own = sums.of(lot, xMm);
      add(shares, own);
      visit(place + 1, [...set, { lotId: lot.id, xMm }]);
      add(shares, own, -1);
    }
  };
  visit(0, []);
  return { ...(best ?? answer(job, sums, [], shares, { status: 'proven', tried })), tried };
}

function* bestFound(job: PlacingJob, sums: Sums): Generator<Placing> {
  let tried = 0;
  let best = answer(job, sums, [], sums.always, { status: 'best-found', tried });
  const strongest = [...job.lots].sort((a, b) => b.forceN - a.forceN);
  const available = job.lots.reduce((sum, lot) => sum + Math.max(0, left([], lot)), 0);
  const most = Math.min(room(job), available);
  for (let count = fewestByForce(job, strongest, most); count <= most; count += 1) {
    for (const start of starts(job, strongest, count)) {
      const { set, shares, tried: more } = climbed(job, sums, start);
      tried += more;
      const found = answer(job, sums, set, shares, { status: 'best-found', tried });
      if (better(found, best)) best = found;
    }
    yield { ...best, tried };
    if (best.lowestShare >= 1) return;
  }
  yield { ...best, tried };
}

/** Fewest clamps beside the pinned ones whose pull together could give every line its mean; the mean is never exceeded by the least. */
function fewestByForce(job: PlacingJob, strongest: readonly PlacingLot[], most: number): number {
  const { boards, lengthMm } = job.panel;
  const overlaps = overlapsOf(boards, lengthMm);
  const neededN = Math.max(
    ...job.targetMPa.map((target, i) => {
      const thicknessMm = Math.min(boards[i]?.thicknessMm ?? 0, boards[i + 1]?.thicknessMm ?? 0);
      const { fromMm, toMm } = overlaps[i] ?? { fromMm: 0, toMm: lengthMm };
      return target * (toMm - fromMm) * thicknessMm;
    }),
  );
  const forces = strongest.flatMap((lot) =>
    Array.from({ length: Math.max(0, left([], lot)) }, () => lot.forceN),
  );
  let reachN = job.pinned.reduce(
    (sum, { lotId }) => sum + (job.lots.find(({ id }) => id === lotId)?.forceN ?? 0),
    0,
  );
  let count = 0;
  while (reachN < neededN && count < most) reachN += forces[count++] ?? 0;
  return Math.min(most, Math.max(1, count));
}

/** Even spacings to start from, the strongest lots first, from the middle outward and from the ends inward. */
function starts(job: PlacingJob, strongest: readonly PlacingLot[], count: number): SetClamp[][] {
  const lots: string[] = [];
  for (const lot of strongest) {
    for (let i = left([], lot); i > 0 && lots.length < count; i -= 1) lots.push(lot.id);
  }
  const { fromMm, toMm } = pressableSpan(job.panel.boards, job.panel.lengthMm);
  const lengthMm = toMm - fromMm;
  return OVERHANGS.map((overhang) => {
    const spacing = lengthMm / (count - 1 + 2 * overhang);
    const set: SetClamp[] = [];
    // Ends are the weak places: the strongest stand there.
    const order = Array.from({ length: count }, (_, i) => i).sort(
      (a, b) => Math.min(a, count - 1 - a) - Math.min(b, count - 1 - b) || a - b,
    );
    order.forEach((slot, rank) => {
      const wish = fromMm + (count === 1 ? lengthMm / 2 : spacing * (overhang + slot));
      const lot = job.lots.find(({ id }) => id === lots[rank]);
      if (lot === undefined) return;
      const free = job.placesMm.filter((xMm) => fits(job, set, lot, xMm));
      const xMm = free.reduce<number | undefined>(
        (nearest, at) =>
          nearest === undefined || Math.abs(at - wish) < Math.abs(nearest - wish) ? at : nearest,
        undefined,
      );
      if (xMm !== undefined) set.push({ lotId: lot.id, xMm });
    });
    return set;
  });
}

/** Moves one clamp at a time to where the lowest pressure rises most, until none does. */
function climbed(
  job: PlacingJob,
  sums: Sums,
  start: readonly SetClamp[],
): { readonly set: readonly SetClamp[]; readonly shares: Float64Array; readonly tried: number } {
  const set = [...start];
  const lotOf = new Map(job.lots.map((lot) => [lot.id, lot]));
  const shares = sums.always.slice();
  for (const { lotId, xMm } of set) {
    const lot = lotOf.get(lotId);
    if (lot !== undefined) add(shares, sums.of(lot, xMm));
  }
  let tried = 0;
  let now = sums.lowest(shares).share;
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    let moved = false;
    for (let i = 0; i < set.length; i += 1) {
      const own = set[i];
      const ownLot = own === undefined ? undefined : lotOf.get(own.lotId);
      if (own === undefined || ownLot === undefined) continue;
      const others = set.filter((_, k) => k !== i);
      add(shares, sums.of(ownLot, own.xMm), -1);
      let [bestShare, bestLot, bestAt] = [now, ownLot, own.xMm];
      for (const lot of job.lots) {
        if (left(others, lot) <= 0) continue;
        for (const xMm of job.placesMm) {
          if (!fits(job, others, lot, xMm)) continue;
          tried += 1;
          const trial = sums.of(lot, xMm);
          add(shares, trial);
          const { share } = sums.lowest(shares);
          add(shares, trial, -1);
          if (share > bestShare + 1e-6) [bestShare, bestLot, bestAt] = [share, lot, xMm];
        }
      }
      add(shares, sums.of(bestLot, bestAt));
      if (bestShare > now) {
        set[i] = { lotId: bestLot.id, xMm: bestAt };
        now = bestShare;
        moved = true;
      }
    }
    if (!moved) break;
  }
  return { set, shares, tried };
}

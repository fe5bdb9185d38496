import { padWithinMm } from '../clamps';
import { pressableSpan, type UnitPressures, unitPressures } from '../mechanics';
import type { PlacingJob, PlacingLot, SetClamp } from './job';

/** Pressures under any set of clamps, by adding up single ones. */
export interface Sums {
  /** What a clamp of a lot does at a place, as a share of what is wanted at each node of each line. */
  readonly of: (lot: PlacingLot, xMm: number) => Float64Array;
  /** The same from the openings of the dry fit, and from the pinned clamps. */
  readonly always: Float64Array;
  readonly lowest: (shares: Float64Array) => Lowest;
}

/** The least share of all nodes and where it is. */
export interface Lowest {
  readonly share: number;
  readonly line: number;
  readonly atMm: number;
}

/** Works out what each lot does at each place, once. */
export function sumsOf(job: PlacingJob): Sums {
  const lotOf = new Map(job.lots.map((lot) => [lot.id, lot]));
  const wanted: SetClamp[] = [
    ...job.pinned,
    ...job.placesMm.flatMap((xMm) =>
      job.lots.filter(({ count }) => count > 0).map(({ id }) => ({ lotId: id, xMm })),
    ),
  ];
  const places = new Map<string, { readonly xMm: number; readonly padMm: number }>();
  for (const { lotId, xMm } of wanted) {
    const padMm = pressesMm(job, lotOf.get(lotId), xMm);
    if (padMm > 0) places.set(`${xMm} ${padMm}`, { xMm, padMm });
  }
  const units = unitPressures(job.panel, [...places.values()]);
  const perNewton = new Map([...places.keys()].map((key, i) => [key, units.perNewton[i] ?? units.fromGaps]));
  const scaled = new Map<string, Float64Array>();
  const n = units.xsMm.length;
  const targets = Float64Array.from(units.fromGaps, (_, i) => job.targetMPa[Math.floor(i / n)] ?? 1);
  const of = (lot: PlacingLot, xMm: number): Float64Array => {
    const key = `${lot.id} ${xMm}`;
    const known = scaled.get(key);
    if (known !== undefined) return known;
    const unit = perNewton.get(`${xMm} ${pressesMm(job, lot, xMm)}`);
    const shares = targets.map((target, i) => ((unit?.[i] ?? 0) * lot.forceN) / target);
    scaled.set(key, shares);
    return shares;
  };
  const always = units.fromGaps.map((value, i) => value / (targets[i] ?? 1));
  for (const { lotId, xMm } of job.pinned) {
    const lot = lotOf.get(lotId);
    if (lot !== undefined) add(always, of(lot, xMm));
  }
  return { of, always, lowest: (shares) => lowestOf(shares, units) };
}

function pressesMm(
  { panel: { boards, lengthMm } }: PlacingJob,
  lot: PlacingLot | undefined,
  xMm: number,
): number {
  const { fromMm, toMm } = pressableSpan(boards, lengthMm);
  return padWithinMm(lot?.pressMm ?? lot?.padMm ?? 0, xMm, toMm, fromMm);
}

/** Adds one set of shares to another, or takes it away. */
export function add(to: Float64Array, more: Float64Array, sign: 1 | -1 = 1): void {
  for (let i = 0; i < to.length; i += 1) to[i] = (to[i] ?? 0) + sign * (more[i] ?? 0);
}

function lowestOf(shares: Float64Array, { xsMm, meets }: UnitPressures): Lowest {
  const n = xsMm.length;
  let lowest = { share: Infinity, line: 0, atMm: 0 };
  meets.forEach(([first, last], line) => {
    for (let i = first; i <= last; i += 1) {
      const share = shares[line * n + i] ?? 0;
      if (share < lowest.share) lowest = { share, line, atMm: xsMm[i] ?? 0 };
    }
  });
  return lowest;
}

import { padOnEdgeMm, panelLots, panelOpeningMm } from '../assembly';
import { BETWEEN_JAWS_MM } from '../clamps';
import { MOST_CLAMPS, type RackLot } from '../formats';
import { judgedLines, type Plan, type RowPlan, uncrushedN, unpressed } from '../plan';
import type { PlacingJob, PlacingLot } from './job';

/** Places are tried this far apart, mm, and at most so many of them. */
const STEP_MM = 5;
const MOST_PLACES = 95;

/** A plan whose boards lie in a row. */
export interface PlannedRow extends Plan {
  readonly row: RowPlan;
}

/** Whether the boards of a plan lie in a row. */
export const isRow = (plan: Plan): plan is PlannedRow => plan.row !== null;

/** What a line without glue is pressed with does not count, MPa. */
const ANY_MPA = 1e-9;

/** What the search is asked for a plan: lots that are long enough, capped where jaws would crush, and where they may stand. */
export function jobOf(plan: PlannedRow, aim: number, more: readonly RackLot[] = []): PlacingJob {
  const { shop, row } = plan;
  const { job, panel, lines } = row;
  const judged = judgedLines(lines);
  const neededMm = panelOpeningMm(panel, job);
  const capped = (lot: RackLot) => uncrushedN(lot, job, panel);
  const usable = [...panelLots(shop), ...more].filter(({ maxOpeningMm }) => maxOpeningMm >= neededMm);
  const pinned = job.clamps.filter((clamp) => clamp.pinned === true);
  const pinLots = pinned.map((clamp, i): PlacingLot => {
    const own = usable.find(({ id }) => id === clamp.rackId);
    const most = own === undefined ? 0 : Math.min(capped(own), clamp.mostN ?? Infinity);
    return {
      id: `pinned ${i}`,
      count: 0,
      forceN: most,
      padMm: own?.padWidthMm ?? 1,
      pressMm: own === undefined ? 1 : padOnEdgeMm(own, job),
    };
  });
  const lots = usable.map((lot): PlacingLot => ({
    id: lot.id,
    count: lot.count - pinned.filter(({ rackId }) => rackId === lot.id).length,
    forceN: capped(lot),
    padMm: lot.padWidthMm,
    pressMm: padOnEdgeMm(lot, job),
  }));
  return {
    panel: unpressed(job, panel),
    targetMPa: lines.map((line) => (judged.includes(line) ? line.target.lowMPa * aim : ANY_MPA)),
    lots: [...lots, ...pinLots],
    placesMm: placesOn(panel, Math.max(...lots.map(({ padMm }) => padMm), 0)),
    pinned: pinned.map(({ xMm }, i) => ({ lotId: `pinned ${i}`, xMm })),
    mostClamps: MOST_CLAMPS,
    betweenMm: BETWEEN_JAWS_MM,
  };
}

/** The same along a row: only where jaws may stand. */
function placesOn({ lengthMm, stands }: RowPlan['panel'], widestPadMm: number): number[] {
  const half = widestPadMm / 2;
  const places = placesAlong(lengthMm, widestPadMm).filter((xMm) =>
    stands.some(([from, to]) => xMm - half >= from && xMm + half <= to),
  );
  // Blocks shorter than a jaw still take one in their middle.
  return places.length > 0 ? places : stands.map(([from, to]) => Math.round((from + to) / 2));
}

/** Where clamps may stand along an edge so that the widest pad fits; the same from either end, so that even panels get even answers. */
export function placesAlong(lengthMm: number, widestPadMm: number): number[] {
  const half = widestPadMm / 2;
  const step = Math.max(STEP_MM, Math.ceil(lengthMm / MOST_PLACES / STEP_MM) * STEP_MM);
  const count = Math.max(0, Math.floor((lengthMm - 2 * half) / step));
  const rest = (lengthMm - 2 * half - count * step) / 2;
  return Array.from({ length: count + 1 }, (_, i) => Math.round(half + rest + i * step));
}

import { BETWEEN_JAWS_MM, CRUSH_SHARE, lotReachMm, lotForceN } from '../clamps';
import { MOST_CLAMPS, type PulledClamp, type RackLot } from '../formats';
import {
  acrossInTurn,
  type Plan,
  packingOf,
  type PlannedPull,
  pullFrame,
  spreadMm,
  type Stack,
  suits,
} from '../plan';
import type { Placing, PlacingJob, PlacingLot } from './job';
import { placesAlong } from './row-job';

/** Clamps that stay, and that can press. */
export const pinnedOn = ({ placed }: PlannedPull) => placed.filter(({ clamp }) => clamp.pinned === true);

/** Lots with jaws that suit a pull. */
export const stackLots = ({ shop }: Plan, { pull }: PlannedPull): RackLot[] =>
  shop.rack.filter((lot) => suits(pull, lot) && lot.count > 0 && lotReachMm(lot) > 0);

/** What the search is asked for a stack. */
export function jobOfStack(
  { build }: Plan,
  planned: PlannedPull,
  stack: Stack,
  lots: readonly RackLot[],
  aim: number,
): PlacingJob {
  const spread = spreadMm(packingOf(build));
  const capped = (lot: RackLot) =>
    Math.min(
      lotForceN(lot),
      CRUSH_SHARE * planned.crushMPa * (lot.padWidthMm + spread) * (lot.padHeightMm + spread),
    );
  const pinned = pinnedOn(planned);
  const free = lots.map((lot): PlacingLot => ({
    id: lot.id,
    count: lot.count - pinned.filter((pin) => pin.lot.id === lot.id).length,
    forceN: capped(lot),
    padMm: lot.padWidthMm,
    pressMm: stack.padMmOf(lot),
  }));
  const { boards, lengthMm, batten } = stack;
  const within = (xMm: number, padMm: number) => Math.min(lengthMm - padMm / 2, Math.max(padMm / 2, xMm));
  return {
    panel: { boards, lengthMm, batten },
    targetMPa: stack.joints.map(() => planned.wanted.lowMPa * aim),
    lots: [
      ...free,
      ...pinned.map(({ lot, forceN }, i): PlacingLot => ({
        id: `pinned ${i}`,
        count: 0,
        forceN,
        padMm: Math.min(lengthMm, lot.padWidthMm),
        pressMm: stack.padMmOf(lot),
      })),
    ],
    placesMm: placesAlong(lengthMm, Math.max(...free.map(({ padMm }) => padMm), 0)),
    pinned: pinned.map(({ clamp, lot }, i) => ({
      lotId: `pinned ${i}`,
      xMm: within(clamp.alongMm, Math.min(lengthMm, lot.padWidthMm)),
    })),
    mostClamps: MOST_CLAMPS,
    betweenMm: BETWEEN_JAWS_MM,
    rows: stack.rows,
  };
}

/** A found set as clamps of the document, across the stack in turn. */
export function clampsFrom(
  { facts, shop }: Plan,
  planned: PlannedPull,
  job: PlacingJob,
  found: Placing,
  makeId: () => string,
): PulledClamp[] {
  const pinned = pinnedOn(planned);
  const frame = pullFrame(planned.pull, facts);
  const rowOf = rowsOf(job, found);
  return found.clamps.flatMap(({ lotId, xMm }, i): PulledClamp[] => {
    const pin = lotId.startsWith('pinned ') ? pinned[Number(lotId.slice('pinned '.length))] : undefined;
    if (pin !== undefined) return [pin.clamp];
    const lot = shop.rack.find(({ id }) => id === lotId);
    if (lot === undefined) return [];
    const capN = job.lots.find(({ id }) => id === lotId)?.forceN ?? 0;
    return [
      {
        id: makeId(),
        pull: planned.pull.id,
        rackId: lotId,
        alongMm: xMm,
        acrossMm: acrossInTurn(planned.pull, frame, rowOf[i] ?? i, job.rows),
        ...(capN < lotForceN(lot) - 1 ? { mostN: Math.floor(capN) } : {}),
      },
    ];
  });
}

/** Row of each clamp: that of the one before where there is room, for bars on faces simply in turn. */
function rowsOf(job: PlacingJob, { clamps }: Placing): number[] {
  if (job.rows !== 2) return clamps.map((_, i) => i);
  const ends = [-Infinity, -Infinity];
  return clamps.map(({ lotId, xMm }) => {
    const half = (job.lots.find(({ id }) => id === lotId)?.padMm ?? 0) / 2;
    const row = (ends[0] ?? 0) <= (ends[1] ?? 0) ? 0 : 1;
    ends[row] = xMm + half;
    return row;
  });
}

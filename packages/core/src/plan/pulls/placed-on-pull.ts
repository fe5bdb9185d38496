import type { Pull } from '../../assembly';
import { lotForceN } from '../../clamps';
import type { BuildDocument, PulledClamp, RackLot } from '../../formats';

/** So many of one lot, all pulled alike. */
export interface TakenLot {
  readonly lot: RackLot;
  readonly count: number;
  /** What each is to be pulled to. */
  readonly forceN: number;
  /** What each can give, or may by the person's own limit. */
  readonly mostN: number;
}

/** A clamp that the person has placed on a pull, with the lot that it comes from. */
export interface PlacedOnPull {
  readonly clamp: PulledClamp;
  readonly lot: RackLot;
  readonly forceN: number;
  readonly mostN: number;
}

/** A clamp that was placed and cannot press: its lot is gone or does not suit, opens too little, or is used up. */
export interface IdleOnPull {
  readonly clamp: PulledClamp;
  readonly why: 'gone' | 'too-short' | 'used-up';
  readonly lot: RackLot | null;
}

/** What was placed on one pull. */
export interface Placements {
  readonly placed: readonly PlacedOnPull[];
  readonly idle: readonly IdleOnPull[];
}

/** Lots of a rack that suit a pull and open far enough. A weight lies on top, there is nothing to open; a bag goes round the work. */
export const suits = (pull: Pull, lot: RackLot): boolean =>
  pull.kinds.includes(lot.kind) &&
  (lot.kind === 'weight' ||
    (lot.kind === 'vacuum' ? goesInto(pull, lot) : lot.maxOpeningMm >= pull.openingMm));

/** Whether the work goes into a bag, either way round; one that nobody has measured is taken as large enough. */
function goesInto({ bag: least }: Pull, { bag }: RackLot): boolean {
  if (least === undefined || bag === undefined) return true;
  const sides = [bag.lengthMm ?? Infinity, bag.widthMm ?? Infinity];
  const [long, short] = [Math.max(...sides), Math.min(...sides)];
  return Math.max(least.lengthMm, least.widthMm) <= long && Math.min(least.lengthMm, least.widthMm) <= short;
}

/** Sorts what was placed on a pull into what presses and what cannot; nothing of either where it is left to be worked out. */
export function placementsOf(
  pull: Pull,
  squeeze: BuildDocument['squeeze'],
  rack: readonly RackLot[],
): Placements {
  const placed: PlacedOnPull[] = [];
  const idle: IdleOnPull[] = [];
  const along = (squeeze?.clamps ?? [])
    .filter((clamp) => clamp.pull === pull.id)
    .sort((a, b) => a.alongMm - b.alongMm || a.acrossMm - b.acrossMm);
  for (const clamp of along) {
    const lot = rack.find(({ id }) => id === clamp.rackId) ?? null;
    if (lot === null || !pull.kinds.includes(lot.kind)) {
      idle.push({ clamp, why: 'gone', lot });
    } else if (!suits(pull, lot)) {
      idle.push({ clamp, why: 'too-short', lot });
    } else if (placed.filter((other) => other.lot.id === lot.id).length >= lot.count) {
      idle.push({ clamp, why: 'used-up', lot });
    } else {
      const mostN = Math.min(lotForceN(lot), clamp.mostN ?? Infinity);
      placed.push({ clamp, lot, forceN: mostN, mostN });
    }
  }
  return { placed, idle };
}

/** Lots that clamps come from, those pulled alike together, in the order in which they stand. */
export function takenBy(placed: readonly Pick<PlacedOnPull, 'lot' | 'forceN' | 'mostN'>[]): TakenLot[] {
  const taken: TakenLot[] = [];
  for (const { lot, forceN, mostN } of placed) {
    const at = taken.findIndex((other) => other.lot.id === lot.id && other.forceN === forceN);
    if (at < 0) taken.push({ lot, count: 1, forceN, mostN });
    else taken[at] = { lot, forceN, mostN, count: (taken[at]?.count ?? 0) + 1 };
  }
  return taken;
}

/** Clamps that were placed on other pulls than this one. */
export const clampsElsewhere = ({ squeeze }: Pick<BuildDocument, 'squeeze'>, pullId: string): PulledClamp[] =>
  squeeze?.clamps?.filter(({ pull }) => pull !== pullId) ?? [];

/** Clamps that the person has asked for on a pull; undefined where that is left to be worked out. */
export const countAsked = (pull: Pull, squeeze: BuildDocument['squeeze']): number | undefined =>
  squeeze?.counts?.find((each) => each.pull === pull.id)?.count;

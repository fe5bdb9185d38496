import { lotForceN } from '../../clamps';
import type { RackLot, ShopDocument } from '../../formats';

/** Clamps of some lot that are at work already. */
export interface Used {
  readonly lot: RackLot;
  readonly count: number;
}

/** Kinds with a throat that reaches in over what they hold, the lightest first. */
const KINDS: readonly string[] = ['trigger', 'f-light', 'c-clamp', 'hand-screw', 'f-heavy', 'parallel-jaw'];

/** The lightest lot of which so many are left beside what presses, that open so far and give so much; null where there is none. */
export function leftOnRack(
  { rack }: ShopDocument,
  used: readonly Used[],
  asked: { readonly count: number; readonly openingMm: number; readonly forceN: number },
): RackLot | null {
  const left = (lot: RackLot) =>
    lot.count - used.filter((each) => each.lot.id === lot.id).reduce((sum, { count }) => sum + count, 0);
  const [lot] = rack
    .filter(
      (each) =>
        KINDS.includes(each.kind) &&
        each.maxOpeningMm >= asked.openingMm &&
        lotForceN(each) >= asked.forceN &&
        left(each) >= asked.count,
    )
    .sort((a, b) => KINDS.indexOf(a.kind) - KINDS.indexOf(b.kind));
  return lot ?? null;
}

import type { ShopDocument } from '@lean-clasp/core/formats';
import { useMemo, useState } from 'react';
import { freeNow } from '../shop/in-use';
import { useInUse } from '../shop/use-in-use';

/** The rack that clamps are placed from. */
export interface FreeRack {
  /** Clamps that sit on other work now. */
  readonly tied: number;
  readonly leftOut: boolean;
  readonly leaveOut: (leftOut: boolean) => void;
  /** The shop with what may be placed. */
  readonly shop: ShopDocument;
}

/** Leaves out what sits on work now, unless the person plans for later. */
export function useFreeRack(shop: ShopDocument): FreeRack {
  const { tied: busy } = useInUse();
  const [leftOut, leaveOut] = useState(true);
  return useMemo(() => {
    const tied = shop.rack.reduce((sum, { id, count }) => sum + Math.min(count, busy.get(id)?.count ?? 0), 0);
    return { tied, leftOut, leaveOut, shop: tied > 0 && leftOut ? freeNow(shop, busy) : shop };
  }, [busy, leftOut, shop]);
}

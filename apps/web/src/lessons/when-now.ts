import type { ShopDocument } from '@lean-clasp/core/formats';
import { closesInMin, type When } from '@lean-clasp/core/lessons';
import dayjs from 'dayjs';

/** The moment by the clock on the wall: what day it is, and how long the shop is still open. */
export function whenNow(shop: ShopDocument, nowMs: number): When {
  const now = dayjs(nowMs);
  return {
    today: now.format('YYYY-MM-DD'),
    closesInMin: closesInMin(shop, now.day(), now.diff(now.startOf('day'), 'minute')),
  };
}

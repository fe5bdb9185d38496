import type { Bottle, ShopDocument } from '@lean-clasp/core/formats';
import { makeId } from '../workspace/edits';
import { changed } from './use-edit-shop';

type Edit = (shop: ShopDocument) => ShopDocument;

/** One more bottle on the shelf, about full. */
export const addBottle =
  (adhesive: string): Edit =>
  (shop) => ({
    ...shop,
    bottles: [...shop.bottles, { id: makeId(), adhesive, openedOn: null, remainingMl: 500 }],
  });

/** Something about one bottle. */
export const changeBottle =
  (id: string, change: Partial<Bottle>): Edit =>
  (shop) => ({ ...shop, bottles: changed(shop.bottles, id, change) });

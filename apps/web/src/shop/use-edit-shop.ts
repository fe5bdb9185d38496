import type { ShopDocument } from '@lean-clasp/core/formats';
import { useAppDispatch } from '../app/store';
import { editDocument } from '../documents/sync';
import { SHOP_ID } from './shop-id';

/** The one way to change the shop. */
export function useEditShop(): (label: string, change: (shop: ShopDocument) => ShopDocument) => void {
  const dispatch = useAppDispatch();
  return (label, change) => void dispatch(editDocument<ShopDocument>(SHOP_ID, label, change));
}

/** Changes one entry of a list by id. */
export function changed<T extends { readonly id: string }>(
  list: readonly T[],
  id: string,
  change: Partial<T>,
): T[] {
  return list.map((entry) => (entry.id === id ? { ...entry, ...change } : entry));
}

import type { ShopDocument } from '@lean-clasp/core/formats';
import { changed, useEditShop } from './use-edit-shop';

/** Lists of the shop whose entries are added, changed and removed one by one. */
export type ShopList = 'rack' | 'cauls' | 'blocks' | 'bottles' | 'woods' | 'methods' | 'benches';
/** An entry of such a list. */
export type RowOf<F extends ShopList> = NonNullable<ShopDocument[F]>[number];

/** The ways to change one list of the shop; `label` names the step of undo. */
export function useShopList<F extends ShopList>(
  field: F,
): {
  readonly add: (label: string, rows: readonly RowOf<F>[]) => void;
  readonly set: (label: string, id: string, change: Partial<RowOf<F>>) => void;
  /** Puts another in its place. */
  readonly replace: (label: string, id: string, change: (row: RowOf<F>) => RowOf<F>) => void;
  readonly remove: (label: string, id: string) => void;
} {
  const edit = useEditShop();
  const listed = (label: string, change: (rows: readonly RowOf<F>[]) => readonly RowOf<F>[]) =>
    edit(label, (before) => ({ ...before, [field]: change(before[field] ?? []) }));
  return {
    add: (label, rows) => listed(label, (before) => [...before, ...rows]),
    set: (label, id, change) => listed(label, (before) => changed(before, id, change)),
    replace: (label, id, change) =>
      listed(label, (before) => before.map((row) => (row.id === id ? change(row) : row))),
    remove: (label, id) => listed(label, (before) => before.filter((row) => row.id !== id)),
  };
}

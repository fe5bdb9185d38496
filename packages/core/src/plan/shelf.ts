import { type Adhesive, asLearned, findAdhesive, listAdhesives, withLabel } from '../adhesives';
import type { ShelfBottle } from '../choice';
import type { ShopDocument } from '../formats';
import { ageMonthsOf } from '../shelf';

/**
 * A family as the person's own bottle describes it: the first bottle on the shelf whose label was typed in. What a label leaves open
 * goes by what the log has taught.
 * @throws InputError `unknown-id`.
 */
export function adhesiveOf(id: string, shop: ShopDocument, field = 'adhesive'): Adhesive {
  const labelled = shop.bottles.find(({ adhesive, label }) => adhesive === id && label !== undefined);
  const learned = shop.learned?.windows.find(({ adhesive }) => adhesive === id);
  return withLabel(asLearned(findAdhesive(id, field), learned?.factor ?? 1), labelled?.label ?? null);
}

/** All families, each by the person's own label where there is one. */
export const familiesOf = (shop: ShopDocument): Adhesive[] =>
  listAdhesives().map(({ id }) => adhesiveOf(id, shop));

/** Bottles as the choice of a glue looks at them. */
export function bottlesOf(shop: ShopDocument, today: string | null): ShelfBottle[] {
  return shop.bottles.map((bottle) => ({
    adhesive: bottle.adhesive,
    remainingMl: bottle.remainingMl,
    ageMonths: ageMonthsOf(bottle, today),
    pricePerLitre: bottle.pricePerLitre ?? null,
  }));
}

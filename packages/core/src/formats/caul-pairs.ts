import type { ShopDocument } from './shop-document';

/** Pairs of cauls in a shop, listed or only counted. */
export const caulPairsIn = ({ cauls, caulPairs }: ShopDocument): number =>
  cauls === undefined ? caulPairs : cauls.reduce((sum, { count }) => sum + Math.floor(count / 2), 0);

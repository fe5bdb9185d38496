import type { ShopDocument, Work } from '../../formats';

/** Minutes of some work over the built-in ones: 1.2 is a fifth slower. */
export type Pace = (work: Work, method?: string) => number;

/** The pace of a shop: what it has learned of a work, by the method where that is known; else its general pace. */
export function paceOf({ paceFactor, learned }: Pick<ShopDocument, 'paceFactor' | 'learned'>): Pace {
  const entries = learned?.pace ?? [];
  return (work, method = '') =>
    (
      entries.find((entry) => entry.work === work && entry.method === method) ??
      entries.find((entry) => entry.work === work && entry.method === '')
    )?.factor ?? paceFactor;
}

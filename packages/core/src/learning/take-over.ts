import { NOTHING_LEARNED, type ShopDocument } from '../formats';
import { WINDOW_CV } from '../plan';
import type { Lore } from './learn';

/** Pace and windows are kept within these. */
const FACTOR = { least: 0.2, most: 5 };

/** The shop with something taken over. */
export function accepted(shop: ShopDocument, lore: Lore, on: string): ShopDocument {
  const before = forgotten(shop, lore).learned ?? NOTHING_LEARNED;
  const { subject, after, second, runs } = lore;
  const round = (value: number) => Number(value.toFixed(3));
  const evidence = { runs, on };
  const factor = round(Math.min(FACTOR.most, Math.max(FACTOR.least, after)));
  switch (subject.kind) {
    case 'pace': {
      const { work, method } = subject;
      return {
        ...shop,
        learned: { ...before, pace: [...before.pace, { work, method, factor, ...evidence }] },
      };
    }
    case 'scatter':
      return {
        ...shop,
        learned: { ...before, scatter: { stepCv: round(after), dayCv: round(second ?? 0), ...evidence } },
      };
    case 'window': {
      const entry = { adhesive: subject.adhesive, factor, cv: round(second ?? WINDOW_CV), ...evidence };
      return { ...shop, learned: { ...before, windows: [...before.windows, entry] } };
    }
    case 'reached': {
      const { measure, template } = subject;
      const entry = {
        measure,
        template,
        typicalMm: round(after),
        poorMm: round(second ?? after),
        ...evidence,
      };
      return { ...shop, learned: { ...before, reached: [...before.reached, entry] } };
    }
  }
}

/** The shop with something refused: it stays refused, whatever the log says, until it is called back. */
export function refused(shop: ShopDocument, { key }: Pick<Lore, 'key'>): ShopDocument {
  const before = shop.learned ?? NOTHING_LEARNED;
  return {
    ...shop,
    learned: { ...before, refused: [...before.refused.filter((each) => each !== key), key] },
  };
}

/** The shop as if it had never taken something over, nor refused it. */
export function forgotten(shop: ShopDocument, { subject, key }: Pick<Lore, 'subject' | 'key'>): ShopDocument {
  const before = shop.learned ?? NOTHING_LEARNED;
  const without = { ...before, refused: before.refused.filter((each) => each !== key) };
  switch (subject.kind) {
    case 'pace':
      return {
        ...shop,
        learned: {
          ...without,
          pace: before.pace.filter(({ work, method }) => work !== subject.work || method !== subject.method),
        },
      };
    case 'scatter':
      return { ...shop, learned: { ...without, scatter: null } };
    case 'window':
      return {
        ...shop,
        learned: {
          ...without,
          windows: before.windows.filter(({ adhesive }) => adhesive !== subject.adhesive),
        },
      };
    case 'reached':
      return {
        ...shop,
        learned: {
          ...without,
          reached: before.reached.filter(
            ({ measure, template }) => measure !== subject.measure || template !== subject.template,
          ),
        },
      };
  }
}

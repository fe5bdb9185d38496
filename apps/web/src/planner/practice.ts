import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';

type Turn = (build: BuildDocument, shop: ShopDocument) => unknown;

/** Hands have rested for so long before it begins, ms. */
const REST_MS = 500;
/** Between two turns, for what is asked meanwhile, ms. */
const BETWEEN_MS = 20;
/** After as many, plans of one board and of many parts alike take about as long as they ever will. */
const TURNS = 12;
/** How much larger each turn's build is than the last, as a share: nothing that anybody would see, and nothing remembered answers for it. */
const LARGER = 1e-7;

/**
 * A worker's practice while nobody asks: browsers run code several times as fast once it has run often, and the first keys after a build is
 * opened should not be what it learns from.
 * @param turn answers a build as it would be asked; what it says is thrown away.
 * @returns what is told of each question that was really asked.
 */
export function practice(turn: Turn): Turn {
  let left = TURNS;
  let next: ReturnType<typeof setTimeout> | undefined;
  return (build, shop) => {
    clearTimeout(next);
    const again = async () => {
      left -= 1;
      try {
        await turn(larger(build, 1 + (TURNS - left) * LARGER, ''), shop);
      } catch {
        // Who asks for it in earnest is told.
      }
      if (left > 0) next = setTimeout(() => void again(), BETWEEN_MS);
    };
    if (left > 0) next = setTimeout(() => void again(), REST_MS);
  };
}

/** A copy with every length multiplied: whatever meets in it still does. */
function larger<T>(value: T, by: number, name: string): T {
  if (typeof value === 'number') return (name.endsWith('Mm') ? value * by : value) as T;
  if (typeof value !== 'object' || value === null) return value;
  if (Array.isArray(value)) return value.map((each: unknown) => larger(each, by, name)) as T;
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, larger(each, by, key)])) as T;
}

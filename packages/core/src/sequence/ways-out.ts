import { DIRECTIONS } from '../solids';

/** Directions in which a part can leave another, as bits: bit i stands for `DIRECTIONS[i]`. */
export type WaysOut = number;

const LAST = DIRECTIONS.length - 1;
const bitOf: ReadonlyMap<string, number> = new Map(DIRECTIONS.map(({ name }, i) => [name, 1 << i]));

/** Names of the 26 directions, and "any" for all of them. */
export const DIRECTION_NAMES: readonly string[] = ['any', ...DIRECTIONS.map(({ name }) => name)];
/** Nothing holds the part. */
export const EVERY_WAY: WaysOut = 2 ** DIRECTIONS.length - 1;
/** How many directions there are. */
export const WAYS = DIRECTIONS.length;

/** Bits of named directions; names that do not exist count for nothing. */
export function waysOut(names: readonly string[]): WaysOut {
  if (names.includes('any')) return EVERY_WAY;
  return names.reduce((bits, name) => bits | (bitOf.get(name) ?? 0), 0);
}

/** The same ways seen from the other part: each direction reversed. */
export function seenFromOther(ways: WaysOut): WaysOut {
  let other = 0;
  for (let i = 0; i < WAYS; i += 1) if ((ways >> i) & 1) other |= 1 << (LAST - i);
  return other;
}

/** Whether direction number `i` is among the ways. */
export function leaves(ways: WaysOut, i: number): boolean {
  return ((ways >> i) & 1) === 1;
}

/** Number of the direction opposite to number `i`. */
export function opposite(i: number): number {
  return LAST - i;
}

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

/** The same ways seen from the other part: each direction reversed, which is all bits turned round. */
export function seenFromOther(ways: WaysOut): WaysOut {
  let bits = ways;
  bits = ((bits >>> 1) & 0x55555555) | ((bits & 0x55555555) << 1);
  bits = ((bits >>> 2) & 0x33333333) | ((bits & 0x33333333) << 2);
  bits = ((bits >>> 4) & 0x0f0f0f0f) | ((bits & 0x0f0f0f0f) << 4);
  bits = ((bits >>> 8) & 0x00ff00ff) | ((bits & 0x00ff00ff) << 8);
  bits = (bits >>> 16) | (bits << 16);
  return bits >>> (32 - WAYS);
}

/** Whether direction number `i` is among the ways. */
export function leaves(ways: WaysOut, i: number): boolean {
  return ((ways >> i) & 1) === 1;
}

/** Number of the direction opposite to number `i`. */
export function opposite(i: number): number {
  return LAST - i;
}

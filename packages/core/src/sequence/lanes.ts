import type { Work } from './job';
import { TIME_EPS_MIN } from './problem';

/** Pairs of hands that do each work, and which works each pair does after which. */
export interface Lanes {
  readonly hands: readonly (readonly number[])[];
  /** Each work with the next one on the same pair of hands. */
  readonly follows: readonly (readonly [number, number])[];
}

/**
 * Gives works at fixed times to pairs of hands: in order of starting, to the pairs that have been free the
 * shortest. People are alike, so this succeeds whenever no moment needs more hands than there are; what takes no time needs none.
 * Returns null where one does.
 */
export function lanesOf(works: readonly Work[], startMin: readonly number[], crew: number): Lanes | null {
  const freeAt = Array.from({ length: crew }, () => ({ minute: -Infinity, last: -1 }));
  const hands: number[][] = works.map(() => []);
  const follows: [number, number][] = [];
  const order = works.map((_, i) => i).sort((i, j) => (startMin[i] ?? 0) - (startMin[j] ?? 0) || i - j);
  for (const i of order) {
    const start = startMin[i] ?? 0;
    const work = works[i];
    if (work === undefined) continue;
    // What takes no time, as a joint that stays dry is spread, is done in passing, whoever is busy.
    if (work.minutes <= TIME_EPS_MIN) {
      hands[i]?.push(...freeAt.map((_, hand) => hand).slice(0, work.hands));
      continue;
    }
    const able = freeAt
      .map((lane, hand) => ({ ...lane, hand }))
      .filter(({ minute }) => minute <= start + TIME_EPS_MIN)
      .sort((x, y) => y.minute - x.minute || x.hand - y.hand)
      .slice(0, work.hands);
    if (able.length < work.hands) return null;
    for (const { hand, last } of able) {
      if (last >= 0) follows.push([last, i]);
      hands[i]?.push(hand);
      freeAt[hand] = { minute: start + work.minutes, last: i };
    }
  }
  return { hands: hands.map((list) => list.sort((x, y) => x - y)), follows };
}

import { leastBy } from '../../basics/least-by';
import type { Panel, Stretch } from '../../assembly';
import { BETWEEN_JAWS_MM, evenPositions, lotForceN } from '../../clamps';
import type { PlacedClamp, RackLot } from '../../formats';
import { withHandles } from './handles';

/** The first and the last place at which a jaw may stand, mm. */
export const reachOf = ({ stands }: Panel): readonly [number, number] => [
  Math.min(...stands.map(([from]) => from)),
  Math.max(...stands.map(([, to]) => to)),
];

/** How many jaws find room beside each other. */
export const fittingOn = ({ stands }: Panel, { padWidthMm }: RackLot): number =>
  Math.max(
    1,
    stands.reduce((sum, stand) => sum + roomOn(stand, padWidthMm), 0),
  );

const roomOn = ([from, to]: Stretch, padMm: number): number =>
  Math.floor((to - from + BETWEEN_JAWS_MM) / (padMm + BETWEEN_JAWS_MM));

/**
 * Places for so many clamps, mm from the first end of the panel: evenly over where jaws may stand, each wholly on its block
 * where there are blocks.
 * @param padMm width of the widest jaw.
 */
export function positionsOn(panel: Panel, count: number, padMm: number): number[] {
  const [from, to] = reachOf(panel);
  const onEach = panel.stands.map(() => 0);
  for (const xMm of evenPositions(count, to - from)) {
    const stand = nearestStand(panel.stands, onEach, from + xMm, padMm);
    onEach[stand] = (onEach[stand] ?? 0) + 1;
  }
  return panel.stands.flatMap((stand, i) => evenlyOn(stand, onEach[i] ?? 0, padMm));
}

/** The nearest block with room for one more jaw; the nearest of all where none has. */
function nearestStand(
  stands: Panel['stands'],
  onEach: readonly number[],
  xMm: number,
  padMm: number,
): number {
  const offOf = ([from, to]: Stretch) => Math.max(from - xMm, xMm - to, 0);
  const nearest = (indexes: readonly number[]) => leastBy(indexes, (i) => offOf(stands[i] as Stretch));
  const all = stands.map((_, i) => i);
  const free = all.filter((i) => (onEach[i] ?? 0) < roomOn(stands[i] as Stretch, padMm));
  return nearest(free.length > 0 ? free : all);
}

/** Evenly, half a pad from the ends at least. */
function evenlyOn([from, to]: Stretch, count: number, padMm: number): number[] {
  const places = evenPositions(count, to - from).map((xMm) => from + xMm);
  const [first, last] = [from + padMm / 2, to - padMm / 2];
  if (count < 2 || last <= first || ((places[0] ?? first) >= first && (places.at(-1) ?? last) <= last)) {
    return places.map((xMm) => Math.round(xMm));
  }
  return places.map((_, i) => Math.round(first + ((last - first) * i) / (count - 1)));
}

/** Clamps of one lot at those places, bars above and below in turn, each pulled no harder than so much. */
export const evenly = (lot: RackLot, count: number, panel: Panel, mostN: number): PlacedClamp[] =>
  withHandles(
    positionsOn(panel, count, lot.padWidthMm).map((xMm, index) => ({
      id: `auto-${index + 1}`,
      rackId: lot.id,
      xMm,
      side: index % 2 === 0 ? 'above' : 'below',
      ...(mostN < lotForceN(lot) ? { mostN } : {}),
    })),
    [lot],
  );

import type { Pull } from '../../assembly';
import { BANDS, BETWEEN_JAWS_MM, lotForceN, ROUND } from '../../clamps';
import type { RackLot } from '../../formats';
import { isOpposed, roundShare, SPOTS } from './opposed';
import { suits } from './placed-on-pull';
import type { PlannedPull } from './planned-pull';

/** Places wrapped with elastic: at most so many, with room for the next one, mm; two layers go over each other at a frame [judgement]. */
const MOST_PLACES = 20;
const LEAST_PLACES = 4;
const PLACE_EVERY_MM = 60;
/** Strips of tape are laid this far apart, mm [judgement]. */
const STRIP_EVERY_MM = 40;
/** Clamps are taken until they could give so much more than is needed [judgement]. */
const SPARE = 1.15;
/** What only adds to the spare is nearly as strong as the others, on the whole [judgement]. */
const STRONG_SHARE = 0.75;
/** Kinds that every shop has on a roll; the rack need not list them. */
export const ON_A_ROLL: readonly string[] = ['tape', 'elastic-wrap'];

/** Lots that clamps of a pull may be placed from one by one: the rack, and wraps off the roll; strips of tape have no places of their own. */
export const placeableLots = (pull: Pull, rack: readonly RackLot[]): RackLot[] => [
  ...rack,
  ...rollsFor(pull, 1, MOST_PLACES * PLACE_EVERY_MM).filter(({ kind }) => kind !== 'tape'),
];

/** What comes off a roll, as much as a pull can use of it. */
function rollsFor(pull: Pull, joints: number, lengthMm: number): RackLot[] {
  return ON_A_ROLL.filter((kind) => pull.kinds.includes(kind)).map((kind): RackLot => ({
    id: kind,
    kind,
    count:
      kind === 'tape'
        ? 2 * joints * Math.max(1, Math.ceil(lengthMm / STRIP_EVERY_MM))
        : Math.min(MOST_PLACES, Math.max(LEAST_PLACES, Math.ceil(lengthMm / PLACE_EVERY_MM))),
    maxOpeningMm: pull.openingMm,
    forceN: null,
    padWidthMm: 25,
    padHeightMm: 25,
  }));
}

/** Lots long enough and of a kind that suits, the kind's order first, until the need is met. */
export function takeFromRack(
  pull: Pull,
  neededN: number,
  rack: readonly RackLot[],
  lengthMm: number,
  joints: number,
  {
    wanted,
    leastOf,
    roomMm,
    lightestFromN,
  }: {
    readonly wanted: number | undefined;
    /** Clamps that it takes at least, where each gives so much. */
    readonly leastOf: (forceN: number) => number;
    readonly roomMm: number;
    /** Seats take the lightest clamps that give so much each; null: the kinds in the order in which they suit. */
    readonly lightestFromN: number | null;
  },
): PlannedPull['taken'] {
  const rolls = rollsFor(pull, joints, lengthMm);
  const suiting = [...rack, ...rolls]
    .filter((lot) => suits(pull, lot) && lot.count > 0)
    .map((lot) => ({ lot, forceN: lotForceN(lot), drawsN: lotForceN(lot) * roundShare(pull, lot.kind) }))
    .sort((a, b) =>
      lightestFromN === null
        ? pull.kinds.indexOf(a.lot.kind) - pull.kinds.indexOf(b.lot.kind) || b.forceN - a.forceN
        : lightestFirst(a.forceN, b.forceN, lightestFromN),
    );
  const lots = suiting.some(({ lot }) => isOpposed(pull, lot.kind) && lot.count > 1)
    ? heldThenPressed(suiting)
    : suiting;
  const taken: { lot: RackLot; count: number; forceN: number; mostN: number }[] = [];
  // Lines are pressed less between clamps than under them: there another lot makes up what one falls short of its spare.
  const endsAtN = pull.need === 'line' ? SPARE * neededN : neededN;
  let reachN = 0;
  let leftMm = roomMm;
  for (const { lot, forceN, drawsN } of lots) {
    const placed = taken.reduce((sum, { count }) => sum + count, 0);
    const least = leastOf(forceN);
    if (wanted === undefined ? reachN >= endsAtN && placed >= least : placed >= wanted) break;
    const enough =
      wanted === undefined
        ? Math.max(least - placed, Math.ceil((SPARE * neededN - reachN) / drawsN))
        : wanted - placed;
    // Weak ones for no more than spare would stand where a strong one presses now.
    if (placed > 0 && placed >= least && reachN >= neededN && drawsN < STRONG_SHARE * (reachN / placed))
      continue;
    const fitting = Math.floor((leftMm + BETWEEN_JAWS_MM) / (lot.padWidthMm + BETWEEN_JAWS_MM));
    if (forceN > 0 && fitting < 1) continue;
    const able = forceN === 0 ? 1 : Math.min(lot.count, fitting, Math.max(1, enough));
    // Opposed clamps come in pairs: one more where there is one, else one less.
    const count =
      isOpposed(pull, lot.kind) && able % 2 === 1 ? (able < lot.count ? able + 1 : able - 1) : able;
    if (count < 1) continue;
    leftMm -= count * (lot.padWidthMm + BETWEEN_JAWS_MM);
    taken.push({ lot, count, forceN, mostN: forceN });
    reachN += count * drawsN;
    if (forceN === 0) break;
  }
  return taken;
}

/** Places that hold a post together while clamps come on: its middle and both ends. */
const HELD_AT = 3;

/** Wraps only hold where clamps can press in pairs, which is quicker; further wraps come after those, tape last. */
function heldThenPressed<L extends { readonly lot: RackLot }>(lots: readonly L[]): L[] {
  const of = (...kinds: readonly string[]) => lots.filter(({ lot }) => kinds.includes(lot.kind));
  const wraps = of('elastic-wrap');
  return [
    ...of(...BANDS),
    ...wraps.map((each) => withCount(each, HELD_AT)),
    ...lots.filter(({ lot }) => !ROUND.includes(lot.kind) && !SPOTS.includes(lot.kind)),
    ...wraps.map((each) => withCount(each, each.lot.count - HELD_AT)),
    ...of('tape'),
  ].filter(({ lot }) => lot.count > 0);
}

const withCount = <L extends { readonly lot: RackLot }>(each: L, count: number): L => ({
  ...each,
  lot: { ...each.lot, count },
});

/** Those that are strong enough before those that are not, the lightest of the strong and the strongest of the weak first. */
function lightestFirst(a: number, b: number, fromN: number): number {
  const [strongA, strongB] = [a >= fromN, b >= fromN];
  if (strongA !== strongB) return strongA ? -1 : 1;
  return strongA ? a - b : b - a;
}

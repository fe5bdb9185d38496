import type { Adhesive } from '../../adhesives';
import type { AssemblyFacts, JointFacts, JointKind, Pull } from '../../assembly';
import { BETWEEN_JAWS_MM, EASED_TO, findClampKind, lotForceN, pressureWord } from '../../clamps';
import type { BuildDocument, RackLot, ShopDocument } from '../../formats';
import { radians } from '../../geometry';
import { dot, MAIN_AXES, reach, solidPoints } from '../../solids';
import { cornersUnderBands } from '../squeeze/bands';
import { pressureWanted } from '../joints/pressure-wanted';
import { clampsForSeats, clampsToCover } from './least-clamps';
import { jointsOf } from './lines-of-pull';
import { isOpposed, ROUND, roundShare, SPOTS } from './opposed';
import { placementsOf, suits, takenBy } from './placed-on-pull';
import type { PlannedPull } from './planned-pull';

/** Force that brings one joint home, N [judgement]. */
const SEAT_N: Readonly<Partial<Record<JointKind, number>>> = {
  'mortise-tenon': 1200,
  bridle: 1200,
  housing: 150,
  rebate: 600,
  butt: 300,
  breadboard: 800,
};
const USUAL_SEAT_N = 500;
const SEAT_ROOM = 1.25;
/** Places wrapped with elastic: at most so many, with room for the next one, mm; two layers go over each other at a frame [judgement]. */
const MOST_PLACES = 20;
const LEAST_PLACES = 4;
const PLACE_EVERY_MM = 60;
/** Strips of tape are laid this far apart, mm [judgement]. */
const STRIP_EVERY_MM = 40;
/** Kinds that every shop has on a roll; the rack need not list them. */
export const ON_A_ROLL: readonly string[] = ['tape', 'elastic-wrap'];

/** How much more than without friction a band may have to pull, so that the corner furthest from its ratchet still closes. */
const AGAINST_FRICTION: readonly number[] = [1, 1.4, 2, 2.8, 4];

/**
 * What one pull needs, and how near the rack comes. Bands are taken until the corner that gets least of them closes, as far as the rack
 * goes.
 */
export function planPull(
  asked: Pull,
  facts: AssemblyFacts,
  adhesive: Adhesive,
  from: { readonly shop: ShopDocument; readonly rack: readonly RackLot[] },
  squeeze: BuildDocument['squeeze'] = {},
): PlannedPull {
  let planned = planPullFor(asked, facts, adhesive, from, squeeze, 1);
  if (planned.pull.need !== 'band' || planned.seats) return planned;
  for (const more of AGAINST_FRICTION) {
    planned = planPullFor(asked, facts, adhesive, from, squeeze, more);
    const corners = cornersUnderBands(planned, facts, squeeze.slip === true);
    if (corners.every(({ minMPa }) => minMPa >= planned.wanted.lowMPa)) break;
  }
  return planned;
}

/**
 * What one pull needs, and how near the rack comes. Stacked joints share one force; others add up. A band of
 * tension T presses a corner of interior angle θ with T·sin(θ/2), without friction.
 */
function planPullFor(
  asked: Pull,
  facts: AssemblyFacts,
  adhesive: Adhesive,
  { shop, rack }: { readonly shop: ShopDocument; readonly rack: readonly RackLot[] },
  squeeze: NonNullable<BuildDocument['squeeze']>,
  more: number,
): PlannedPull {
  const pull = squeeze.press === 'cauls' && asked.need === 'vacuum' ? betweenPlatens(asked, squeeze) : asked;
  const all = jointsOf(pull, facts);
  const glued = all.filter(({ gluedMm2 }) => gluedMm2 > 0);
  // Joints left dry want to be seated, no more.
  const own = glued.length > 0 ? glued : all.map((joint) => ({ ...joint, gluedMm2: joint.contactMm2 }));
  const need = glued.length > 0 ? pull.need : 'seat';
  const woods = own.flatMap(({ joint }) =>
    facts.parts.filter(({ part }) => part.id === joint.a || part.id === joint.b).map(({ wood }) => wood),
  );
  const largest = own.reduce((a, b) => (b.gluedMm2 > a.gluedMm2 ? b : a));
  const total = own.reduce((sum, { gluedMm2 }) => sum + gluedMm2, 0);
  const areaMm2 = pull.stacked ? largest.gluedMm2 : total;
  const wanted = pressureWanted(
    pull.need,
    own.map(({ joint }) => joint.kind),
    adhesive,
    woods.map(({ sg }) => sg),
  );
  const crushMPa = Math.min(...woods.map(({ compPerpMPa }) => compPerpMPa));
  const seatN = all.reduce((sum, { joint }) => sum + seatForceN(joint.kind), 0);
  const angles = own.map(({ joint }) => joint.angleDeg ?? 180);
  const [sharpest, bluntest] = [Math.min(...angles), Math.max(...angles)];
  // Tension that gives the sharpest corner the low end of what it wants.
  const bandN = (wanted.lowMPa * largest.gluedMm2) / Math.sin(radians(sharpest) / 2);
  const neededN = { seat: seatN, band: bandN }[need as 'seat' | 'band'] ?? wanted.lowMPa * areaMm2;
  const longestMm = Math.max(...own.map(({ lengthMm }) => lengthMm));
  const { placed, idle } = placementsOf(pull, squeeze, placeableLots(pull, rack));
  const full =
    placed.length + idle.length > 0
      ? takenBy(placed)
      : takeFromRack(pull, more * neededN, rack, longestMm, own.length, {
          wanted: squeeze.counts?.find((each) => each.pull === pull.id)?.count,
          least: need === 'seat' ? clampsForSeats(pull, own) : clampsToCover(pull, own, facts, rack, squeeze),
          roomMm: need === 'line' && pull.stacked ? roomAlong(pull, own, facts) : Infinity,
          lightestFromN: need === 'seat' ? neededN / clampsForSeats(pull, own) : null,
        });
  const vacuum = full.find(({ lot }) => findClampKind(lot.kind).pressureMPa !== null);
  // In a pull that goes round everything counts as a band of so much tension.
  const mostN = full.reduce(
    (sum, each) => sum + each.count * each.mostN * roundShare(pull, each.lot.kind),
    0,
  );
  // Pressure of the joint that gets most, at full pull.
  const heaviestMPa =
    need === 'band'
      ? (mostN * Math.sin(radians(bluntest) / 2)) / Math.min(...own.map(({ gluedMm2 }) => gluedMm2))
      : mostN / (pull.stacked ? Math.min(...own.map(({ gluedMm2 }) => gluedMm2)) : areaMm2);
  const ease =
    vacuum !== undefined || mostN === 0
      ? 1
      : need === 'seat'
        ? Math.min(1, (SEAT_ROOM * neededN) / mostN)
        : Math.min(1, (EASED_TO * wanted.highMPa) / heaviestMPa);
  const taken = full.map((each) => ({ ...each, forceN: each.mostN * ease }));
  const drawnMm = need === 'seat' && full.length === 0 ? (pull.peggedMm ?? null) : null;
  const reachN = drawnMm === null ? mostN * ease : neededN;
  const reachMPa =
    vacuum === undefined
      ? need === 'seat'
        ? (wanted.lowMPa * Math.min(reachN, 4 * neededN)) / neededN
        : need === 'band'
          ? (reachN * Math.sin(radians(sharpest) / 2)) / largest.gluedMm2
          : reachN / areaMm2
      : vacuumMPa(shop);
  return {
    pull,
    joint: largest.label,
    seats: need === 'seat',
    areaMm2,
    wanted,
    crushMPa,
    neededN,
    taken,
    placed: placed.map((each) => ({ ...each, forceN: each.mostN * ease })),
    idle,
    reachN,
    mostN,
    reachMPa,
    // A seat is right between what brings it home and a little more, which its pull is eased to.
    word:
      need === 'seat' && reachN >= neededN * (1 - 1e-9) ? 'right' : pressureWord(reachMPa, wanted, crushMPa),
    drawnMm,
  };
}

/** Force that brings one joint of a kind home, N [judgement]. */
export const seatForceN = (kind: JointKind): number => SEAT_N[kind] ?? USUAL_SEAT_N;

/** Platens over and under a sheet, and cauls across them, unless the person says otherwise, mm. */
export const PLATEN_MM = 18;
const CAUL_DEPTH_MM = 60;
/** Kinds for the ends of cauls, strongest first. */
const CAUL_ENDS: readonly string[] = [
  'f-heavy',
  'parallel-jaw',
  'c-clamp',
  'hand-screw',
  'f-light',
  'trigger',
];

/** A sheet between platens, pressed by clamps at the ends of crowned cauls in place of a bag. */
function betweenPlatens(pull: Pull, squeeze: NonNullable<BuildDocument['squeeze']>): Pull {
  const platenMm = squeeze.packing?.thicknessMm ?? PLATEN_MM;
  return {
    ...pull,
    kinds: CAUL_ENDS,
    openingMm: pull.openingMm + 2 * (platenMm + CAUL_DEPTH_MM),
  };
}

/** What a bag presses with: less the higher one is above the sea, about 0.01 MPa for each kilometre. */
export function vacuumMPa({ altitudeM = 0 }: Pick<ShopDocument, 'altitudeM'>): number {
  return Math.max(
    0,
    (findClampKind('vacuum').pressureMPa ?? 0) - (VACUUM_LOSS_MPA_PER_KM * altitudeM) / 1000,
  );
}

const VACUUM_LOSS_MPA_PER_KM = 0.01;

/** Edge along which jaws of a stack stand side by side; twice that where they come on from both sides of its width. */
function roomAlong(pull: Pull, joints: readonly JointFacts[], facts: AssemblyFacts): number {
  const lengthMm = Math.max(...joints.map((joint) => joint.lengthMm));
  return twoRows(pull, joints, facts) ? 2 * lengthMm : lengthMm;
}

/** Widest jaw of the kinds that press stacks, twice, with room between. */
const TWO_ROWS_FROM_MM = 90;

/** Whether a stack of layers is wide enough for jaws from both sides. */
export function twoRows(pull: Pull, joints: readonly JointFacts[], facts: AssemblyFacts): boolean {
  if (!joints.every(({ joint }) => joint.kind === 'face')) return false;
  const ids = new Set(joints.flatMap(({ joint }) => [joint.a, joint.b]));
  const points = facts.parts
    .filter(({ part }) => ids.has(part.id))
    .flatMap(({ part }) => solidPoints(part.solid));
  const widths = MAIN_AXES.filter((axis) => Math.abs(dot(axis, pull.axis)) < 0.5).map((axis) => {
    const [low, high] = reach(points, axis);
    return high - low;
  });
  return Math.min(...widths) >= TWO_ROWS_FROM_MM;
}

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
function takeFromRack(
  pull: Pull,
  neededN: number,
  rack: readonly RackLot[],
  lengthMm: number,
  joints: number,
  {
    wanted,
    least,
    roomMm,
    lightestFromN,
  }: {
    readonly wanted: number | undefined;
    readonly least: number;
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
  let reachN = 0;
  let leftMm = roomMm;
  for (const { lot, forceN, drawsN } of lots) {
    const placed = taken.reduce((sum, { count }) => sum + count, 0);
    if (wanted === undefined ? reachN >= neededN && placed >= least : placed >= wanted) break;
    const enough =
      wanted === undefined
        ? Math.max(least - placed, Math.ceil((1.15 * neededN - reachN) / drawsN))
        : wanted - placed;
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
    ...of('band', 'screw-band'),
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

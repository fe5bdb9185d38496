import type { Adhesive } from '../../adhesives';
import type { AssemblyFacts, JointFacts, JointKind, Pull } from '../../assembly';
import {
  BETWEEN_JAWS_MM,
  findClampKind,
  lotForceN,
  pressureWord,
  type TargetPressure,
  targetPressure,
} from '../../clamps';
import type { AssemblyBuild, RackLot, ShopDocument } from '../../formats';
import { radians } from '../../geometry';
import { dot, MAIN_AXES, reach, solidPoints } from '../../solids';
import { linesOfPull, jointsOf } from './lines-of-pull';
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
/** Mitres that fit are asked for this share of the pressure of a long-grain edge [judgement]. */
const MITRE_SHARE = 0.25;
/** Thin bands that are flat already need contact, no more [judgement], MPa. */
const TAPE_WANTED: TargetPressure = { lowMPa: 0.02, highMPa: 0.1 };
/** A press for veneer, MPa. */
const VENEER_WANTED: TargetPressure = { lowMPa: 0.08, highMPa: 0.6 };
/** Strips of tape, and wraps round a post, are laid this far apart, mm [judgement]. */
const STRIP_EVERY_MM = 40;
/** Kinds that every shop has on a roll; the rack need not list them. */
export const ON_A_ROLL: readonly string[] = ['tape', 'elastic-wrap'];

/**
 * What one pull needs, and how near the rack comes. Stacked joints share one force; others add up. A band of
 * tension T presses a corner of interior angle θ with T·sin(θ/2), without friction.
 */
export function planPull(
  asked: Pull,
  facts: AssemblyFacts,
  adhesive: Adhesive,
  shop: ShopDocument,
  squeeze: AssemblyBuild['squeeze'] = {},
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
  const wanted = wantedBy(
    pull,
    adhesive,
    woods.map(({ sg }) => sg),
  );
  const crushMPa = Math.min(...woods.map(({ compPerpMPa }) => compPerpMPa));
  const seatN = all.reduce((sum, { joint }) => sum + (SEAT_N[joint.kind] ?? USUAL_SEAT_N), 0);
  const sharpest = Math.min(...own.map(({ joint }) => joint.angleDeg ?? 180));
  // Tension that gives the sharpest corner the low end of what it wants.
  const bandN = (wanted.lowMPa * largest.gluedMm2) / Math.sin(radians(sharpest) / 2);
  const neededN = { seat: seatN, band: bandN }[need as 'seat' | 'band'] ?? wanted.lowMPa * areaMm2;
  const { placed, idle } = placementsOf(pull, squeeze, shop);
  const taken =
    placed.length + idle.length > 0
      ? takenBy(placed)
      : takeFromRack(pull, neededN, shop, Math.max(...own.map(({ lengthMm }) => lengthMm)), own.length, {
          wanted: squeeze.counts?.find((each) => each.pull === pull.id)?.count,
          least: need === 'seat' ? clampsForSeats(pull, own) : 1,
          roomMm: need === 'line' && pull.stacked ? roomAlong(pull, own, facts) : Infinity,
        });
  const vacuum = taken.find(({ lot }) => findClampKind(lot.kind).pressureMPa !== null);
  const reachN = taken.reduce((sum, { count, forceN }) => sum + count * forceN, 0);
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
    placed,
    idle,
    reachN,
    reachMPa,
    word: pressureWord(reachMPa, wanted, crushMPa),
  };
}

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
function betweenPlatens(pull: Pull, squeeze: NonNullable<AssemblyBuild['squeeze']>): Pull {
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

function wantedBy(pull: Pull, adhesive: Adhesive, sgs: readonly number[]): TargetPressure {
  if (pull.need === 'vacuum') return VENEER_WANTED;
  if (pull.need === 'tape') return TAPE_WANTED;
  const target = targetPressure(adhesive, sgs);
  return pull.need === 'band' ? { lowMPa: target.lowMPa * MITRE_SHARE, highMPa: target.highMPa } : target;
}

/** Joints on more lines than this are seated through cauls, or by the parts beside them. */
export const MOST_SEATED_ONE_BY_ONE = 6;
/** Clamps that seats want at least: one on each line of pull. */
function clampsForSeats(pull: Pull, joints: readonly JointFacts[]): number {
  const lines = linesOfPull(pull, joints).length;
  return lines > MOST_SEATED_ONE_BY_ONE ? 1 : lines;
}

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

/** Lots long enough and of a kind that suits, the kind's order first, until the need is met. */
function takeFromRack(
  pull: Pull,
  neededN: number,
  shop: ShopDocument,
  lengthMm: number,
  joints: number,
  {
    wanted,
    least,
    roomMm,
  }: { readonly wanted: number | undefined; readonly least: number; readonly roomMm: number },
): PlannedPull['taken'] {
  const rolls = ON_A_ROLL.filter((kind) => pull.kinds.includes(kind)).map((kind): RackLot => ({
    id: kind,
    kind,
    count: joints * Math.max(1, Math.ceil(lengthMm / STRIP_EVERY_MM)) * (kind === 'tape' ? 2 : 4),
    maxOpeningMm: pull.openingMm,
    forceN: null,
    padWidthMm: 25,
    padHeightMm: 25,
  }));
  const lots = [...shop.rack, ...rolls]
    .filter((lot) => suits(pull, lot) && lot.count > 0)
    .map((lot) => ({ lot, forceN: lotForceN(lot) }))
    .sort((a, b) => pull.kinds.indexOf(a.lot.kind) - pull.kinds.indexOf(b.lot.kind) || b.forceN - a.forceN);
  const taken: { lot: RackLot; count: number; forceN: number }[] = [];
  let reachN = 0;
  let leftMm = roomMm;
  for (const { lot, forceN } of lots) {
    const placed = taken.reduce((sum, { count }) => sum + count, 0);
    if (wanted === undefined ? reachN >= neededN && placed >= least : placed >= wanted) break;
    const enough =
      wanted === undefined
        ? Math.max(least - placed, Math.ceil((1.15 * neededN - reachN) / forceN))
        : wanted - placed;
    const fitting = Math.floor((leftMm + BETWEEN_JAWS_MM) / (lot.padWidthMm + BETWEEN_JAWS_MM));
    if (forceN > 0 && fitting < 1) continue;
    const count = forceN === 0 ? 1 : Math.min(lot.count, fitting, Math.max(1, enough));
    leftMm -= count * (lot.padWidthMm + BETWEEN_JAWS_MM);
    taken.push({ lot, count, forceN });
    reachN += count * forceN;
    if (forceN === 0) break;
  }
  return taken;
}

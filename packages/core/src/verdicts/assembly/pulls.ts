import type { Adhesive } from '../../adhesives';
import type { AssemblyFacts, JointKind, Pull } from '../../assembly';
import { findClampKind, pressureWord, type TargetPressure, targetPressure } from '../../clamps';
import type { RackLot, ShopDocument } from '../../formats';
import { radians } from '../../geometry';
import type { PlannedPull } from './assembly-parts';

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
  pull: Pull,
  facts: AssemblyFacts,
  adhesive: Adhesive,
  shop: ShopDocument,
): PlannedPull {
  const all = facts.joints.filter(({ joint }) => pull.joints.includes(joint.id));
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
  const taken = takeFromRack(
    pull,
    neededN,
    shop,
    Math.max(...own.map(({ lengthMm }) => lengthMm)),
    own.length,
  );
  const vacuum = taken.find(({ lot }) => findClampKind(lot.kind).pressureMPa !== null);
  const reachN = taken.reduce((sum, { count, forceN }) => sum + count * forceN, 0);
  const reachMPa =
    vacuum === undefined
      ? need === 'seat'
        ? (wanted.lowMPa * Math.min(reachN, 4 * neededN)) / neededN
        : need === 'band'
          ? (reachN * Math.sin(radians(sharpest) / 2)) / largest.gluedMm2
          : reachN / areaMm2
      : (findClampKind(vacuum.lot.kind).pressureMPa ?? 0);
  return {
    pull,
    joint: largest.label,
    areaMm2,
    wanted,
    crushMPa,
    neededN,
    taken,
    reachN,
    reachMPa,
    word: pressureWord(reachMPa, wanted, crushMPa),
  };
}

function wantedBy(pull: Pull, adhesive: Adhesive, sgs: readonly number[]): TargetPressure {
  if (pull.need === 'vacuum') return VENEER_WANTED;
  if (pull.need === 'tape') return TAPE_WANTED;
  const target = targetPressure(adhesive, sgs);
  return pull.need === 'band' ? { lowMPa: target.lowMPa * MITRE_SHARE, highMPa: target.highMPa } : target;
}

/** Lots long enough and of a kind that suits, the kind's order first, until the need is met. */
function takeFromRack(
  pull: Pull,
  neededN: number,
  shop: ShopDocument,
  lengthMm: number,
  joints: number,
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
    .filter((lot) => pull.kinds.includes(lot.kind) && lot.maxOpeningMm >= pull.openingMm && lot.count > 0)
    .map((lot) => ({ lot, forceN: lot.forceN ?? findClampKind(lot.kind).forceN ?? 0 }))
    .sort((a, b) => pull.kinds.indexOf(a.lot.kind) - pull.kinds.indexOf(b.lot.kind) || b.forceN - a.forceN);
  const taken: { lot: RackLot; count: number; forceN: number }[] = [];
  let reachN = 0;
  for (const { lot, forceN } of lots) {
    if (reachN >= neededN && taken.length > 0) break;
    const count =
      forceN === 0 ? 1 : Math.min(lot.count, Math.max(1, Math.ceil((1.15 * neededN - reachN) / forceN)));
    taken.push({ lot, count, forceN });
    reachN += count * forceN;
    if (forceN === 0) break;
  }
  return taken;
}

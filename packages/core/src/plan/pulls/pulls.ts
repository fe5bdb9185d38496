import type { Adhesive } from '../../adhesives';
import type { AssemblyFacts, JointFacts, Pull } from '../../assembly';
import { EASED_TO, findClampKind, isBag, pressureWord } from '../../clamps';
import type { BuildDocument, RackLot, ShopDocument } from '../../formats';
import { radians } from '../../geometry';
import { dot, MAIN_AXES, reach, solidPoints } from '../../solids';
import { cornersUnderBands } from '../squeeze/bands';
import { pressureWanted } from '../joints/pressure-wanted';
import { clampsToCover } from './least-clamps';
import { jointsOf, linesOfPull } from './lines-of-pull';
import { roundShare } from './opposed';
import { openedOver, packingOf } from './packing';
import { piecesOf, piecesPlaced } from './pieces';
import { countAsked, placementsOf, takenBy } from './placed-on-pull';
import type { PlannedPull } from './planned-pull';
import { pressedMm2, pressLines, seatLines } from './wanted-lines';
import { type LineJob, linewisePull } from './linewise-pull';
import { placeableLots, takeFromRack } from './take-from-rack';

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

/** What one pull needs, and how near the rack comes. */
function planPullFor(
  asked: Pull,
  facts: AssemblyFacts,
  adhesive: Adhesive,
  { shop, rack }: { readonly shop: ShopDocument; readonly rack: readonly RackLot[] },
  squeeze: NonNullable<BuildDocument['squeeze']>,
  more: number,
): PlannedPull {
  const packing = packingOf({ squeeze });
  const pull =
    squeeze.press === 'cauls' && asked.need === 'vacuum'
      ? betweenPlatens(asked, squeeze)
      : openedOver(asStack(asked, facts), packing);
  const all = jointsOf(pull, facts);
  const glued = all.filter(({ gluedMm2 }) => gluedMm2 > 0);
  // Joints left dry want to be seated, no more.
  const joined = glued.length > 0 ? glued : all.map((joint) => ({ ...joint, gluedMm2: joint.contactMm2 }));
  const own =
    pull.need === 'line'
      ? joined.map((joint) => ({ ...joint, gluedMm2: pressedMm2(joint, pull.axis) }))
      : joined;
  const woods = own.flatMap(({ joint }) =>
    facts.parts.filter(({ part }) => part.id === joint.a || part.id === joint.b).map(({ wood }) => wood),
  );
  const largest = own.reduce((a, b) => (b.gluedMm2 > a.gluedMm2 ? b : a));
  const total = own.reduce((sum, { gluedMm2 }) => sum + gluedMm2, 0);
  const job: PullJob = {
    pull,
    joints: own,
    largest,
    areaMm2: pull.stacked ? largest.gluedMm2 : total,
    wanted: pressureWanted(
      pull.need,
      own.map(({ joint }) => joint.kind),
      adhesive,
      woods.map(({ sg }) => sg),
      squeeze.school,
    ),
    crushMPa: Math.min(...woods.map(({ compPerpMPa }) => compPerpMPa)),
    facts,
    shop,
    rack,
    squeeze,
  };
  if (glued.length === 0 || pull.need === 'seat') {
    const { crushMPa } = job;
    return linewisePull(job, seatLines(pull, all, { crushMPa, cauls: packing.kind === 'cauls' }), true);
  }
  if (pull.need !== 'line' || pull.stacked) return pressingPull(job, more);
  const pressed = all.map((joint) => own.find((each) => each.joint.id === joint.joint.id) ?? joint);
  const clampsOf = (joints: readonly JointFacts[]) => clampsToCover(pull, joints, facts, rack, squeeze);
  return linewisePull(job, pressLines(pull, pressed, job.wanted, clampsOf), false);
}

/** A pull whose joints all lie behind each other presses a stack, whoever put them there. */
function asStack(pull: Pull, facts: AssemblyFacts): Pull {
  if (pull.need !== 'line' || pull.stacked) return pull;
  const joints = jointsOf(pull, facts);
  return joints.length > 1 && linesOfPull(pull, joints).length === 1 ? { ...pull, stacked: true } : pull;
}

/** What a pull is planned from. */
interface PullJob extends LineJob {
  readonly shop: ShopDocument;
}

/**
 * A pull that presses glue with one force through a stack, round corners or over a sheet. A band of tension T presses a corner of interior angle θ with
 * T·sin(θ/2), without friction.
 */
function pressingPull(job: PullJob, more: number): PlannedPull {
  const { pull, joints, largest, areaMm2, wanted, crushMPa, facts, shop, rack, squeeze } = job;
  const { need } = pull;
  const angles = joints.map(({ joint }) => joint.angleDeg ?? 180);
  const [sharpest, bluntest] = [Math.min(...angles), Math.max(...angles)];
  // Tension that gives the sharpest corner the low end of what it wants.
  const neededN =
    need === 'band'
      ? (wanted.lowMPa * largest.gluedMm2) / Math.sin(radians(sharpest) / 2)
      : wanted.lowMPa * areaMm2;
  const longestMm = Math.max(...joints.map(({ lengthMm }) => lengthMm));
  const { placed, idle } = placementsOf(pull, squeeze, placeableLots(pull, rack));
  const full =
    placed.length + idle.length > 0
      ? takenBy(placed)
      : takeFromRack(pull, more * neededN, rack, longestMm, joints.length, {
          wanted: countAsked(pull, squeeze),
          leastOf: () => clampsToCover(pull, joints, facts, rack, squeeze),
          roomMm: need === 'line' ? roomAlong(pull, joints, facts) : Infinity,
          lightestFromN: null,
        });
  const vacuum = full.find(({ lot }) => isBag(lot.kind));
  // In a pull that goes round everything counts as a band of so much tension.
  const mostN = full.reduce(
    (sum, each) => sum + each.count * each.mostN * roundShare(pull, each.lot.kind),
    0,
  );
  const smallestMm2 = Math.min(...joints.map(({ gluedMm2 }) => gluedMm2));
  // Pressure of the joint that gets most, at full pull.
  const heaviestMPa =
    need === 'band'
      ? (mostN * Math.sin(radians(bluntest) / 2)) / smallestMm2
      : mostN / (pull.stacked ? smallestMm2 : areaMm2);
  const ease =
    vacuum !== undefined || mostN === 0 ? 1 : Math.min(1, (EASED_TO * wanted.highMPa) / heaviestMPa);
  const taken = full.map((each) => ({ ...each, forceN: each.mostN * ease }));
  const eased = placed.map((each) => ({ ...each, forceN: each.mostN * ease }));
  const reachN = mostN * ease;
  const reachMPa =
    vacuum !== undefined
      ? vacuumMPa(shop)
      : need === 'band'
        ? (reachN * Math.sin(radians(sharpest) / 2)) / largest.gluedMm2
        : reachN / areaMm2;
  return {
    pull,
    joint: largest.label,
    seats: false,
    areaMm2,
    wanted,
    crushMPa,
    neededN,
    taken,
    pieces: placed.length > 0 ? piecesPlaced(eased) : piecesOf(taken),
    placed: eased,
    idle,
    reachN,
    mostN,
    leastMet: { label: largest.label, neededN, reachN },
    reachMPa,
    word: pressureWord(reachMPa, wanted, crushMPa),
    drawnMm: null,
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

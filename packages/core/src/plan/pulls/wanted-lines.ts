import type { JointFacts, JointKind, Pull } from '../../assembly';
import { EASED_TO, type TargetPressure } from '../../clamps';
import { dot, type Vec3 } from '../../solids';
import { clampsOnLine } from './least-clamps';
import { type LineOfPull, linesOfPull, shareOut } from './lines-of-pull';
import type { Piece } from './pieces';

/** Force that brings one joint of a kind home, N [judgement]. */
const SEAT_N: Readonly<Partial<Record<JointKind, number>>> = {
  'mortise-tenon': 1200,
  bridle: 1200,
  'half-lap': 400,
  housing: 300,
  rebate: 600,
  butt: 300,
  breadboard: 800,
};
const USUAL_SEAT_N = 500;
/** What a shoulder is pressed with to seat it is at most this share of what crushes its wood [judgement]; with room, under two thirds. */
const SHOULDER_SHARE = 0.5;
/** Seats are drawn this much harder than they want, no more. */
const SEAT_ROOM = 1.25;

/** Force that brings one joint of a kind home, N [judgement]. */
export const seatForceN = (kind: JointKind): number => SEAT_N[kind] ?? USUAL_SEAT_N;

/** What a line of pull wants. */
export interface LineWants {
  /** What brings the joint home that wants most, N. */
  readonly neededN: number;
  /** Clamps that it wants at least. */
  readonly clamps: number;
}

/** A line of pull and what it wants: one force goes through all joints behind each other, as at both ends of a rail. */
export interface WantedLine extends LineOfPull, LineWants {
  /** What it is eased to, N. */
  readonly easedN: number;
}

/**
 * What each line of a pull wants to seat its joints. No shoulder is asked to bear more than its share of what crushes it.
 * @param with what the softest of its woods bears across the grain, and whether cauls lie across long joints under their jaws.
 */
export function seatLines(
  pull: Pull,
  joints: readonly JointFacts[],
  { crushMPa, cauls }: { readonly crushMPa: number; readonly cauls: boolean },
): WantedLine[] {
  const ofJoint = (joint: JointFacts) =>
    Math.min(seatForceN(joint.joint.kind), SHOULDER_SHARE * crushMPa * facingMm2(joint, pull.axis));
  return linesOfPull(pull, joints).map((line) => {
    const neededN = Math.max(...line.joints.map(ofJoint));
    return { ...line, neededN, easedN: SEAT_ROOM * neededN, clamps: cauls ? 1 : clampsOnLine(line) };
  });
}

/**
 * What each line of a pull wants to press its glue: the low end on its largest joint, and no more than the high end on its smallest.
 * Joints left dry are only seated.
 * @param joints with the area that the pull presses as their glued one.
 * @param clampsOf how many clamps it takes to cover some joints.
 */
export function pressLines(
  pull: Pull,
  joints: readonly JointFacts[],
  { lowMPa, highMPa }: Pick<TargetPressure, 'lowMPa' | 'highMPa'>,
  clampsOf: (joints: readonly JointFacts[]) => number,
): WantedLine[] {
  return linesOfPull(pull, joints).map((line) => {
    const areas = line.joints.flatMap(({ gluedMm2 }) => (gluedMm2 > 0 ? [gluedMm2] : []));
    const seatN = Math.max(...line.joints.map(({ joint }) => seatForceN(joint.kind)));
    const neededN = areas.length === 0 ? seatN : lowMPa * Math.max(...areas);
    const easedN = areas.length === 0 ? SEAT_ROOM * seatN : EASED_TO * highMPa * Math.min(...areas);
    return { ...line, neededN, easedN, clamps: clampsOf(line.joints) };
  });
}

/** A face that looks no more than this along a pull is a wall beside it. */
const FACES_PULL = 0.02;

/**
 * Area of a joint that looks along a pull, however slanted, without walls beside it; where it looks both ways, as the two cheeks of a
 * bridle do, one force goes through them in turn and the larger sum counts. All of its contact where nothing looks along the pull.
 */
function facingMm2({ contacts, contactMm2 }: JointFacts, axis: Vec3): number {
  const facing = (way: 1 | -1) =>
    contacts.reduce(
      (sum, { normal, areaMm2 }) => sum + (way * dot(normal, axis) > FACES_PULL ? areaMm2 : 0),
      0,
    );
  const most = Math.max(facing(1), facing(-1));
  return most > 0 ? most : contactMm2;
}

/** Glued area that a pull along an axis presses with its whole force: faces that look along it, but not walls beside it. */
export function pressedMm2(joint: JointFacts, axis: Vec3): number {
  const pressed = joint.joint.gluedShare * facingMm2(joint, axis);
  return pressed > 0 ? pressed : joint.gluedMm2;
}

/** Clamps of a force that bring all lines home, each line with as many as it wants at least. */
export const clampsForLines = (lines: readonly LineWants[], forceN: number): number =>
  lines.reduce((sum, { neededN, clamps }) => sum + Math.max(clamps, Math.ceil(neededN / forceN - 1e-9)), 0);

/** Stands the strongest clamps on the lines that want most of each; where there are fewer than lines they stay between them. */
export function stoodOnLines(lines: readonly WantedLine[], pieces: readonly Piece[]): readonly Piece[] {
  const counts = shareOut(
    lines.map(({ clamps, neededN }) => ({ least: clamps, weight: neededN })),
    pieces.length,
  );
  if (counts === null) return pieces;
  const wants = lines.map(({ neededN }, line) => neededN / (counts[line] ?? 1));
  const places = counts.flatMap((count, line) => Array.from({ length: count }, () => line));
  const strongest = [...pieces].sort((a, b) => b.mostN - a.mostN);
  return [...places]
    .sort((a, b) => (wants[b] ?? 0) - (wants[a] ?? 0))
    .flatMap((line, i) => {
      const piece = strongest[i];
      return piece === undefined ? [] : [{ ...piece, line }];
    })
    .sort((a, b) => a.line - b.line);
}

/** Clamps that close joints together, and what they come to. */
export interface LineGroup {
  /** First joint of its line. */
  readonly label: string;
  readonly neededN: number;
  /** What its clamps give, eased. */
  readonly reachN: number;
  /** What each is eased to where it can give more: alike, so that together they give what their line wants and a little more. */
  readonly easedToN: number;
}

/** Groups of clamps: one for each line, in their order; a single one where clamps stand between lines or leave one bare. */
export function lineGroups(lines: readonly WantedLine[], pieces: readonly Piece[]): LineGroup[] {
  const own = lines.map((_, i) => pieces.filter(({ line }) => line === i));
  const apart = pieces.every(({ line }) => line !== null) && own.every((each) => each.length > 0);
  return apart ? lines.map((line, i) => groupOf([line], own[i] ?? [])) : [groupOf(lines, pieces)];
}

function groupOf(lines: readonly WantedLine[], pieces: readonly Piece[]): LineGroup {
  const easedN = lines.reduce((sum, line) => sum + line.easedN, 0);
  const mostN = pieces.map((piece) => piece.mostN);
  return {
    label: lines[0]?.joints[0]?.label ?? '',
    neededN: lines.reduce((sum, line) => sum + line.neededN, 0),
    reachN: Math.min(
      easedN,
      mostN.reduce((sum, each) => sum + each, 0),
    ),
    easedToN: alike(easedN, mostN),
  };
}

/** What each of some clamps gives, where it can, so that together they give so much; the weakest give what they have. */
function alike(wantedN: number, mostN: readonly number[]): number {
  let left = wantedN;
  for (const [i, most] of [...mostN].sort((a, b) => a - b).entries()) {
    const each = left / (mostN.length - i);
    if (most >= each) return each;
    left -= most;
  }
  return Infinity;
}

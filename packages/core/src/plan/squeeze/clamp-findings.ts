import type { AssemblyFacts } from '../../assembly';
import { lotReachMm } from '../../clamps';
import { finding, type PlanFinding } from '../../findings';
import { rackingN } from '../../geometry';
import type { PlanParts } from '../plan';
import type { PlannedPull } from '../pulls/planned-pull';
import { type Packing, spreadMm } from '../pulls/packing';
import type { PressedStack } from './press-stack';
import { pullFrame } from './pull-frame';
import type { ClampInSpace } from './squeezed';
import { clampsOnLine, cover } from '../pulls/least-clamps';
import { footOf, jointsOf, type LineOfPull, linesOfPull, nearestLine } from '../pulls/lines-of-pull';

/** Skew for which the racking force is told, mm. */
const SKEW_MM = 10;
/** Diagonals that differ by more than this are worth a skewed clamp, mm. */
const RACKED_MM = 0.5;

/** Jaws that miss their place by less than this still press it, mm. */
const REACH_SLACK_MM = 2;

/** Jaws, through their packing, against what the wood bears. */
export function padFindings(
  { pull, crushMPa }: PlannedPull,
  clamps: readonly ClampInSpace[],
  packing: Packing,
): PlanFinding[] {
  if (pull.need === 'band' || pull.need === 'tape') return [];
  const spread = spreadMm(packing);
  const biting = clamps
    .filter(({ shape }) => shape.kind === 'jaws')
    .map((clamp) => ({
      clamp,
      padMPa: clamp.forceN / ((clamp.lot.padWidthMm + spread) * (clamp.lot.padHeightMm + spread)),
    }))
    .filter(({ padMPa }) => padMPa > crushMPa);
  const [worst] = biting.sort((a, b) => b.padMPa - a.padMPa);
  return worst === undefined
    ? []
    : [finding('pad-crushes', 'warns', { clamp: worst.clamp.number, padMPa: worst.padMPa, crushMPa })];
}

/** Jaws that do not reach, from the nearer side, to where they are to press. */
export function depthFindings(
  { pull }: PlannedPull,
  facts: AssemblyFacts,
  clamps: readonly ClampInSpace[],
): PlanFinding[] {
  if (pull.need !== 'line' || !pull.stacked) return [];
  const joints = jointsOf(pull, facts);
  if (!joints.every(({ joint }) => joint.kind === 'face')) return [];
  const { widthMm } = pullFrame(pull, facts);
  const reaches = clamps.flatMap(({ lot, place, shape }) => {
    const jawDepthMm = lotReachMm(lot);
    if (shape.kind !== 'jaws' || place === null || jawDepthMm === 0) return [];
    const neededMm = Math.min(place.acrossMm, widthMm - place.acrossMm);
    return jawDepthMm < neededMm - REACH_SLACK_MM ? [{ kind: lot.kind, depthMm: jawDepthMm, neededMm }] : [];
  });
  return reaches.slice(0, 1).map((values) => finding('jaws-do-not-reach', 'warns', values));
}

/** How a stack was pressed, and whether its jaws were narrow. */
export function stackFindings({ acrossShare, unknowns }: PressedStack): PlanFinding[] {
  return [
    ...(acrossShare < 0.9 ? [finding('narrow-jaws', 'informs', { sharePct: 100 * acrossShare })] : []),
    finding('pressed-by-elements', 'informs', { unknowns }),
  ];
}

/** What a skewed clamp does to a frame, and which way to skew when the diagonals say that it is racked. */
export function skewFindings(
  { facts, build }: PlanParts,
  { pull }: PlannedPull,
  clamps: readonly ClampInSpace[],
): PlanFinding[] {
  const [one] = clamps;
  if (facts.assembly.square.kind !== 'diagonals' || pull.need !== 'seat' || one?.shape.kind !== 'jaws')
    return [];
  const { from, to } = one.shape;
  const spanMm = Math.hypot(to[0] - from[0], to[1] - from[1], to[2] - from[2]);
  const values = { skewMm: SKEW_MM, spanMm, forceN: rackingN(one.forceN, SKEW_MM, spanMm) };
  const { acMm, bdMm } = build.dryFit;
  const off = (acMm ?? 0) - (bdMm ?? 0);
  return acMm === null || bdMm === null || Math.abs(off) <= RACKED_MM
    ? [finding('skew-racks', 'informs', values)]
    : [
        finding('skew-corrects', 'informs', {
          ...values,
          long: off > 0 ? 'A–C' : 'B–D',
          pullMm: Math.abs(off) / 2,
        }),
      ];
}

/** Clamps on what is neither a row nor a sheet: near enough that what they press reaches the next one (45°). */
export function apartFindings(
  { pull, joint }: PlannedPull,
  facts: AssemblyFacts,
  clamps: readonly ClampInSpace[],
  packing: Packing,
): PlanFinding[] {
  if (pull.need !== 'line' || clamps.length === 0) return [];
  const joints = jointsOf(pull, facts);
  const { everyMm, count } = cover(pull, joints, facts, clamps[0]?.lot.padWidthMm ?? 0, packing);
  return count > clamps.length
    ? [finding('clamps-far-apart', 'warns', { line: joint, count, have: clamps.length, everyMm })]
    : [];
}

/**
 * Seats that no clamp brings home: lines that none stands on, which what lies beside them hardly does, and joints so long that one in
 * their middle leaves their ends standing off.
 */
export function seatFindings(
  { pull, seats }: PlannedPull,
  facts: AssemblyFacts,
  clamps: readonly ClampInSpace[],
  packing: Packing,
): PlanFinding[] {
  if (!seats || pull.need !== 'seat' || clamps.length === 0) return [];
  const lines = linesOfPull(pull, jointsOf(pull, facts));
  const standsOn = clamps.map(({ shape }) =>
    shape.kind === 'band'
      ? null
      : nearestLine(lines, footOf(shape.kind === 'jaws' ? shape.from : shape.at, pull.axis)),
  );
  const on = lines.map((_, line) => standsOn.filter((each) => each === line).length);
  const labelOf = (line: LineOfPull | undefined) => line?.joints[0]?.label ?? '';
  const bare = lines.filter((_, line) => on[line] === 0);
  // A caul across a long joint does for a second clamp; it does not reach the next line.
  const lone =
    packing.kind === 'cauls' ? undefined : lines.find((line, i) => on[i] === 1 && clampsOnLine(line) > 1);
  return [
    ...(bare.length === 0
      ? []
      : [finding('line-without-clamp', 'warns', { count: bare.length, line: labelOf(bare[0]) })]),
    ...(lone === undefined
      ? []
      : [
          finding('one-clamp-deep', 'warns', {
            line: labelOf(lone),
            lengthMm: Math.max(...lone.joints.map(({ lengthMm }) => lengthMm)),
          }),
        ]),
  ];
}

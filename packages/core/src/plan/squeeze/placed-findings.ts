import type { AssemblyFacts } from '../../assembly';
import { finding, type PlanFinding } from '../../findings';
import { add, dot, reach, scale, unit, type Vec3 } from '../../solids';
import { type LineOfPull, linesOfPull, pointsOf, jointsOf } from '../pulls/lines-of-pull';
import type { PlannedPull } from '../pulls/planned-pull';
import { twoRows } from '../pulls/pulls';
import { type Packing, spreadMm } from '../pulls/packing';
import { type PullFrame, pullFrame } from './pull-frame';
import type { ClampInSpace } from './squeezed';

/** Rows this much nearer than half the width still stand side by side, mm. */
const ROW_SLACK_MM = 2;

/** What there is to say of clamps that were placed one by one; those that are worked out stand where they should. */
export function placedFindings(
  planned: PlannedPull,
  facts: AssemblyFacts,
  clamps: readonly ClampInSpace[],
  packing: Packing,
): PlanFinding[] {
  const { placed, idle, pull } = planned;
  if (placed.length + idle.length === 0) return [];
  const joints = jointsOf(pull, facts);
  const frame = pullFrame(pull, facts);
  const rowMm = pull.stacked && twoRows(pull, joints, facts) ? frame.widthMm / 2 - ROW_SLACK_MM : Infinity;
  return [
    ...idleFindings(planned),
    ...foulFindings(clamps, rowMm),
    ...offEndFindings(clamps, frame),
    ...(pull.need === 'seat' && packing.kind !== 'cauls'
      ? middleFindings(linesOfPull(pull, joints), clamps, frame, packing)
      : []),
  ];
}

function idleFindings({ idle, pull }: PlannedPull): PlanFinding[] {
  const short = idle.find(({ why }) => why === 'too-short');
  const gone = idle.filter(({ why }) => why === 'gone').length;
  const used = idle.filter(({ why }) => why === 'used-up');
  return [
    ...(gone > 0 ? [finding('placed-gone', 'warns', { count: gone })] : []),
    ...(short === undefined
      ? []
      : [
          finding('placed-too-short', 'warns', {
            count: idle.filter(({ why }) => why === 'too-short').length,
            opensMm: short.lot?.maxOpeningMm ?? 0,
            neededMm: pull.openingMm,
          }),
        ]),
    ...(used.length > 0
      ? [finding('placed-beyond-rack', 'warns', { count: used.length, have: used[0]?.lot?.count ?? 0 })]
      : []),
  ];
}

/**
 * Two clamps of one pull in the same place.
 * @param rowMm how far jaws reach in from either side of a wide stack: to its middle only.
 */
function foulFindings(clamps: readonly ClampInSpace[], rowMm: number): PlanFinding[] {
  const pairs = clamps.flatMap((one, i) => clamps.slice(i + 1).map((other) => ({ one, other })));
  const fouling = pairs.flatMap(({ one, other }) => {
    // Bands may lie over each other.
    if (one.place === null || other.place === null || one.shape.kind === 'band') return [];
    if (squareToEachOther(one, other)) return [];
    const apartMm = Math.abs(one.place.alongMm - other.place.alongMm);
    const neededMm = (one.lot.padWidthMm + other.lot.padWidthMm) / 2;
    const asideMm = Math.abs(one.place.acrossMm - other.place.acrossMm);
    const high = Math.min(rowMm, (one.lot.padHeightMm + other.lot.padHeightMm) / 2);
    return apartMm < neededMm - 1e-9 && asideMm < high - 1e-9
      ? [{ clamp: one.number, other: other.number, apartMm, neededMm }]
      : [];
  });
  return fouling.slice(0, 1).map((values) => finding('jaws-foul', 'refuses', values));
}

/** Opposed clamps of a pair come on from four sides: neither is in the other's way. */
function squareToEachOther({ shape: one }: ClampInSpace, { shape: other }: ClampInSpace): boolean {
  if (one.kind !== 'jaws' || other.kind !== 'jaws') return false;
  const along = (jaws: { readonly from: Vec3; readonly to: Vec3 }) =>
    unit(add(jaws.to, scale(jaws.from, -1)));
  return Math.abs(dot(along(one), along(other))) < 0.5;
}

function offEndFindings(clamps: readonly ClampInSpace[], { lengthMm }: PullFrame): PlanFinding[] {
  const off = clamps.find(
    ({ place, lot, shape }) =>
      shape.kind === 'jaws' &&
      place !== null &&
      // Half a jaw may hang over; what it presses is as long as what lies under it.
      (place.alongMm < Math.min(lot.padWidthMm, lengthMm) / 4 ||
        place.alongMm > lengthMm - Math.min(lot.padWidthMm, lengthMm) / 4),
  );
  return off?.place == null
    ? []
    : [finding('clamp-off-end', 'refuses', { clamp: off.number, atMm: off.place.alongMm })];
}

/**
 * Seats want the pull through the middle third of each joint: further off, one side of the shoulder opens however hard it is
 * pulled.
 */
function middleFindings(
  lines: readonly LineOfPull[],
  clamps: readonly ClampInSpace[],
  { along }: PullFrame,
  packing: Packing,
): PlanFinding[] {
  const of = ({ joints }: LineOfPull) => clamps.filter((clamp) => clamp.joints.includes(idOf(joints)));
  const off = lines.flatMap((line) => {
    const own = of(line);
    const pullN = own.reduce((sum, { forceN }) => sum + forceN, 0);
    if (pullN === 0) return [];
    const [low, high] = reach(line.joints.flatMap(pointsOf), along);
    const at = own.reduce((sum, { forceN, shape }) => sum + forceN * atOf(shape, along), 0) / pullN;
    const offMm = Math.abs(at - dot(line.at, along));
    // A jaw that reaches past both sides of a joint presses all of it, wherever its middle is.
    const jawMm = Math.max(...own.map(({ lot }) => lot.padWidthMm)) + spreadMm(packing);
    const mostMm = Math.max((high - low) / 6, (jawMm - (high - low)) / 2);
    return offMm > mostMm
      ? [{ line: line.joints[0]?.label ?? '', clamp: own[0]?.number ?? 0, offMm, mostMm }]
      : [];
  });
  return off
    .sort((a, b) => b.offMm - b.mostMm - (a.offMm - a.mostMm))
    .slice(0, 1)
    .map((values) => finding('seat-off-middle', 'warns', values));
}

const idOf = (joints: LineOfPull['joints']): string => joints[0]?.joint.id ?? '';

const atOf = (shape: ClampInSpace['shape'], along: Parameters<typeof dot>[1]): number =>
  shape.kind === 'jaws' ? dot(shape.from, along) : shape.kind === 'spot' ? dot(shape.at, along) : 0;

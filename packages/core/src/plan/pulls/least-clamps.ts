import { STRIPS_EVERY_MM } from '../../clamps';
import type { AssemblyFacts, JointFacts, Pull } from '../../assembly';
import type { BuildDocument, RackLot } from '../../formats';
import { reach, solidPoints } from '../../solids';
import { type LineOfPull, linesOfPull } from './lines-of-pull';
import { suits } from './placed-on-pull';

/** What goes round stands no further from the next than this, mm [judgement]. */
const ROUND_EVERY_MM = 400;
/** A longer joint is drawn home by two clamps, one at either side of its middle, or through a caul [judgement], mm. */
const TWO_CLAMPS_FROM_MM = 150;

/** Clamps that a line of pull wants. */
export const clampsOnLine = ({ joints }: Pick<LineOfPull, 'joints'>): number =>
  Math.max(...joints.map(({ lengthMm }) => lengthMm)) > TWO_CLAMPS_FROM_MM ? 2 : 1;

/**
 * Length of a joint that one jaw presses: its pad, what a caul spreads to both sides, and the way through the wood at 45° down to a
 * middle line, no more than another pad; or what the pull says that a clamp holds, mm.
 */
export function coverageMm(
  pull: Pull,
  joints: readonly JointFacts[],
  facts: AssemblyFacts,
  padMm: number,
  packing: { readonly kind: string; readonly thicknessMm: number } | undefined,
): number {
  if (pull.everyMm !== undefined) return pull.everyMm;
  const ids = new Set(joints.flatMap(({ joint }) => [joint.a, joint.b]));
  const parts = facts.parts.filter(({ part }) => ids.has(part.id));
  const [low, high] = reach(
    parts.flatMap(({ part }) => solidPoints(part.solid)),
    pull.axis,
  );
  const cauls = packing === undefined || packing.kind === 'bare' ? 0 : packing.thicknessMm;
  // A bend is as thick as its plies, not as high as its arc.
  const thickMm = joints.length > 1 ? parts.reduce((sum, { part }) => sum + part.blankMm[2], 0) : high - low;
  return Math.max(1, padMm + 2 * cauls + Math.min(thickMm, padMm));
}

/** How much of a joint one clamp presses, and how many it takes of them until what they press meets. */
export function cover(...of: Parameters<typeof coverageMm>): {
  readonly everyMm: number;
  readonly count: number;
} {
  const [pull, joints] = of;
  const everyMm = coverageMm(...of);
  const countOf = (line: readonly JointFacts[]) =>
    Math.max(...line.map(({ lengthMm }) => Math.ceil(lengthMm / everyMm - 1e-9)));
  // One force goes through a stack, and through what lies on one line; side by side each line has its own.
  const lines = pull.stacked ? [joints] : linesOfPull(pull, joints).map((line) => line.joints);
  return { everyMm, count: lines.reduce((sum, line) => sum + countOf(line), 0) };
}

/** Clamps whose pressure meets along a joint, a stack, a bend or a post; strips of tape near enough to each other. */
export function clampsToCover(
  pull: Pull,
  joints: readonly JointFacts[],
  facts: AssemblyFacts,
  rack: readonly RackLot[],
  { packing }: NonNullable<BuildDocument['squeeze']>,
): number {
  const lengthMm = Math.max(...joints.map((joint) => joint.lengthMm));
  if (pull.need === 'band') return Math.ceil(lengthMm / ROUND_EVERY_MM);
  if (pull.need === 'tape') {
    return joints.reduce((sum, joint) => sum + 1 + Math.ceil(joint.lengthMm / STRIPS_EVERY_MM), 0);
  }
  if (pull.need !== 'line') return 1;
  const lot = rack.find((each) => suits(pull, each) && each.count > 0);
  return cover(pull, joints, facts, lot?.padWidthMm ?? 0, packing).count;
}

import { remembered } from '../basics';
import { modulusAcross, shearModulusInFace } from '../materials';
import { type BeamStiffness, beamAtRest } from './contact-beam';
import type { StrutBoard } from './panel-strut';

/** A sprung or hollow line between two boards as read at the dry fit. */
export interface GapToClose {
  readonly lengthMm: number;
  readonly thicknessMm: number;
  readonly boards: readonly [StrutBoard, StrutBoard];
  /** Largest opening read: + hollow (touching at the ends), − proud (touching in the middle). */
  readonly gapMm: number;
  /** Opening that the glue may keep. */
  readonly remainingMm: number;
  /** Where the clamps pull and in which proportion; their size does not matter. */
  readonly pulls: readonly { readonly xMm: number; readonly forceN: number }[];
}

/** Shear correction of a rectangular section. */
const KAPPA = 5 / 6;
/** Nodes along the line; finer changes the answer by under 1 %. */
const STATIONS = 49;
/** Where pulls are taken when none is placed yet: three, at a sixth and the middle. */
const THREE_PULLS = [1 / 6, 1 / 2, 5 / 6] as const;
/** Beyond this no set of clamps is asked; the stock goes back to the plane. */
const MOST_FORCE_N = 200_000;
/** Lines of a build as it is edited: most edits leave a gap, its boards and its pulls alone. */
const MOST_REMEMBERED = 100;
/** Relative accuracy of the force. */
const FORCE_TOLERANCE = 0.005;

/**
 * Total force in N that pulls a bowed line together until no more than `remainingMm` stays open; infinite when no
 * force does it (ends that overhang the last clamp may never close).
 *
 * The two boards bend towards each other under the same loads, so their compliances add: one Timoshenko beam with
 * 1/EI = Σ1/(EI)ⱼ and 1/κGA = Σ1/(κGA)ⱼ on a tensionless bed of the gap's shape (a parabola), whose give is that of
 * the two boards across the grain. The force follows by bisection, since the opening never grows with the pull.
 * Range: boards longer than twice their width, ordinary gaps. Within 20 % of finite elements for three clamps down to
 * 0.1 mm remaining (docs/models.md); boards already glued behind the line make it stiffer than this.
 */
export const closingForceN = remembered(forceToClose, MOST_REMEMBERED);

function forceToClose(gap: GapToClose): number {
  const shares = pullShares(gap);
  const fixed = {
    beam: seriesStiffness(gap),
    lengthMm: gap.lengthMm,
    gapsMm: profile(gap.gapMm),
    bedNPerMm2: acrossGrainNPerMm2(gap),
  };
  let startTouching: readonly boolean[] | undefined;
  const opensAt = (totalN: number): number => {
    const pushes = shares.map(({ xMm, share }) => ({ xMm, forceN: share * totalN }));
    const { openMm, touching } = beamAtRest({ ...fixed, pushes, startTouching });
    startTouching = touching;
    return Math.max(...openMm);
  };
  if (Math.abs(gap.gapMm) <= gap.remainingMm) return 0;
  let low = 0;
  let high = 100;
  while (opensAt(high) > gap.remainingMm) {
    low = high;
    high *= 2;
    if (high > MOST_FORCE_N) return Number.POSITIVE_INFINITY;
  }
  while (high - low > FORCE_TOLERANCE * high) {
    const middle = (low + high) / 2;
    if (opensAt(middle) > gap.remainingMm) low = middle;
    else high = middle;
  }
  return high;
}

function pullShares({ pulls, lengthMm }: GapToClose): { xMm: number; share: number }[] {
  const pulling = pulls.filter(({ forceN }) => forceN > 0);
  if (pulling.length === 0)
    return THREE_PULLS.map((x) => ({ xMm: x * lengthMm, share: 1 / THREE_PULLS.length }));
  const total = pulling.reduce((sum, { forceN }) => sum + forceN, 0);
  return pulling.map(({ xMm, forceN }) => ({ xMm, share: forceN / total }));
}

/** Parabola through the reading: hollow in the middle, or proud there and open at both ends. */
function profile(gapMm: number): number[] {
  return Array.from({ length: STATIONS }, (_, i) => {
    const fromMiddle = ((2 * i) / (STATIONS - 1) - 1) ** 2;
    return gapMm >= 0 ? gapMm * (1 - fromMiddle) : -gapMm * fromMiddle;
  });
}

function seriesStiffness({ boards, thicknessMm }: GapToClose): BeamStiffness {
  const bending = boards.map(({ widthMm, wood }) => (wood.eLMPa * thicknessMm * widthMm ** 3) / 12);
  const shear = boards.map(
    (board) => KAPPA * shearModulusInFace(board.wood, board.cut) * thicknessMm * board.widthMm,
  );
  return { bendingNMm2: inSeries(bending), shearN: inSeries(shear) };
}

function acrossGrainNPerMm2({ boards, thicknessMm }: GapToClose): number {
  return inSeries(boards.map(({ widthMm, wood, cut }) => (modulusAcross(wood, cut) * thicknessMm) / widthMm));
}

const inSeries = (stiffnesses: readonly number[]): number =>
  1 / stiffnesses.reduce((sum, k) => sum + 1 / k, 0);

/** Square root of in-plane shear over cross-grain stiffness: how well a board spreads a push along the line. */
export function spreadingRatio({ wood, cut }: Pick<StrutBoard, 'wood' | 'cut'>): number {
  return Math.sqrt(shearModulusInFace(wood, cut) / modulusAcross(wood, cut));
}

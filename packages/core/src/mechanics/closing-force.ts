import { modulusAcross, shearModulusInFace } from '../materials';
import type { StrutBoard } from './panel-strut';

/** A sprung or hollow line between two boards as read at the dry fit. */
export interface GapToClose {
  readonly lengthMm: number;
  readonly thicknessMm: number;
  readonly boards: readonly [StrutBoard, StrutBoard];
  /** Largest opening read; its sign does not matter here. */
  readonly gapMm: number;
  /** Opening that the glue may keep. */
  readonly remainingMm: number;
}

/** Shear correction of a rectangular section. */
const KAPPA = 5 / 6;

/**
 * Total force in N that pulls a bowed line together until no more than `remainingMm` stays open.
 *
 * Both boards as simply supported beams on edge under an even load, bending plus shear, in series:
 * δ/w = Σ[5L⁴/(384·E_L·I) + L²/(8·κ·G·A)].
 * Range: boards longer than twice their width, gaps that touch at both ends; within 10 % of finite elements for
 * three clamps. Boards already glued behind the line make it stiffer than this. Source: Timoshenko beam.
 */
export function closingForceN(gap: GapToClose): number {
  const toTake = Math.max(0, Math.abs(gap.gapMm) - gap.remainingMm);
  const compliance = gap.boards.reduce((sum, board) => sum + midCompliance(board, gap), 0);
  return (toTake / compliance) * gap.lengthMm;
}

function midCompliance({ widthMm, wood, cut }: StrutBoard, { lengthMm, thicknessMm }: GapToClose): number {
  const inertia = (thicknessMm * widthMm ** 3) / 12;
  const bending = (5 * lengthMm ** 4) / (384 * wood.eLMPa * inertia);
  const shear = lengthMm ** 2 / (8 * KAPPA * shearModulusInFace(wood, cut) * thicknessMm * widthMm);
  return bending + shear;
}

/** Square root of in-plane shear over cross-grain stiffness: how well a board spreads a push along the line. */
export function spreadingRatio({ wood, cut }: Pick<StrutBoard, 'wood' | 'cut'>): number {
  return Math.sqrt(shearModulusInFace(wood, cut) / modulusAcross(wood, cut));
}

import type { Adhesive } from '../adhesives';
import { within } from '../basics/checks';
import { LIMITS } from '../basics/limits';
import type { WoodProperties } from '../materials';
import { type TargetPressure, targetPressure } from './target';

/** One glue line and the clamps meant for it. */
export interface ClampNeedJob {
  readonly woods: readonly WoodProperties[];
  readonly adhesive: Adhesive;
  readonly lengthMm: number;
  /** Height of the line, that is the thickness of the boards. */
  readonly heightMm: number;
  /** Force that one clamp really gives. */
  readonly clampForceN: number;
}

/** Force and clamps for one line. */
export interface ClampNeed {
  readonly target: TargetPressure;
  readonly forceLowN: number;
  readonly forceHighN: number;
  readonly clampsMin: number;
  readonly clampsRecommended: number;
  readonly maxSpacingMm: number;
  /** Bearing area that keeps one clamp below the softest wood's crushing limit. */
  readonly padAreaMm2: number;
}

/** Shorter lines than this are held by a single clamp without rocking [judgement]. */
const ONE_CLAMP_UP_TO_MM = 150;

/**
 * Clamps for one long-grain line by mean pressure.
 *
 * Force = target × length × height; fewest clamps = low force over clamp force, rounded up; recommended = the
 * middle of the target, at least two on lines past 150 mm. Spacing = clamp force over (low target × height).
 * Pad area = clamp force over the softest wood's compression across the grain.
 * Range: lines up to 20 m × 1 m. The spread of pressure along the line is a separate question (mechanics).
 */
export function clampNeed(job: ClampNeedJob): ClampNeed {
  const lengthMm = within(job.lengthMm, 'lengthMm', LIMITS.lineLengthMm);
  const heightMm = within(job.heightMm, 'heightMm', LIMITS.lineHeightMm);
  const clampForceN = within(job.clampForceN, 'clampForceN', LIMITS.clampForceN);
  const target = targetPressure(
    job.adhesive,
    job.woods.map((wood) => wood.sg),
  );
  const areaMm2 = lengthMm * heightMm;
  const middleMPa = (target.lowMPa + target.highMPa) / 2;
  const floor = lengthMm > ONE_CLAMP_UP_TO_MM ? 2 : 1;
  const clampsMin = Math.max(1, ceilingOf((target.lowMPa * areaMm2) / clampForceN));
  return {
    target,
    forceLowN: target.lowMPa * areaMm2,
    forceHighN: target.highMPa * areaMm2,
    clampsMin,
    clampsRecommended: Math.max(clampsMin, floor, ceilingOf((middleMPa * areaMm2) / clampForceN)),
    maxSpacingMm: clampForceN / (target.lowMPa * heightMm),
    padAreaMm2: clampForceN / Math.min(...job.woods.map((wood) => wood.compPerpMPa)),
  };
}

/** Rounds up, forgiving the last bits of a product that should have been whole. */
function ceilingOf(value: number): number {
  return Math.ceil(value - 1e-9 * Math.max(1, value));
}

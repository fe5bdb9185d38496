import { InputError } from '../basics/checks';
import { finding, type PlanFinding } from '../findings';
import { degrees, radians } from './angles';

/** A mitred polygon: side i runs from corner i to corner i + 1, measured outside. */
export interface MitrePolygon {
  readonly sidesMm: readonly number[];
  /** Interior angles. */
  readonly anglesDeg: readonly number[];
  readonly memberWidthMm: number;
  /** How far each cut is off. */
  readonly cutErrorDeg?: number | undefined;
}

/** Cuts of a mitred polygon, and how well it closes. */
export interface MitreAnswer {
  /** Between outside edge and mitre face: half the corner. */
  readonly cutsDeg: readonly number[];
  /** As saws are marked: 90° less the cut. Beyond 45° the part is carried upright and tilted by the complement. */
  readonly sawDeg: readonly number[];
  /** Distance by which the outline misses itself, walked from corner 0. */
  readonly closureMm: number;
  /** Opening at the last corner when every cut is off and the other corners are closed. */
  readonly gapMm: number;
  readonly findings: readonly PlanFinding[];
}

/** An outline that misses itself by more than this does not close. */
const CLOSES_WITHIN_MM = 0.5;

/**
 * Cut angles and closure of any mitred polygon, unequal corners included.
 *
 * The last of n corners takes up all the error: both cuts of each corner are off by ε, so it opens by
 * w·tan(2nε)/sin(θ/2). Range: interior angles from 5 to 355°, errors of a few degrees. Source: plane geometry.
 * @throws InputError `inconsistent` when there are not as many sides as corners.
 */
export function mitrePolygon({
  sidesMm,
  anglesDeg,
  memberWidthMm,
  cutErrorDeg = 0,
}: MitrePolygon): MitreAnswer {
  if (sidesMm.length !== anglesDeg.length) {
    throw new InputError(
      'inconsistent',
      'anglesDeg',
      `There are ${sidesMm.length} sides and ${anglesDeg.length} corners.`,
      'as many corners as sides',
    );
  }
  const cutsDeg = anglesDeg.map((angle) => angle / 2);
  const closureMm = closure(sidesMm, anglesDeg);
  const errorRad = radians(2 * sidesMm.length * Math.abs(cutErrorDeg));
  if (errorRad >= Math.PI / 2) {
    throw new InputError(
      'out-of-range',
      'cutErrorDeg',
      `With ${sidesMm.length} corners an error of ${cutErrorDeg}° a cut adds up to a right angle.`,
      `less than ${(45 / sidesMm.length).toFixed(2)}°`,
    );
  }
  return {
    cutsDeg,
    sawDeg: cutsDeg.map((cut) => 90 - cut),
    closureMm,
    gapMm: (memberWidthMm * Math.tan(errorRad)) / Math.sin(radians(anglesDeg.at(-1) ?? 90) / 2),
    findings: closureMm > CLOSES_WITHIN_MM ? [finding('does-not-close', 'warns', { closureMm })] : [],
  };
}

function closure(sidesMm: readonly number[], anglesDeg: readonly number[]): number {
  let heading = 0;
  let x = 0;
  let y = 0;
  sidesMm.forEach((side, i) => {
    x += side * Math.cos(heading);
    y += side * Math.sin(heading);
    heading += Math.PI - radians(anglesDeg[(i + 1) % anglesDeg.length] ?? 0);
  });
  return Math.hypot(x, y);
}

/** A closed ring of equal staves with mitred edges. */
export interface StaveRing {
  readonly sides: number;
  /** Twice the distance from the middle to an outside face. */
  readonly outsideAcrossFlatsMm: number;
  readonly thicknessMm: number;
}

/**
 * Width (outside face), bevel and bore of the staves of a post.
 *
 * width = AF·tan(180°/n), bevel = 180°/n, bore = AF − 2t. Range: 3 to 60 staves. Source: plane geometry.
 * @throws InputError `out-of-range` when the staves are so thick that no bore is left.
 */
export function stave({ sides, outsideAcrossFlatsMm, thicknessMm }: StaveRing): {
  readonly widthMm: number;
  readonly bevelDeg: number;
  readonly insideAcrossFlatsMm: number;
} {
  if (2 * thicknessMm >= outsideAcrossFlatsMm) {
    throw new InputError(
      'out-of-range',
      'thicknessMm',
      `Staves of ${thicknessMm} mm leave nothing inside ${outsideAcrossFlatsMm} mm across flats.`,
      `less than ${outsideAcrossFlatsMm / 2} mm`,
    );
  }
  return {
    widthMm: outsideAcrossFlatsMm * Math.tan(Math.PI / sides),
    bevelDeg: 180 / sides,
    insideAcrossFlatsMm: outsideAcrossFlatsMm - 2 * thicknessMm,
  };
}

/**
 * Saw settings for n equal sides that lean: mitre = atan(sin(slope)·tan(180°/n)), blade tilt =
 * asin(cos(slope)·sin(180°/n)). Slope 0 is an upright box (all tilt), 90 a flat frame (all mitre).
 * Range: 3 to 60 sides, 0 to 90°. Source: solid geometry, checked by vectors in the tests.
 */
export function compoundMitre({ sides, slopeDeg }: { readonly sides: number; readonly slopeDeg: number }): {
  readonly mitreDeg: number;
  readonly bladeTiltDeg: number;
} {
  const half = Math.PI / sides;
  const slope = radians(slopeDeg);
  return {
    mitreDeg: degrees(Math.atan(Math.sin(slope) * Math.tan(half))),
    bladeTiltDeg: degrees(Math.asin(Math.cos(slope) * Math.sin(half))),
  };
}

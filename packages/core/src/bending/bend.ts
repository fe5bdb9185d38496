import { InputError } from '../basics/checks';

/** A curve to be laminated out of thin plies. */
export interface Bend {
  /** To the concave face. */
  readonly radiusMm: number;
  readonly thicknessMm: number;
  readonly pliesMin?: number | undefined;
}

/** Plies for a bend, and the form that allows for springback. */
export interface BendAnswer {
  readonly plies: number;
  readonly plyMm: number;
  readonly strainPct: number;
  /** Of the form's curvature. */
  readonly springbackPct: number;
  readonly formRadiusMm: number;
  readonly strainLimitPct: number;
}

/** What clear, dry, straight-grained wood bears without steam [judgement]. */
const STRAIN_LIMIT_PCT = 1;
/** A bend of one ply is not a lamination. */
const FEWEST_PLIES = 2;
/** Thinner plies than this are veneer, and more of them than anybody lays up. */
const THINNEST_PLY_MM = 0.4;

/**
 * Thickest equal plies that take a bend dry, and how much tighter the form must be.
 *
 * Strain of a ply t/(2R), kept to 1 %; springback of the form's curvature about 1/n² [textbook rule], so the form radius is
 * R·(1 − 1/n²). Range: one even curve, plies planed on both faces. Source: bending of a strip; limit [judgement].
 * @throws InputError `out-of-range` when the plies would be thinner than 0.4 mm; names the tightest radius that does.
 */
export function bend({ radiusMm, thicknessMm, pliesMin = FEWEST_PLIES }: Bend): BendAnswer {
  const thickestMm = (2 * radiusMm * STRAIN_LIMIT_PCT) / 100;
  const plies = Math.max(pliesMin, Math.ceil(thicknessMm / thickestMm - 1e-9));
  const plyMm = thicknessMm / plies;
  if (thickestMm < THINNEST_PLY_MM) {
    const tightest = (THINNEST_PLY_MM * 100) / (2 * STRAIN_LIMIT_PCT);
    throw new InputError(
      'out-of-range',
      'radiusMm',
      `A radius of ${radiusMm} mm asks for plies under ${THINNEST_PLY_MM} mm.`,
      `${tightest} mm or more, or steam`,
    );
  }
  return {
    plies,
    plyMm,
    strainPct: (100 * plyMm) / (2 * radiusMm),
    springbackPct: 100 / plies ** 2,
    formRadiusMm: radiusMm * (1 - 1 / plies ** 2),
    strainLimitPct: STRAIN_LIMIT_PCT,
  };
}

import { within } from '../basics/checks';

/** A panel that cauls across it are to keep flat, and what works against that. */
export interface HeldPanel {
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly thicknessMm: number;
  /** Bending modulus across the grain, of the boards in series, and along it, MPa. */
  readonly acrossMPa: number;
  readonly alongMPa: number;
  /** Shear modulus in the plane of the panel, MPa. */
  readonly shearMPa: number;
  /** Clamp pull for each mm of length, N/mm, and how far off mid-thickness it runs on the whole. */
  readonly pullNPerMm: number;
  readonly offsetMm: number;
  /** Length of panel that one caul pair looks after. */
  readonly reachMm: number;
  /** Measured at the dry fit: cup of the width, bow of the length, wind. */
  readonly cupMm: number;
  readonly bowMm: number;
  readonly windMm: number;
}

/** What one caul has to press with along its span, N/mm, part by part. */
export interface HoldingLoad {
  /** Against the moment of a pull that misses mid-thickness. */
  readonly fromPullNPerMm: number;
  /** Against popping: a share of the pull. */
  readonly fromStrutNPerMm: number;
  readonly fromCupNPerMm: number;
  readonly fromBowNPerMm: number;
  readonly fromWindNPerMm: number;
  readonly totalNPerMm: number;
}

/** Side force that keeps a strut straight, as a share of what it carries [judgement, textbook bracing rule]. */
const BRACING_SHARE = 0.03;

/**
 * Line load along a caul that holds a panel flat. Not gluing pressure: that comes from the clamps across.
 *
 * An even load q (N/mm²) on a strip that rests on its two edges deflects its middle 5qW⁴/384EI; a moment M for each mm
 * deflects it MW²/8EI; so q = 9.6·M/W². The pull off mid-thickness has M = N·e; a cup δ has M = 8EIδ/W². Bow along the
 * grain is pressed out as a simply supported beam of the panel's whole width with a load in the middle, 48EIδ/L³; wind by
 * the corner force of a plate in pure twist, Gt³δ/3LW. Against buckling 3 % of the pull, as bracing of any strut.
 * Range: elastic, small deflections, cauls over the whole width. Source: beam and plate theory; docs/models.md.
 * @throws InputError for sizes or stiffnesses that are not above zero.
 */
export function holdingLoad(panel: HeldPanel): HoldingLoad {
  for (const field of [
    'widthMm',
    'lengthMm',
    'thicknessMm',
    'acrossMPa',
    'alongMPa',
    'shearMPa',
    'reachMm',
  ] as const) {
    within(panel[field], field, { min: Number.MIN_VALUE, max: 1e9, unit: '' });
  }
  const { widthMm: w, lengthMm: l, thicknessMm: t, reachMm } = panel;
  const inertia = t ** 3 / 12;
  const perMoment = (9.6 / w ** 2) * reachMm;
  const fromPullNPerMm = perMoment * Math.abs(panel.pullNPerMm * panel.offsetMm);
  const fromStrutNPerMm = (BRACING_SHARE * panel.pullNPerMm * reachMm) / w;
  const fromCupNPerMm = (perMoment * (8 * panel.acrossMPa * inertia * Math.abs(panel.cupMm))) / w ** 2;
  const fromBowNPerMm = (48 * panel.alongMPa * inertia * Math.abs(panel.bowMm)) / l ** 3;
  const fromWindNPerMm = (panel.shearMPa * t ** 3 * Math.abs(panel.windMm)) / (3 * l * w) / w;
  return {
    fromPullNPerMm,
    fromStrutNPerMm,
    fromCupNPerMm,
    fromBowNPerMm,
    fromWindNPerMm,
    totalNPerMm: fromPullNPerMm + fromStrutNPerMm + fromCupNPerMm + fromBowNPerMm + fromWindNPerMm,
  };
}

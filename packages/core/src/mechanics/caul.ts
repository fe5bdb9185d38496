import { InputError } from '../basics/checks';

/** A caul across a panel, pulled down at both ends. */
export interface CaulBeam {
  /** Span between the end clamps, mm. */
  readonly lengthMm: number;
  /** Across the span, flat on the work, mm. */
  readonly widthMm: number;
  /** In the direction of the pull, mm. */
  readonly depthMm: number;
  /** Along its grain, MPa. */
  readonly eMPa: number;
  /** What it is to press with, evenly, N for each mm of span. */
  readonly lineLoadNPerMm: number;
  /** How far beyond the work its clamps stand at either end; they bend it so much more. */
  readonly overhangMm?: number | undefined;
}

/** The crown that lets a caul press evenly. */
export interface CaulCrown {
  /** Middle above the ends, mm. */
  readonly crownMm: number;
  /** Pull of each end clamp, N. */
  readonly endForceN: number;
  /** Height of the crowned edge above the ends, from one end to the other. */
  readonly profile: readonly { readonly xMm: number; readonly yMm: number }[];
  /** Greatest fibre stress while it is straight, MPa. */
  readonly bendingStressMPa: number;
}

/** Shear correction of a rectangle, and E over G along the grain of wood. */
const KAPPA = 5 / 6;
const E_OVER_G = 15;
/** Steps of the profile. */
const STEPS = 20;

/**
 * Crown of a caul: planed to the curve that it bends by under an even load, it lies straight and presses evenly once its
 * ends are down. Bending w·x(L³ − 2L·x² + x³)/24EI plus shear w·x(L − x)/2κGA; a quartic, not an arc. Clamps that stand
 * `a` beyond the work turn its ends by the moment w·L·a/2: w·L·a·x(L − x)/4EI more, w·L³·a/16EI in the middle.
 *
 * Range: a straight-grained beam of one section, span over depth above 4, small slopes. Source: beam theory with
 * shear, docs/models.md; even to ± 3 % beyond 100 mm from the ends.
 * @throws InputError for a size, a stiffness or a load that is not above zero.
 */
export function caulCrown({
  lengthMm,
  widthMm,
  depthMm,
  eMPa,
  lineLoadNPerMm,
  overhangMm = 0,
}: CaulBeam): CaulCrown {
  for (const [field, value] of Object.entries({ lengthMm, widthMm, depthMm, eMPa, lineLoadNPerMm })) {
    if (!(Number.isFinite(value) && value > 0)) {
      throw new InputError('out-of-range', field, `${field} must be above zero.`, 'a number above 0');
    }
  }
  const bending = eMPa * ((widthMm * depthMm ** 3) / 12);
  const shear = KAPPA * (eMPa / E_OVER_G) * widthMm * depthMm;
  const heightAt = (x: number) =>
    (lineLoadNPerMm * x * (lengthMm ** 3 - 2 * lengthMm * x ** 2 + x ** 3)) / (24 * bending) +
    (lineLoadNPerMm * lengthMm * overhangMm * x * (lengthMm - x)) / (4 * bending) +
    (lineLoadNPerMm * x * (lengthMm - x)) / (2 * shear);
  return {
    crownMm: heightAt(lengthMm / 2),
    endForceN: (lineLoadNPerMm * lengthMm) / 2,
    profile: Array.from({ length: STEPS + 1 }, (_, i) => {
      const xMm = (lengthMm * i) / STEPS;
      return { xMm, yMm: heightAt(xMm) };
    }),
    bendingStressMPa:
      (6 * lineLoadNPerMm * lengthMm * (lengthMm / 8 + overhangMm / 2)) / (widthMm * depthMm ** 2),
  };
}

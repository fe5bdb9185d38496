import type { Adhesive } from '../adhesives';
import { InputError } from '../basics/checks';

/** Pressure between which a joint is right. */
export interface TargetPressure {
  readonly lowMPa: number;
  readonly highMPa: number;
  /** More than this squeezes so much out that the line starves, whatever the wood bears. */
  readonly mostMPa: number;
}

/** Jaws are eased to this share of what crushes the wood under them [judgement]. */
export const CRUSH_SHARE = 0.98;

/** Clamps are eased until the joint with the most has this share of the most it wants [judgement]. */
export const EASED_TO = 0.95;

/** Pressure at which a family starves [judgement]; epoxies want contact only, melts and foams are squeezed out early. */
const STARVES_AT_MPA: Readonly<Record<string, number>> = {
  'epoxy-slow': 0.35,
  'epoxy-fast': 0.35,
  'epoxy-filled': 0.35,
  'polyurethane-hot-melt': 1,
  'polyurethane-foaming': 1.5,
};
const STARVES_USUALLY_AT_MPA = 2.5;

/**
 * Bands of specific gravity (12 % MC) and the pressure that thins a water-borne line enough in that wood.
 * Source: density-matched shop practice, docs/models.md;
 * a dense wood needs more because its surface gives less.
 */
const BY_DENSITY: readonly { readonly upToSg: number; readonly target: Omit<TargetPressure, 'mostMPa'> }[] = [
  { upToSg: 0.42, target: { lowMPa: 0.7, highMPa: 1.0 } },
  { upToSg: 0.58, target: { lowMPa: 0.9, highMPa: 1.2 } },
  { upToSg: Number.POSITIVE_INFINITY, target: { lowMPa: 1.2, highMPa: 1.7 } },
];

/** How hard a line is meant to be pressed: as its wood wants it, or lightly with glue that fills. */
export type PressureSchool = 'matched' | 'light';

/**
 * The school of a light squeeze and a second one, for rough work with glue that fills gaps [judgement]: pressure, what is
 * left of the strength of a thin line, and after how many minutes the second squeeze comes.
 */
export const LIGHT_SQUEEZE = Object.freeze({
  lowMPa: 0.2,
  highMPa: 0.6,
  strengthShare: Object.freeze({ low: 0.6, high: 0.85 }),
  secondAfterMin: Object.freeze({ low: 15, high: 20 }),
  /** Sooner after closing the glue does not drag yet, and a second squeeze only starves the line. */
  soonestMin: 5,
  /** The glue must fill gaps of so much. */
  gapMm: 0.2,
});

/** Whether a family may be squeezed lightly: it fills gaps. */
export const canLightSqueeze = ({ gapMm }: Pick<Adhesive, 'gapMm'>): boolean => gapMm >= LIGHT_SQUEEZE.gapMm;

/**
 * Pressure that a family wants between woods of the given specific gravities. Where woods differ the softer
 * one sets the target, because it would crush first. The light school wants less, where the family wants more than that.
 * @throws InputError `missing` when no wood is given.
 */
export function targetPressure(
  adhesive: Adhesive,
  specificGravities: readonly number[],
  school: PressureSchool = 'matched',
): TargetPressure {
  if (specificGravities.length === 0) {
    throw new InputError('missing', 'species', 'At least one wood is needed.', 'one or more species');
  }
  if (school === 'light') {
    const matched = targetPressure(adhesive, specificGravities);
    const { lowMPa, highMPa } = LIGHT_SQUEEZE;
    return matched.lowMPa <= lowMPa ? matched : { ...matched, lowMPa, highMPa };
  }
  const mostMPa = STARVES_AT_MPA[adhesive.id] ?? STARVES_USUALLY_AT_MPA;
  if (adhesive.pressure.kind === 'fixed') {
    const { lowMPa, highMPa } = adhesive.pressure;
    return { lowMPa, highMPa, mostMPa: Math.max(mostMPa, highMPa) };
  }
  const softest = Math.min(...specificGravities);
  const band = BY_DENSITY.find(({ upToSg }) => softest <= upToSg);
  if (band === undefined)
    throw new InputError('not-a-number', 'sg', 'sg must be a number.', 'a positive number');
  return { ...band.target, mostMPa };
}

/** Verdict word for a pressure against its target and the wood's crushing limit. */
export type PressureWord = 'under-pressed' | 'light' | 'right' | 'more-than-needed' | 'starves' | 'crushes';

/** Names a pressure: below half the low end, to low end, within, above, so that the line starves, or beyond what the wood bears. */
export function pressureWord(pressureMPa: number, target: TargetPressure, crushMPa: number): PressureWord {
  if (pressureMPa > crushMPa) return 'crushes';
  if (pressureMPa < target.lowMPa / 2) return 'under-pressed';
  if (pressureMPa < target.lowMPa * (1 - 1e-9)) return 'light';
  if (pressureMPa > target.mostMPa) return 'starves';
  // What was eased to the very end is not above it.
  return pressureMPa <= target.highMPa * (1 + 1e-9) ? 'right' : 'more-than-needed';
}

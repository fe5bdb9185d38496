import type { Adhesive } from '../adhesives';
import { InputError } from '../checks';

/** Pressure wanted on a long-grain line. */
export interface TargetPressure {
  readonly lowMPa: number;
  readonly highMPa: number;
}

/**
 * Bands of specific gravity (12 % MC) and the pressure that thins a water-borne line enough in that wood.
 * Source: density-matched shop practice, docs/models.md;
 * a dense wood needs more because its surface gives less.
 */
const BY_DENSITY: readonly { readonly upToSg: number; readonly target: TargetPressure }[] = [
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
    return matched.lowMPa <= lowMPa ? matched : { lowMPa, highMPa };
  }
  if (adhesive.pressure.kind === 'fixed') {
    return { lowMPa: adhesive.pressure.lowMPa, highMPa: adhesive.pressure.highMPa };
  }
  const softest = Math.min(...specificGravities);
  const band = BY_DENSITY.find(({ upToSg }) => softest <= upToSg);
  if (band === undefined)
    throw new InputError('not-a-number', 'sg', 'sg must be a number.', 'a positive number');
  return band.target;
}

/** Verdict word for a pressure against its target and the wood's crushing limit. */
export type PressureWord = 'under-pressed' | 'light' | 'right' | 'more-than-needed' | 'crushes';

/** Names a pressure: below half the low end, to low end, within, above, or beyond what the wood bears. */
export function pressureWord(pressureMPa: number, target: TargetPressure, crushMPa: number): PressureWord {
  if (pressureMPa > crushMPa) return 'crushes';
  if (pressureMPa < target.lowMPa / 2) return 'under-pressed';
  if (pressureMPa < target.lowMPa) return 'light';
  return pressureMPa <= target.highMPa ? 'right' : 'more-than-needed';
}

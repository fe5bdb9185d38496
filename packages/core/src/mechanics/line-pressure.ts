import { InputError } from '../basics/checks';
import { clamp } from '../basics/range';

/** One pull on a line: where along it and how hard. */
export interface Pull {
  readonly xMm: number;
  readonly forceN: number;
}

/** A glue line pressed through boards by clamps at a distance. */
export interface LineUnderClamps {
  readonly lengthMm: number;
  /** Height of the line: thickness of the thinner board. */
  readonly heightMm: number;
  /** Distance from the nearer pad to the line, through wood. */
  readonly depthMm: number;
  /** The same as felt at the free ends, see `endDepthMm`; defaults to the depth. */
  readonly endDepthMm?: number;
  /** √(G_xy/E_y) of the wood between: how well it spreads a push. About 1 for most woods. */
  readonly stiffnessRatio: number;
  readonly pulls: readonly Pull[];
  /** Number of stations at which the pressure is asked, from one end to the other inclusive. */
  readonly samples?: number;
}

/** Pressure along a line. */
export interface LinePressure {
  readonly stationsMm: readonly number[];
  readonly pressureMPa: readonly number[];
  readonly minMPa: number;
  readonly minAtMm: number;
  readonly meanMPa: number;
  readonly maxMPa: number;
}

/** Stations along a line unless asked otherwise. */
const DEFAULT_SAMPLES = 41;

/**
 * Exponents fitted to fine-mesh finite elements (docs/models.md): between evenly spaced clamps the lowest over
 * the mean is 1 − 2·exp(−5.9·κ·d/s); at a free end with half a spacing of overhang 1 − 3·exp(−5.5·κ·d/s).
 */
const FIT = Object.freeze({ midGap: 5.9, endFactor: 3, end: 5.5 });
/** Mirror images at each end, enough for the kernel's tail to be spent. */
const IMAGES = 3;

/**
 * Pressure along a glue line in closed form.
 *
 * The mid-gap fit 1 − 2·exp(−c·κ·d/s) is the first harmonic of a row of Lorentz kernels of half-width
 * a = c·κ·d/2π, so each pull contributes F/t·(a/π)/((x − x_i)² + a²). Mirror images at both ends keep all the
 * force on the line. Real free ends are weaker than that mirror says: the difference between the end fit and the
 * mid-gap fit is taken off over one kernel width and given back along the whole line, so that Σ p·h·dx = ΣF.
 *
 * Range: three boards or more, depth over spacing 0.15 to 1.2. Lowest and highest within 0.12 of the mean of the four
 * finite-element cases in the tests. Two-board panels: pass two thirds of the depth. Where the form falls below zero
 * the line opens.
 * Source: docs/models.md, "Pressure along an edge-glued line" (fit, rms 0.03).
 * @throws InputError when length, height or depth is not positive.
 */
export function linePressure(line: LineUnderClamps): LinePressure {
  for (const field of ['lengthMm', 'heightMm', 'depthMm', 'stiffnessRatio'] as const) {
    if (!(Number.isFinite(line[field]) && line[field] > 0)) {
      throw new InputError('out-of-range', field, `${field} must be above zero.`, 'a number above 0');
    }
  }
  const samples = line.samples ?? DEFAULT_SAMPLES;
  const stationsMm = Array.from({ length: samples }, (_, i) => (line.lengthMm * i) / (samples - 1));
  const totalN = line.pulls.reduce((sum, pull) => sum + pull.forceN, 0);
  const meanMPa = totalN / (line.lengthMm * line.heightMm);
  if (totalN <= 0) {
    return { stationsMm, pressureMPa: stationsMm.map(() => 0), minMPa: 0, minAtMm: 0, meanMPa: 0, maxMPa: 0 };
  }
  const halfWidth = (FIT.midGap * line.stiffnessRatio * line.depthMm) / (2 * Math.PI);
  const bare = stationsMm.map((x) => kernelSum(line, x, halfWidth));
  const deficit = endDeficits(line, meanMPa);
  const lowered = bare.map((p, i) => p - endLoss(deficit, stationsMm[i] ?? 0, line.lengthMm, halfWidth));
  const balanced = rescale(lowered, meanMPa);
  const minMPa = Math.min(...balanced);
  return {
    stationsMm,
    pressureMPa: balanced,
    minMPa,
    minAtMm: stationsMm[balanced.indexOf(minMPa)] ?? 0,
    meanMPa,
    maxMPa: Math.max(...balanced),
  };
}

/** End spreading by how near the line lies to the panel's middle, fitted to the finite-element cases. */
const END_DEPTH = Object.freeze({ fullUpTo: 0.4, leastFrom: 0.8, least: 0.69 });

/**
 * Depth that counts at a line's free ends, in mm. Lines deep in the panel feel the push of both edges, and their ends
 * get less of it than a line of that depth near one edge would.
 * @param depthMm from the nearer pad to the line.
 * @param halfWidthMm from a pad to the middle of the panel.
 */
export function endDepthMm(depthMm: number, halfWidthMm: number): number {
  const { fullUpTo, leastFrom, least } = END_DEPTH;
  const inward = clamp((depthMm / halfWidthMm - fullUpTo) / (leastFrom - fullUpTo), 0, 1);
  return depthMm * (1 - (1 - least) * inward);
}

function kernelSum({ pulls, lengthMm, heightMm }: LineUnderClamps, x: number, halfWidth: number): number {
  let sum = 0;
  for (const pull of pulls) {
    // The pull itself with its copies, and its reflections in both ends: as many to the left as to the right.
    for (let image = -IMAGES; image <= IMAGES; image += 1) {
      sum += lorentz(x - pull.xMm - 2 * image * lengthMm, halfWidth) * pull.forceN;
    }
    for (let image = 1 - IMAGES; image <= IMAGES; image += 1) {
      sum += lorentz(x + pull.xMm - 2 * image * lengthMm, halfWidth) * pull.forceN;
    }
  }
  return sum / heightMm;
}

function lorentz(distance: number, halfWidth: number): number {
  return halfWidth / (Math.PI * (distance ** 2 + halfWidth ** 2));
}

/** How much lower than the mirror-image form each free end really is, in MPa: [at x = 0, at x = length]. */
function endDeficits(line: LineUnderClamps, meanMPa: number): readonly [number, number] {
  const positions = line.pulls.filter((pull) => pull.forceN > 0).map((pull) => pull.xMm);
  const overhangs = [Math.min(...positions), line.lengthMm - Math.max(...positions)];
  const at = (overhang: number): number => {
    // An overhang o behaves like half of a spacing s = 2·o.
    const ratio = (line.stiffnessRatio * line.depthMm) / Math.max(1e-6, 2 * overhang);
    const mirror = 1 - 2 * Math.exp(-FIT.midGap * ratio);
    const free =
      1 - FIT.endFactor * Math.exp(-FIT.end * ratio * ((line.endDepthMm ?? line.depthMm) / line.depthMm));
    return Math.max(0, mirror - free) * meanMPa;
  };
  return [at(overhangs[0] ?? 0), at(overhangs[1] ?? 0)];
}

function endLoss(
  [first, last]: readonly [number, number],
  x: number,
  length: number,
  halfWidth: number,
): number {
  return first * Math.exp(-x / halfWidth) + last * Math.exp(-(length - x) / halfWidth);
}

/** Opens the line where the form is negative and scales the rest to carry the whole force. */
function rescale(pressure: readonly number[], meanMPa: number): number[] {
  const closed = pressure.map((p) => Math.max(0, p));
  const now = trapezoidMean(closed);
  return closed.map((p) => (p * meanMPa) / now);
}

function trapezoidMean(values: readonly number[]): number {
  const ends = ((values[0] ?? 0) + (values.at(-1) ?? 0)) / 2;
  const sum = values.reduce((total, value) => total + value, 0);
  return (sum - ends) / (values.length - 1);
}

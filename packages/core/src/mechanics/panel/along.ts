import { leastBy } from '../../basics/least-by';

/** Pressure along one line. */
export interface PressedLine {
  readonly pressureMPa: readonly number[];
  readonly openMm: readonly number[];
  readonly minMPa: number;
  /** Where the least of it is, from the first end of the line. */
  readonly minAtMm: number;
  readonly meanMPa: number;
  readonly maxMPa: number;
  /** Where along the panel its two boards meet. */
  readonly fromMm: number;
  readonly toMm: number;
  /** Whether the faces touch from end to end. */
  readonly closed: boolean;
}

const DEFAULT_SAMPLES = 41;

/** What contact found at the nodes of a line. */
export interface LineNodes {
  /** Stations at which it is told; 41 unless said otherwise. */
  readonly samples: number | undefined;
  readonly xsMm: Float64Array;
  readonly forceN: Float64Array;
  readonly openMm: Float64Array;
  readonly thicknessMm: number;
}

/** Nodal forces and openings as pressure along a line. */
export function alongLine({
  samples = DEFAULT_SAMPLES,
  xsMm,
  forceN,
  openMm,
  thicknessMm,
}: LineNodes): PressedLine {
  const pressure = consistentPressure({ xsMm, forceN, openMm, thicknessMm }).map((value) =>
    Math.max(0, value),
  );
  const totalN = forceN.reduce((sum, force) => sum + force, 0);
  const minMPa = Math.min(...pressure);
  const [fromMm, toMm] = [xsMm[0] ?? 0, xsMm.at(-1) ?? 0];
  const lengthMm = toMm - fromMm;
  const stations = Array.from({ length: samples }, (_, i) => fromMm + (lengthMm * i) / (samples - 1));
  return {
    pressureMPa: stations.map((x) => valueAt(xsMm, pressure, x)),
    openMm: stations.map((x) => valueAt(xsMm, openMm, x)),
    minMPa,
    minAtMm: (xsMm[leastBy([...xsMm.keys()], (i) => pressure[i] ?? 0)] ?? 0) - fromMm,
    meanMPa: totalN / (lengthMm * thicknessMm),
    maxMPa: Math.max(...pressure),
    fromMm,
    toMm,
    closed: openMm.every((open) => open <= 0),
  };
}

/** Pressure at the nodes whose consistent loads are the nodal forces, MPa; zero where it is open. */
export function consistentPressure({
  xsMm,
  forceN,
  openMm,
  thicknessMm,
}: Pick<LineNodes, 'xsMm' | 'forceN' | 'openMm' | 'thicknessMm'>): Float64Array {
  const n = xsMm.length;
  const touches = (i: number) => (openMm[i] ?? 0) <= 0;
  const [lower, diagonal, right] = [new Float64Array(n), new Float64Array(n), new Float64Array(n)];
  for (let i = 0; i < n; i += 1) {
    if (!touches(i)) {
      diagonal[i] = 1;
      continue;
    }
    const before = i > 0 ? (xsMm[i] ?? 0) - (xsMm[i - 1] ?? 0) : 0;
    const after = i + 1 < n ? (xsMm[i + 1] ?? 0) - (xsMm[i] ?? 0) : 0;
    diagonal[i] = (before + after) / 3;
    if (i > 0 && touches(i - 1)) lower[i] = before / 6;
    right[i] = (forceN[i] ?? 0) / thicknessMm;
  }
  // A symmetric tridiagonal system.
  for (let i = 1; i < n; i += 1) {
    const share = (lower[i] ?? 0) / (diagonal[i - 1] ?? 1);
    diagonal[i] = (diagonal[i] ?? 1) - share * (lower[i] ?? 0);
    right[i] = (right[i] ?? 0) - share * (right[i - 1] ?? 0);
  }
  const pressure = new Float64Array(n);
  for (let i = n - 1; i >= 0; i -= 1) {
    pressure[i] = ((right[i] ?? 0) - (lower[i + 1] ?? 0) * (pressure[i + 1] ?? 0)) / (diagonal[i] ?? 1);
  }
  return pressure;
}

function valueAt(xsMm: Float64Array, values: Float64Array, x: number): number {
  let i = 0;
  while (i + 2 < xsMm.length && (xsMm[i + 1] ?? 0) < x) i += 1;
  const [from = 0, to = 1] = [xsMm[i], xsMm[i + 1]];
  const [low = 0, high = 0] = [values[i], values[i + 1]];
  return low + ((high - low) * (x - from)) / (to - from);
}

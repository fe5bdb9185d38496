import { InputError } from '../basics/checks';

/** A height read at a place: x along the length, y across, z up. */
export interface HeightReading {
  readonly xMm: number;
  readonly yMm: number;
  readonly zMm: number;
}

/** How a surface strays from a plane; null where the readings cannot tell. */
export interface FlatnessAnswer {
  /** Twist over the whole extent. */
  readonly windMm: number | null;
  /** Across the width; + when the middle is high. */
  readonly cupMm: number | null;
  /** Along the length; + when the middle is high. */
  readonly bowMm: number | null;
  /** Largest deviation from what was fitted. */
  readonly residualMm: number;
}

const TERMS = ['1', 'x', 'y', 'xy', 'x2', 'y2'] as const;
type Term = (typeof TERMS)[number];

/** A term whose part independent of the earlier ones is smaller than this share of it is dropped. */
const DEPENDENT_SHARE = 1e-9;
/** Fewer readings than these make no plane. */
const FEWEST_READINGS = 3;

/**
 * Wind, cup and bow from heights at named points.
 *
 * Least squares on 1, x, y, xy, x², y² about the middle of the extents; a term that depends on the earlier ones is left
 * out and its result is null. wind = |c_xy|·Lx·Ly, bow = −c_x²·Lx²/4, cup = −c_y²·Ly²/4.
 * Range: three readings or more. Source: regression by Gram–Schmidt in the order of the terms.
 * @throws InputError `missing` for fewer than three readings.
 */
export function flatness(points: readonly HeightReading[]): FlatnessAnswer {
  if (points.length < FEWEST_READINGS) {
    throw new InputError(
      'missing',
      'points',
      `${points.length} readings make no plane.`,
      'three readings or more',
    );
  }
  const x = middled(points.map(({ xMm }) => xMm));
  const y = middled(points.map(({ yMm }) => yMm));
  const columns: Readonly<Record<Term, readonly number[]>> = {
    '1': points.map(() => 1),
    x,
    y,
    xy: x.map((value, i) => value * (y[i] ?? 0)),
    x2: x.map((value) => value ** 2),
    y2: y.map((value) => value ** 2),
  };
  const { coefficients, residual } = regress(
    columns,
    points.map(({ zMm }) => zMm),
  );
  // Coordinates run from −1 to 1, so c·(L/2)² is what remains of c·L²/4.
  const { xy, x2, y2 } = coefficients;
  return {
    windMm: xy === undefined ? null : Math.abs(xy) * 4,
    cupMm: y2 === undefined ? null : 0 - y2,
    bowMm: x2 === undefined ? null : 0 - x2,
    residualMm: Math.max(...residual.map(Math.abs)),
  };
}

/** Places counted from the middle of their extent in halves of it; all 0 when they do not differ. */
function middled(values: readonly number[]): number[] {
  const low = Math.min(...values);
  const high = Math.max(...values);
  const half = (high - low) / 2;
  return values.map((value) => (half === 0 ? 0 : (value - (low + high) / 2) / half));
}

function regress(columns: Readonly<Record<Term, readonly number[]>>, heights: readonly number[]) {
  const kept: { term: Term; direction: readonly number[]; inEarlier: readonly number[] }[] = [];
  for (const term of TERMS) {
    const column = columns[term];
    let rest = [...column];
    const inEarlier: number[] = [];
    // Twice, so that what rounding left over of the earlier directions is taken out as well.
    for (const pass of [0, 1]) {
      kept.forEach(({ direction }, k) => {
        const share = dot(rest, direction);
        inEarlier[k] = pass === 0 ? share : (inEarlier[k] ?? 0) + share;
        rest = rest.map((value, i) => value - share * (direction[i] ?? 0));
      });
    }
    const length = Math.sqrt(dot(rest, rest));
    if (length <= DEPENDENT_SHARE * Math.sqrt(dot(column, column)) || length === 0) continue;
    kept.push({ term, direction: rest.map((value) => value / length), inEarlier: [...inEarlier, length] });
  }
  const projections = kept.map(({ direction }) => dot(heights, direction));
  const residual = heights.map(
    (height, i) =>
      height - kept.reduce((sum, { direction }, k) => sum + (projections[k] ?? 0) * (direction[i] ?? 0), 0),
  );
  return { coefficients: backSubstitute(kept, projections), residual };
}

function backSubstitute(
  kept: readonly { readonly term: Term; readonly inEarlier: readonly number[] }[],
  projections: readonly number[],
): Partial<Record<Term, number>> {
  const values: number[] = [];
  for (let k = kept.length - 1; k >= 0; k -= 1) {
    const later = kept.reduce(
      (sum, { inEarlier }, j) => (j > k ? sum + (inEarlier[k] ?? 0) * (values[j] ?? 0) : sum),
      0,
    );
    values[k] = ((projections[k] ?? 0) - later) / (kept[k]?.inEarlier[k] ?? 1);
  }
  return Object.fromEntries(kept.map(({ term }, k) => [term, values[k]]));
}

function dot(a: readonly number[], b: readonly number[]): number {
  return a.reduce((sum, value, i) => sum + value * (b[i] ?? 0), 0);
}

/** How a joint's edge stands to a true line. */
export type EdgeLineKind = 'true' | 'hollow' | 'sprung' | 'wedge';

/** What feeler readings along a line say. */
export interface EdgeLineAnswer {
  readonly kind: EdgeLineKind;
  /** Opening in the middle over the mean of the ends: + hollow, − sprung (proud in the middle). */
  readonly sagMm: number;
  /** Opening at the last reading over the first. */
  readonly wedgeMm: number;
}

/** Feelers start at this. */
const FEELER_MM = 0.05;

/**
 * Hollow, sprung, wedge or true, from openings at equally spaced places from end to end.
 *
 * Least squares on 1, u, 1 − u² with u from −1 to 1: sag is the coefficient of the last, wedge twice that of u. Range:
 * three readings or more. Source: regression; 0.05 mm is the thinnest feeler in common use.
 * @throws InputError `missing` for fewer than three readings.
 */
export function edgeLine(readingsMm: readonly number[]): EdgeLineAnswer {
  if (readingsMm.length < FEWEST_READINGS) {
    throw new InputError(
      'missing',
      'readingsMm',
      'A line needs readings at both ends and between.',
      'three or more',
    );
  }
  const n = readingsMm.length;
  const u = readingsMm.map((_, i) => (2 * i) / (n - 1) - 1);
  const arch = u.map((value) => 1 - value ** 2);
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / n;
  const archMean = mean(arch);
  const slope = dot(readingsMm, u) / dot(u, u);
  const centred = arch.map((value) => value - archMean);
  const sagMm = dot(readingsMm, centred) / dot(centred, centred);
  const wedgeMm = 2 * slope;
  const kind: EdgeLineKind =
    Math.max(Math.abs(sagMm), Math.abs(wedgeMm)) < FEELER_MM
      ? 'true'
      : Math.abs(wedgeMm) > Math.abs(sagMm)
        ? 'wedge'
        : sagMm > 0
          ? 'hollow'
          : 'sprung';
  return { kind, sagMm, wedgeMm };
}

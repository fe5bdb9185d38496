import { InputError } from '../basics/checks';

/** Four sides and two diagonals of a frame, corners a b c d in turn; mm. */
export interface QuadReadings {
  readonly ab: number;
  readonly bc: number;
  readonly cd: number;
  readonly da: number;
  readonly ac: number;
  readonly bd: number;
}

/** What the readings say of the frame. */
export interface QuadAnswer {
  /** Interior angles of the best-fitting flat quadrilateral. */
  readonly anglesDeg: { readonly a: number; readonly b: number; readonly c: number; readonly d: number };
  /** How far one long side has slid past the other; + when the diagonal a–c is the longer. Clamps can correct it. */
  readonly rackMm: number;
  /** Largest difference between opposite sides; no clamp corrects it. */
  readonly lengthErrorMm: number;
  readonly longDiagonal: 'ac' | 'bd' | 'none';
  /** How far to pull the long diagonal, so that both are equal when the sides are true. */
  readonly pullMm: number;
  readonly verdict: 'square' | 'racked' | 'length-error' | 'both';
  /** Largest disagreement between a reading and the fitted quadrilateral. */
  readonly residualMm: number;
}

/** Tapes are read to half a millimetre: smaller differences are none. */
const READING_MM = 0.5;
/** Gauss–Newton steps; readings that fit settle in three or four. */
const MOST_STEPS = 50;
const SETTLED_MM = 1e-10;

type Point = readonly [x: number, y: number];

/**
 * A four-sided frame from its four sides and two diagonals.
 *
 * rack = (ac² − bd²)/(2(ab + cd)); pull = |ac − bd|/2; the angles are those of the flat quadrilateral whose six lengths
 * come nearest to the readings (unweighted least squares, Gauss–Newton from the two triangles over ab).
 * Range: convex frames. Source: plane geometry.
 * @throws InputError `inconsistent` when three of the lengths cannot make a triangle.
 */
export function quad(readings: QuadReadings): QuadAnswer {
  const { ab, bc, cd, da, ac, bd } = readings;
  for (const [names, x, y, z] of [
    ['ab, bc, ac', ab, bc, ac],
    ['cd, da, ac', cd, da, ac],
    ['ab, da, bd', ab, da, bd],
    ['bc, cd, bd', bc, cd, bd],
  ] as const) {
    if (2 * Math.max(x, y, z) >= x + y + z) {
      throw new InputError(
        'inconsistent',
        names.slice(-2),
        `${names} cannot make a triangle: the longest is not shorter than the other two together.`,
        'two sides longer together than the third; measure again',
      );
    }
  }
  const corners = fit(readings);
  const racked = Math.abs(ac - bd) > READING_MM;
  const lengthErrorMm = Math.max(Math.abs(ab - cd), Math.abs(bc - da));
  const unequal = lengthErrorMm > READING_MM;
  return {
    anglesDeg: {
      a: angleAt(corners, 0),
      b: angleAt(corners, 1),
      c: angleAt(corners, 2),
      d: angleAt(corners, 3),
    },
    rackMm: (ac ** 2 - bd ** 2) / (2 * (ab + cd)),
    lengthErrorMm,
    longDiagonal: racked ? (ac > bd ? 'ac' : 'bd') : 'none',
    pullMm: Math.abs(ac - bd) / 2,
    verdict: racked ? (unequal ? 'both' : 'racked') : unequal ? 'length-error' : 'square',
    residualMm: Math.max(...residuals(corners, readings).map(Math.abs)),
  };
}

/** Pairs of corners whose distances were read, in the order of `lengthsOf`. */
const PAIRS: readonly (readonly [number, number])[] = [
  [0, 1],
  [1, 2],
  [2, 3],
  [3, 0],
  [0, 2],
  [1, 3],
];

const lengthsOf = ({ ab, bc, cd, da, ac, bd }: QuadReadings): readonly number[] => [ab, bc, cd, da, ac, bd];

function residuals(corners: readonly Point[], readings: QuadReadings): number[] {
  const lengths = lengthsOf(readings);
  return PAIRS.map(([i, j], k) => distance(corners[i], corners[j]) - (lengths[k] ?? 0));
}

/** Unknowns: x of b, then x and y of c and d; a stays at the origin and b on the axis. */
function cornersOf([bx = 0, cx = 0, cy = 0, dx = 0, dy = 0]: readonly number[]): Point[] {
  return [
    [0, 0],
    [bx, 0],
    [cx, cy],
    [dx, dy],
  ];
}

function fit(readings: QuadReadings): Point[] {
  const { ab, bc, da, ac, bd } = readings;
  const cx = (ab ** 2 + ac ** 2 - bc ** 2) / (2 * ab);
  const dx = (ab ** 2 + da ** 2 - bd ** 2) / (2 * ab);
  let unknowns = [ab, cx, Math.sqrt(ac ** 2 - cx ** 2), dx, Math.sqrt(da ** 2 - dx ** 2)];
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const change = gaussNewtonStep(unknowns, readings);
    unknowns = unknowns.map((value, i) => value + (change[i] ?? 0));
    if (Math.max(...change.map(Math.abs)) < SETTLED_MM) break;
  }
  return cornersOf(unknowns);
}

function gaussNewtonStep(unknowns: readonly number[], readings: QuadReadings): number[] {
  const corners = cornersOf(unknowns);
  const jacobian = PAIRS.map(([i, j]) => gradient(corners, i, j));
  const misfit = residuals(corners, readings);
  const normal = unknowns.map((_, r) =>
    unknowns.map((__, c) => jacobian.reduce((sum, row) => sum + (row[r] ?? 0) * (row[c] ?? 0), 0)),
  );
  const right = unknowns.map(
    (_, r) => -jacobian.reduce((sum, row, k) => sum + (row[r] ?? 0) * (misfit[k] ?? 0), 0),
  );
  return solve(normal, right);
}

/** Derivative of the distance between corners i and j by the five unknowns. */
function gradient(corners: readonly Point[], i: number, j: number): number[] {
  const [from, to] = [corners[i], corners[j]];
  const length = distance(from, to);
  const ux = ((to?.[0] ?? 0) - (from?.[0] ?? 0)) / length;
  const uy = ((to?.[1] ?? 0) - (from?.[1] ?? 0)) / length;
  // Columns of each corner: a has none, b only x.
  const columns: readonly (readonly [x: number, y: number])[] = [
    [-1, -1],
    [0, -1],
    [1, 2],
    [3, 4],
  ];
  const row = [0, 0, 0, 0, 0];
  const add = (corner: number, sign: number) => {
    const [x = -1, y = -1] = columns[corner] ?? [];
    if (x >= 0) row[x] = (row[x] ?? 0) + sign * ux;
    if (y >= 0) row[y] = (row[y] ?? 0) + sign * uy;
  };
  add(i, -1);
  add(j, 1);
  return row;
}

/** Gaussian elimination with row pivoting; the normal matrix of a real quadrilateral is regular. */
function solve(matrix: readonly (readonly number[])[], right: readonly number[]): number[] {
  const rows = matrix.map((row, i) => [...row, right[i] ?? 0]);
  const n = right.length;
  for (let column = 0; column < n; column += 1) {
    const pivot = rows.reduce(
      (best, row, i) =>
        i > column && Math.abs(row[column] ?? 0) > Math.abs(rows[best]?.[column] ?? 0) ? i : best,
      column,
    );
    [rows[column], rows[pivot]] = [rows[pivot] ?? [], rows[column] ?? []];
    const head = rows[column] ?? [];
    for (let below = column + 1; below < n; below += 1) {
      const factor = (rows[below]?.[column] ?? 0) / (head[column] ?? 1);
      rows[below] = (rows[below] ?? []).map((value, k) => value - factor * (head[k] ?? 0));
    }
  }
  const x = Array.from({ length: n }, () => 0);
  for (let row = n - 1; row >= 0; row -= 1) {
    const known = x.reduce((sum, value, k) => (k > row ? sum + (rows[row]?.[k] ?? 0) * value : sum), 0);
    x[row] = ((rows[row]?.[n] ?? 0) - known) / (rows[row]?.[row] ?? 1);
  }
  return x;
}

function distance(from: Point | undefined, to: Point | undefined): number {
  return Math.hypot((to?.[0] ?? 0) - (from?.[0] ?? 0), (to?.[1] ?? 0) - (from?.[1] ?? 0));
}

function angleAt(corners: readonly Point[], i: number): number {
  const at = corners[i] ?? [0, 0];
  const towards = (j: number) => {
    const other = corners[j % 4] ?? [0, 0];
    return Math.atan2(other[1] - at[1], other[0] - at[0]);
  };
  const turn = towards(i + 3) - towards(i + 1);
  return ((((turn * 180) / Math.PI) % 360) + 360) % 360;
}

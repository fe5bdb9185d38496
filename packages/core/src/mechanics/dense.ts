/**
 * Dense matrices row by row in typed arrays, for small systems that are factored many times. All of it comes down to sums of
 * products of stretches of numbers; eight of those run at once, so that a number fetched serves several of them.
 */

/** Sum of products of two stretches of the same length. */
export function dotOf(a: Float64Array, fromA: number, b: Float64Array, fromB: number, count: number): number {
  let [s0, s1] = [0, 0];
  let k = 0;
  for (; k + 1 < count; k += 2) {
    s0 += (a[fromA + k] ?? 0) * (b[fromB + k] ?? 0);
    s1 += (a[fromA + k + 1] ?? 0) * (b[fromB + k + 1] ?? 0);
  }
  if (k < count) s0 += (a[fromA + k] ?? 0) * (b[fromB + k] ?? 0);
  return s0 + s1;
}

/** So many rows are taken with so many others at once. */
const [OWN, OTHERS] = [2, 4] as const;

/**
 * Sums of products of two neighbouring rows of `a` with four of `b`: the first with all four, then the second.
 * @param sizeA from one row to the next; `sizeB` alike.
 */
function eightDots(
  a: Float64Array,
  sizeA: number,
  rowA: number,
  b: Float64Array,
  sizeB: number,
  rowB: number,
  count: number,
  sums: Float64Array,
): void {
  const a0 = rowA * sizeA;
  const a1 = a0 + sizeA;
  const b0 = rowB * sizeB;
  const b1 = b0 + sizeB;
  const b2 = b1 + sizeB;
  const b3 = b2 + sizeB;
  let [s0, s1, s2, s3] = [0, 0, 0, 0];
  let [t0, t1, t2, t3] = [0, 0, 0, 0];
  for (let k = 0; k < count; k += 1) {
    const first = a[a0 + k] ?? 0;
    const second = a[a1 + k] ?? 0;
    const v0 = b[b0 + k] ?? 0;
    const v1 = b[b1 + k] ?? 0;
    const v2 = b[b2 + k] ?? 0;
    const v3 = b[b3 + k] ?? 0;
    s0 += first * v0;
    s1 += first * v1;
    s2 += first * v2;
    s3 += first * v3;
    t0 += second * v0;
    t1 += second * v1;
    t2 += second * v2;
    t3 += second * v3;
  }
  sums[0] = s0;
  sums[1] = s1;
  sums[2] = s2;
  sums[3] = s3;
  sums[4] = t0;
  sums[5] = t1;
  sums[6] = t2;
  sums[7] = t3;
}

/**
 * Takes R·Rᵀ from the lower half of a square matrix.
 * @param rows `size` rows of `length` each, one after the other.
 */
export function subtractProducts(
  matrix: Float64Array,
  size: number,
  rows: Float64Array,
  length: number,
): void {
  const sums = new Float64Array(OWN * OTHERS);
  for (let row = 0; row < size; row += OWN) {
    const last = Math.min(row + OWN, size) - 1;
    let column = 0;
    for (; last > row && column + OTHERS <= last; column += OTHERS) {
      eightDots(rows, length, row, rows, length, column, length, sums);
      for (let k = 0; k < sums.length; k += 1) {
        const at = (row + (k >> 2)) * size + column + (k & 3);
        matrix[at] = (matrix[at] ?? 0) - (sums[k] ?? 0);
      }
    }
    for (let r = row; r <= last; r += 1) {
      for (let c = column; c <= r; c += 1) {
        const at = r * size + c;
        matrix[at] = (matrix[at] ?? 0) - dotOf(rows, r * length, rows, c * length, length);
      }
    }
  }
}

/** Lower Cholesky factor in place; only the lower half is read and written. A pivot of nothing is kept above nothing. */
export function factorDense(matrix: Float64Array, size: number): void {
  const sums = new Float64Array(OWN * OTHERS);
  for (let row = 0; row < size; row += OWN) {
    const own = Math.min(OWN, size - row);
    let column = 0;
    for (; own === OWN && column + OTHERS <= row; column += OTHERS) {
      eightDots(matrix, size, row, matrix, size, column, column, sums);
      for (let k = 0; k < sums.length; k += 1)
        finish(matrix, size, row + (k >> 2), column + (k & 3), column, sums[k] ?? 0);
    }
    for (let r = row; r < row + own; r += 1)
      for (let c = column; c <= r; c += 1) finish(matrix, size, r, c, 0, 0);
  }
}

/** One entry of the factor, the products of the columns before `from` being summed already. */
function finish(
  matrix: Float64Array,
  size: number,
  row: number,
  column: number,
  from: number,
  summed: number,
): void {
  const [own, other] = [row * size, column * size];
  const sum =
    (matrix[own + column] ?? 0) - summed - dotOf(matrix, own + from, matrix, other + from, column - from);
  matrix[own + column] =
    row === column ? Math.sqrt(Math.max(sum, Number.MIN_VALUE)) : sum / (matrix[other + column] ?? 1);
}

/** Solves L·x = b for one right-hand side in place, at `from`. */
export function forward(lower: Float64Array, size: number, x: Float64Array, from = 0): void {
  for (let row = 0; row < size; row += 1) forwardRow(lower, size, row, x, from);
}

/** One more row of it. */
function forwardRow(lower: Float64Array, size: number, row: number, x: Float64Array, from: number): void {
  const sum = (x[from + row] ?? 0) - dotOf(lower, row * size, x, from, row);
  x[from + row] = sum / (lower[row * size + row] ?? 1);
}

/** Solves L·x = b for `count` right-hand sides that lie one after the other, in place. */
export function forwardMany(lower: Float64Array, size: number, x: Float64Array, count: number): void {
  const sums = new Float64Array(OWN * OTHERS);
  let c = 0;
  for (; c + OTHERS <= count; c += OTHERS) {
    let row = 0;
    for (; row + OWN <= size; row += OWN) {
      eightDots(lower, size, row, x, size, c, row, sums);
      const by = 1 / (lower[row * size + row] ?? 1);
      const link = lower[(row + 1) * size + row] ?? 0;
      const bySecond = 1 / (lower[(row + 1) * size + row + 1] ?? 1);
      for (let k = 0; k < OTHERS; k += 1) {
        const at = (c + k) * size + row;
        const value = ((x[at] ?? 0) - (sums[k] ?? 0)) * by;
        x[at] = value;
        x[at + 1] = ((x[at + 1] ?? 0) - (sums[OTHERS + k] ?? 0) - link * value) * bySecond;
      }
    }
    if (row < size) for (let k = 0; k < OTHERS; k += 1) forwardRow(lower, size, row, x, (c + k) * size);
  }
  for (; c < count; c += 1) forward(lower, size, x, c * size);
}

/** A square matrix times `count` vectors that lie one after the other; `out` takes what comes of it. */
export function timesMany(
  matrix: Float64Array,
  size: number,
  x: Float64Array,
  count: number,
  out: Float64Array,
): void {
  const sums = new Float64Array(OWN * OTHERS);
  const single = (c: number, row: number) => {
    out[c * size + row] = dotOf(matrix, row * size, x, c * size, size);
  };
  let c = 0;
  for (; c + OTHERS <= count; c += OTHERS) {
    let row = 0;
    for (; row + OWN <= size; row += OWN) {
      eightDots(matrix, size, row, x, size, c, size, sums);
      for (let k = 0; k < sums.length; k += 1) out[(c + (k & 3)) * size + row + (k >> 2)] = sums[k] ?? 0;
    }
    if (row < size) for (let k = 0; k < OTHERS; k += 1) single(c + k, row);
  }
  for (; c < count; c += 1) for (let row = 0; row < size; row += 1) single(c, row);
}

/** Solves Lᵀ·x = b in place. */
export function backward(lower: Float64Array, size: number, x: Float64Array): void {
  for (let row = size - 1; row >= 0; row -= 1) {
    const value = (x[row] ?? 0) / (lower[row * size + row] ?? 1);
    x[row] = value;
    for (let k = 0; k < row; k += 1) x[k] = (x[k] ?? 0) - (lower[row * size + k] ?? 0) * value;
  }
}

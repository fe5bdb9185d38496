/**
 * Dense matrices row by row in typed arrays, for small systems that are factored many times. Sums run four at once: one
 * number fetched then serves four of them, and none waits for the one before.
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
  for (let a = 0; a < size; a += 1) {
    const own = a * length;
    const to = a * size;
    let b = 0;
    for (; b + 3 <= a; b += 4) {
      const [r0, r1, r2, r3] = [b * length, (b + 1) * length, (b + 2) * length, (b + 3) * length];
      let [s0, s1, s2, s3] = [0, 0, 0, 0];
      for (let k = 0; k < length; k += 1) {
        const value = rows[own + k] ?? 0;
        s0 += value * (rows[r0 + k] ?? 0);
        s1 += value * (rows[r1 + k] ?? 0);
        s2 += value * (rows[r2 + k] ?? 0);
        s3 += value * (rows[r3 + k] ?? 0);
      }
      matrix[to + b] = (matrix[to + b] ?? 0) - s0;
      matrix[to + b + 1] = (matrix[to + b + 1] ?? 0) - s1;
      matrix[to + b + 2] = (matrix[to + b + 2] ?? 0) - s2;
      matrix[to + b + 3] = (matrix[to + b + 3] ?? 0) - s3;
    }
    for (; b <= a; b += 1)
      matrix[to + b] = (matrix[to + b] ?? 0) - dotOf(rows, own, rows, b * length, length);
  }
}

/** Lower Cholesky factor in place; only the lower half is read and written. A pivot of nothing is kept above nothing. */
export function factorDense(matrix: Float64Array, size: number): void {
  for (let row = 0; row < size; row += 1) {
    for (let column = 0; column <= row; column += 1) {
      const sum =
        (matrix[row * size + column] ?? 0) - dotOf(matrix, row * size, matrix, column * size, column);
      matrix[row * size + column] =
        row === column
          ? Math.sqrt(Math.max(sum, Number.MIN_VALUE))
          : sum / (matrix[column * size + column] ?? 1);
    }
  }
}

/** Solves L·x = b for one right-hand side in place, at `from`. */
export function forward(lower: Float64Array, size: number, x: Float64Array, from = 0): void {
  for (let row = 0; row < size; row += 1) {
    const sum = (x[from + row] ?? 0) - dotOf(lower, row * size, x, from, row);
    x[from + row] = sum / (lower[row * size + row] ?? 1);
  }
}

/** Solves L·x = b for `count` right-hand sides that lie one after the other, in place. */
export function forwardMany(lower: Float64Array, size: number, x: Float64Array, count: number): void {
  let c = 0;
  for (; c + 3 < count; c += 4) forwardFour(lower, size, x, c * size);
  for (; c < count; c += 1) forward(lower, size, x, c * size);
}

function forwardFour(lower: Float64Array, size: number, x: Float64Array, from: number): void {
  const [x0, x1, x2, x3] = [from, from + size, from + 2 * size, from + 3 * size];
  for (let row = 0; row < size; row += 1) {
    const own = row * size;
    let [s0, s1, s2, s3] = [x[x0 + row] ?? 0, x[x1 + row] ?? 0, x[x2 + row] ?? 0, x[x3 + row] ?? 0];
    for (let k = 0; k < row; k += 1) {
      const value = lower[own + k] ?? 0;
      s0 -= value * (x[x0 + k] ?? 0);
      s1 -= value * (x[x1 + k] ?? 0);
      s2 -= value * (x[x2 + k] ?? 0);
      s3 -= value * (x[x3 + k] ?? 0);
    }
    const by = 1 / (lower[own + row] ?? 1);
    x[x0 + row] = s0 * by;
    x[x1 + row] = s1 * by;
    x[x2 + row] = s2 * by;
    x[x3 + row] = s3 * by;
  }
}

/** Solves Lᵀ·x = b in place. */
export function backward(lower: Float64Array, size: number, x: Float64Array): void {
  for (let row = size - 1; row >= 0; row -= 1) {
    const value = (x[row] ?? 0) / (lower[row * size + row] ?? 1);
    x[row] = value;
    for (let k = 0; k < row; k += 1) x[k] = (x[k] ?? 0) - (lower[row * size + k] ?? 0) * value;
  }
}

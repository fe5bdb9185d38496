/**
 * Dense matrices row by row in typed arrays, one vector at a time; what takes many at once is in the kernel.
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

/** Solves L·x = b for one right-hand side in place. */
export function forward(lower: Float64Array, size: number, x: Float64Array): void {
  for (let row = 0; row < size; row += 1) {
    const sum = (x[row] ?? 0) - dotOf(lower, row * size, x, 0, row);
    x[row] = sum / (lower[row * size + row] ?? 1);
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

/** A symmetric matrix of which only a band under the diagonal is kept: entry (r, c) at r·(half + 1) + (r − c). */
export interface Band {
  readonly size: number;
  /** Furthest column from the diagonal that holds anything. */
  readonly half: number;
  readonly values: Float64Array;
}

/** An empty band. */
export function bandOf(size: number, half: number): Band {
  return { size, half, values: new Float64Array(size * (half + 1)) };
}

/** Adds to one entry at or below the diagonal. */
export function addTo({ half, values }: Band, row: number, column: number, value: number): void {
  const at = row * (half + 1) + (row - column);
  values[at] = (values[at] ?? 0) + value;
}

/**
 * Cholesky factor in place; the band then holds L.
 * @returns false where the matrix is not positive definite.
 */
export function factor({ size, half, values }: Band): boolean {
  const width = half + 1;
  for (let row = 0; row < size; row += 1) {
    const own = row * width + row;
    for (let column = Math.max(0, row - half); column <= row; column += 1) {
      const other = column * width + column;
      let sum = values[own - column] ?? 0;
      for (let k = Math.max(0, row - half); k < column; k += 1) {
        sum -= (values[own - k] ?? 0) * (values[other - k] ?? 0);
      }
      if (column < row) values[own - column] = sum / (values[other - column] ?? 1);
      else if (sum > 0) values[own - column] = Math.sqrt(sum);
      else return false;
    }
  }
  return true;
}

/** Right-hand sides that are solved side by side. */
export const SIDE_BY_SIDE = 4;

/**
 * Solves with a factored band for four right-hand sides at once, row by row in x; the answers replace them. Four, because
 * each entry of the band is then fetched once for all of them.
 * @param from first row that holds anything; rows before it are passed over, on the way back too: nothing is worked out there.
 */
export function solveFactored({ size, half, values }: Band, x: Float64Array, from = 0): void {
  const width = half + 1;
  for (let row = from; row < size; row += 1) {
    const own = row * width + row;
    const at = 4 * row;
    let [a, b, c, d] = [x[at] ?? 0, x[at + 1] ?? 0, x[at + 2] ?? 0, x[at + 3] ?? 0];
    for (let k = Math.max(from, row - half); k < row; k += 1) {
      const value = values[own - k] ?? 0;
      const other = 4 * k;
      a -= value * (x[other] ?? 0);
      b -= value * (x[other + 1] ?? 0);
      c -= value * (x[other + 2] ?? 0);
      d -= value * (x[other + 3] ?? 0);
    }
    const by = 1 / (values[own - row] ?? 1);
    x[at] = a * by;
    x[at + 1] = b * by;
    x[at + 2] = c * by;
    x[at + 3] = d * by;
  }
  for (let row = size - 1; row >= from; row -= 1) {
    const own = row * width + row;
    const at = 4 * row;
    const by = 1 / (values[own - row] ?? 1);
    const [a, b, c, d] = [
      (x[at] ?? 0) * by,
      (x[at + 1] ?? 0) * by,
      (x[at + 2] ?? 0) * by,
      (x[at + 3] ?? 0) * by,
    ];
    x[at] = a;
    x[at + 1] = b;
    x[at + 2] = c;
    x[at + 3] = d;
    for (let k = Math.max(from, row - half); k < row; k += 1) {
      const value = values[own - k] ?? 0;
      const other = 4 * k;
      x[other] = (x[other] ?? 0) - value * a;
      x[other + 1] = (x[other + 1] ?? 0) - value * b;
      x[other + 2] = (x[other + 2] ?? 0) - value * c;
      x[other + 3] = (x[other + 3] ?? 0) - value * d;
    }
  }
}

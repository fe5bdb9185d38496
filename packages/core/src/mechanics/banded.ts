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

/** Solves with a factored band in place. */
export function solveFactored({ size, half, values }: Band, x: Float64Array): void {
  const width = half + 1;
  for (let row = 0; row < size; row += 1) {
    const own = row * width + row;
    let sum = x[row] ?? 0;
    for (let k = Math.max(0, row - half); k < row; k += 1) sum -= (values[own - k] ?? 0) * (x[k] ?? 0);
    x[row] = sum / (values[own - row] ?? 1);
  }
  for (let row = size - 1; row >= 0; row -= 1) {
    const own = row * width + row;
    const value = (x[row] ?? 0) / (values[own - row] ?? 1);
    x[row] = value;
    for (let k = Math.max(0, row - half); k < row; k += 1)
      x[k] = (x[k] ?? 0) - (values[own - k] ?? 0) * value;
  }
}

/**
 * Dense matrices row by row, all of it sums of products of stretches of numbers: eight such sums run at once, two numbers
 * at a time. Arrays are given by where they begin in memory, in bytes; sizes and counts are of numbers.
 */

/** Bytes of a number. */
export const F64: usize = 8;

/** Sums of two rows with four others, the first with all four, then the second. */
const SUMS: usize = memory.data(64, 16);

/** Where number `k` of an array lies. */
export function at(array: usize, k: i32): usize {
  return array + ((<usize>k) << 3);
}

/** Sum of products of two stretches. */
export function dot(a: usize, b: usize, count: i32): f64 {
  let sums = f64x2.splat(0);
  let k: i32 = 0;
  for (; k + 1 < count; k += 2) {
    sums = f64x2.add(sums, f64x2.mul(v128.load(at(a, k)), v128.load(at(b, k))));
  }
  let sum = f64x2.extract_lane(sums, 0) + f64x2.extract_lane(sums, 1);
  if (k < count) sum += load<f64>(at(a, k)) * load<f64>(at(b, k));
  return sum;
}

function keep(i: i32, sums: v128, rest: f64): void {
  store<f64>(at(SUMS, i), f64x2.extract_lane(sums, 0) + f64x2.extract_lane(sums, 1) + rest);
}

/** Sums of two rows of A, `a` and the next, with four of B, `b` and the next three, into SUMS. */
function eightDots(a: usize, sizeA: i32, b: usize, sizeB: i32, count: i32): void {
  const a1 = at(a, sizeA);
  const b1 = at(b, sizeB);
  const b2 = at(b1, sizeB);
  const b3 = at(b2, sizeB);
  let s0 = f64x2.splat(0);
  let s1 = s0;
  let s2 = s0;
  let s3 = s0;
  let t0 = s0;
  let t1 = s0;
  let t2 = s0;
  let t3 = s0;
  let k: i32 = 0;
  for (; k + 1 < count; k += 2) {
    const s = v128.load(at(a, k));
    const t = v128.load(at(a1, k));
    const v0 = v128.load(at(b, k));
    const v1 = v128.load(at(b1, k));
    const v2 = v128.load(at(b2, k));
    const v3 = v128.load(at(b3, k));
    s0 = f64x2.add(s0, f64x2.mul(s, v0));
    s1 = f64x2.add(s1, f64x2.mul(s, v1));
    s2 = f64x2.add(s2, f64x2.mul(s, v2));
    s3 = f64x2.add(s3, f64x2.mul(s, v3));
    t0 = f64x2.add(t0, f64x2.mul(t, v0));
    t1 = f64x2.add(t1, f64x2.mul(t, v1));
    t2 = f64x2.add(t2, f64x2.mul(t, v2));
    t3 = f64x2.add(t3, f64x2.mul(t, v3));
  }
  let s: f64 = 0;
  let t: f64 = 0;
  let v0: f64 = 0;
  let v1: f64 = 0;
  let v2: f64 = 0;
  let v3: f64 = 0;
  if (k < count) {
    s = load<f64>(at(a, k));
    t = load<f64>(at(a1, k));
    v0 = load<f64>(at(b, k));
    v1 = load<f64>(at(b1, k));
    v2 = load<f64>(at(b2, k));
    v3 = load<f64>(at(b3, k));
  }
  keep(0, s0, s * v0);
  keep(1, s1, s * v1);
  keep(2, s2, s * v2);
  keep(3, s3, s * v3);
  keep(4, t0, t * v0);
  keep(5, t1, t * v1);
  keep(6, t2, t * v2);
  keep(7, t3, t * v3);
}

/** A square matrix times `count` vectors that lie one after the other; `out` takes what comes of it. */
export function timesMany(matrix: usize, size: i32, x: usize, count: i32, out: usize): void {
  let c: i32 = 0;
  for (; c + 1 < count; c += 2) {
    const first = at(x, c * size);
    const to = at(out, c * size);
    let row: i32 = 0;
    for (; row + 3 < size; row += 4) {
      eightDots(first, size, at(matrix, row * size), size, size);
      memory.copy(at(to, row), SUMS, 4 * F64);
      memory.copy(at(to, size + row), at(SUMS, 4), 4 * F64);
    }
    for (; row < size; row += 1) {
      store<f64>(at(to, row), dot(at(matrix, row * size), first, size));
      store<f64>(at(to, size + row), dot(at(matrix, row * size), at(first, size), size));
    }
  }
  if (c < count) {
    for (let row: i32 = 0; row < size; row += 1)
      store<f64>(at(out, c * size + row), dot(at(matrix, row * size), at(x, c * size), size));
  }
}

function add(to: usize, value: f64): void {
  store<f64>(to, load<f64>(to) + value);
}

/** Adds `times` A·Bᵀ, where that is alike both ways round, to the lower half of a square matrix. */
export function addProducts(matrix: usize, size: i32, a: usize, b: usize, length: i32, times: f64): void {
  for (let row: i32 = 0; row < size; row += 2) {
    const last = min(row + 2, size) - 1;
    let column: i32 = 0;
    for (; last > row && column + 4 <= last; column += 4) {
      eightDots(at(a, row * length), length, at(b, column * length), length, length);
      for (let k: i32 = 0; k < 8; k += 1)
        add(at(matrix, (row + (k >> 2)) * size + column + (k & 3)), times * load<f64>(at(SUMS, k)));
    }
    for (let r = row; r <= last; r += 1)
      for (let c = column; c <= r; c += 1)
        add(at(matrix, r * size + c), times * dot(at(a, r * length), at(b, c * length), length));
  }
}

/** Lower Cholesky factor in place; only the lower half is read and written. A pivot of nothing is kept above nothing. */
export function factor(matrix: usize, size: i32): void {
  for (let row: i32 = 0; row < size; row += 2) {
    const last = min(row + 2, size) - 1;
    let column: i32 = 0;
    for (; last > row && column + 4 <= row; column += 4) {
      eightDots(at(matrix, row * size), size, at(matrix, column * size), size, column);
      for (let k: i32 = 0; k < 8; k += 1) {
        const c = column + (k & 3);
        finish(matrix, size, row + (k >> 2), c, column, load<f64>(at(SUMS, k)));
      }
    }
    for (let r = row; r <= last; r += 1)
      for (let c = column; c <= r; c += 1) finish(matrix, size, r, c, 0, 0);
  }
}

/** One entry of the factor, the products of the columns before `from` being summed already. */
function finish(matrix: usize, size: i32, row: i32, column: i32, from: i32, summed: f64): void {
  const own = at(matrix, row * size);
  const other = at(matrix, column * size);
  const sum = load<f64>(at(own, column)) - summed - dot(at(own, from), at(other, from), column - from);
  store<f64>(
    at(own, column),
    row == column ? sqrt(max(sum, f64.MIN_NORMAL_VALUE)) : sum / load<f64>(at(other, column)),
  );
}

/** Solves L·x = b for `count` right-hand sides that lie one after the other, in place. */
export function forwardMany(lower: usize, size: i32, x: usize, count: i32): void {
  let c: i32 = 0;
  for (; c + 3 < count; c += 4) {
    const first = at(x, c * size);
    let row: i32 = 0;
    for (; row + 1 < size; row += 2) {
      const own = at(lower, row * size);
      eightDots(own, size, first, size, row);
      const by = 1 / load<f64>(at(own, row));
      const link = load<f64>(at(own, size + row));
      const bySecond = 1 / load<f64>(at(own, size + row + 1));
      for (let k: i32 = 0; k < 4; k += 1) {
        const to = at(first, k * size + row);
        const value = (load<f64>(to) - load<f64>(at(SUMS, k))) * by;
        store<f64>(to, value);
        store<f64>(to + F64, (load<f64>(to + F64) - load<f64>(at(SUMS, 4 + k)) - link * value) * bySecond);
      }
    }
    if (row < size) for (let k: i32 = 0; k < 4; k += 1) forwardRow(lower, size, row, at(first, k * size));
  }
  for (; c < count; c += 1)
    for (let row: i32 = 0; row < size; row += 1) forwardRow(lower, size, row, at(x, c * size));
}

function forwardRow(lower: usize, size: i32, row: i32, x: usize): void {
  const own = at(lower, row * size);
  store<f64>(at(x, row), (load<f64>(at(x, row)) - dot(own, x, row)) / load<f64>(at(own, row)));
}

/** Copies the lower half of a square matrix to the upper one. */
export function mirror(matrix: usize, size: i32): void {
  for (let r: i32 = 1; r < size; r += 1)
    for (let c: i32 = 0; c < r; c += 1)
      store<f64>(at(matrix, c * size + r), load<f64>(at(matrix, r * size + c)));
}

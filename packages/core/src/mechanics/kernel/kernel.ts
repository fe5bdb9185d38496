import { COMPILED } from './compiled';

/** What `packages/core/assembly` exports; all arrays by where they begin, in bytes. */
interface Exports {
  readonly memory: { readonly buffer: ArrayBuffer; readonly grow: (pages: number) => number };
  readonly factor: (matrix: number, size: number) => void;
  readonly forwardMany: (lower: number, size: number, x: number, count: number) => void;
  readonly addProducts: (
    matrix: number,
    size: number,
    a: number,
    b: number,
    length: number,
    times: number,
  ) => void;
  readonly giveAtEdge: (
    columns: number,
    size: number,
    reach: number,
    own: number,
    next: number,
    work: number,
    all: number,
  ) => void;
}

/** As much of the standard as is used here: the core knows neither browser nor Node. */
declare const WebAssembly: {
  readonly Module: new (bytes: Uint8Array) => object;
  readonly Instance: new (module: object) => { readonly exports: unknown };
};

const PAGE = 65_536;
/** Memory below this is the module's own. */
const OWN = PAGE;
/** Arrays begin at whole pairs of numbers. */
const ALIGNED = 16;

let loaded: Exports | null = null;

/** One instance for each thread, made when it is first asked for. */
function kernel(): Exports {
  loaded ??= new WebAssembly.Instance(
    new WebAssembly.Module(Uint8Array.from(atob(COMPILED), (letter) => letter.charCodeAt(0))),
  ).exports as Exports;
  return loaded;
}

/** Room for arrays of such lengths, one after the other: where each begins, and a look at all of the memory. */
function roomFor(...lengths: readonly number[]): { readonly at: readonly number[]; numbers: Float64Array } {
  const { memory } = kernel();
  let end = OWN;
  const at = lengths.map((length) => {
    const from = end;
    end += Math.ceil((length * Float64Array.BYTES_PER_ELEMENT) / ALIGNED) * ALIGNED;
    return from;
  });
  const missing = end - memory.buffer.byteLength;
  if (missing > 0) memory.grow(Math.ceil(missing / PAGE));
  return { at, numbers: new Float64Array(memory.buffer) };
}

/** Where a number in memory stands among the numbers. */
const indexOf = (byte: number): number => byte / Float64Array.BYTES_PER_ELEMENT;

/** Copies arrays in, runs on them where they then begin, and brings the first of them back. */
function within(
  arrays: readonly [Float64Array, ...Float64Array[]],
  run: (on: Exports, at: readonly number[]) => void,
): void {
  const { at, numbers } = roomFor(...arrays.map(({ length }) => length));
  arrays.forEach((array, i) => numbers.set(array, indexOf(at[i] ?? 0)));
  run(kernel(), at);
  const [first] = arrays;
  const from = indexOf(at[0] ?? 0);
  first.set(numbers.subarray(from, from + first.length));
}

/** Lower Cholesky factor in place; only the lower half is read and written. A pivot of nothing is kept above nothing. */
export function factorDense(matrix: Float64Array, size: number): void {
  within([matrix], (on, [own = 0]) => on.factor(own, size));
}

/** Solves L·x = b for `count` right-hand sides that lie one after the other, in place. */
export function forwardMany(lower: Float64Array, size: number, x: Float64Array, count: number): void {
  within([x, lower], (on, [sides = 0, factor = 0]) => on.forwardMany(factor, size, sides, count));
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
  within([matrix, rows], (on, [own = 0, row = 0]) => on.addProducts(own, size, row, row, length, -1));
}

/** A chain of columns of unknowns, each coupled to the next one only. */
export interface Columns {
  readonly columns: number;
  /** Unknowns of one column. */
  readonly unknowns: number;
  /** An unknown is coupled with those so many further on at most, on its own column and on the next. */
  readonly reach: number;
  /** Each column by itself, square, row by row, one column after the other. */
  readonly own: Float64Array;
  /** Column i with column i + 1: a row for each unknown of i. */
  readonly next: Float64Array;
}

/**
 * How the last unknown of each column moves for one newton on the last unknown of each, row by row.
 *
 * Source: block elimination of a symmetric block-tridiagonal matrix and the diagonal of its inverse; checked against Gauss
 * in the tests.
 */
export function giveAtEdge({ columns, unknowns, reach, own, next }: Columns): Float64Array {
  const work = (2 * columns + 3) * unknowns ** 2 + 2 * columns * unknowns;
  const {
    at: [o = 0, n = 0, w = 0, a = 0],
    numbers,
  } = roomFor(own.length, next.length, work, columns ** 2);
  numbers.set(own, indexOf(o));
  numbers.set(next, indexOf(n));
  kernel().giveAtEdge(columns, unknowns, reach, o, n, w, a);
  return numbers.slice(indexOf(a), indexOf(a) + columns ** 2);
}

import { type PlaneWood, rectangleStiffness } from './element';

/** A board or batten as a rectangle of elements. */
export interface Block {
  readonly wood: PlaneWood;
  readonly thicknessMm: number;
  readonly xsMm: Float64Array;
  readonly ysMm: Float64Array;
}

/** Stiffness of a block of wood by its columns of nodes, each of which is coupled to the next one only. */
export interface Columns {
  /** Unknowns of one column: along and across the grain for each node, from the lower edge up. */
  readonly unknowns: number;
  /** Each column by itself, square, row by row. */
  readonly own: readonly Float64Array[];
  /** Column i with column i + 1: a row for each unknown of i. */
  readonly next: readonly Float64Array[];
}

/** Widths of elements that differ by less than this are one, mm. */
const SAME_MM = 1e-6;

/** The columns of a block that is held at three points of its middle line. */
export function columnsOf(block: Block): Columns {
  const { xsMm, ysMm } = block;
  const rows = ysMm.length;
  const unknowns = 2 * rows;
  const own = Array.from(xsMm, () => new Float64Array(unknowns ** 2));
  const next = Array.from(xsMm.subarray(1), () => new Float64Array(unknowns ** 2));
  const elements = stacksOf(block);
  next.forEach((link, i) => {
    const stack = elements(i);
    for (let j = 0; j + 1 < rows; j += 1) {
      const element = stack[j];
      if (element === undefined) continue;
      add(own[i], unknowns, element, HERE, HERE, j);
      add(own[i + 1], unknowns, element, NEXT, NEXT, j);
      add(link, unknowns, element, HERE, NEXT, j);
    }
  });
  const columns = { unknowns, own, next };
  // Both ends of the middle line across the grain, and its beginning along it.
  const middle = rows - 1;
  hold(columns, 0, middle);
  hold(columns, 0, middle + 1);
  hold(columns, own.length - 1, middle + 1);
  return columns;
}

/** Corners of an element on its own column and on the next, the lower one first; they are counted anticlockwise. */
const [HERE, NEXT] = [
  [0, 3],
  [1, 2],
] as const;
const ELEMENT = 8;

/** The elements between column i and the next, from the lower edge up; equal ones are worked out once. */
function stacksOf({ wood, thicknessMm, xsMm, ysMm }: Block): (i: number) => readonly Float64Array[] {
  const known: { readonly widthMm: number; readonly stack: readonly Float64Array[] }[] = [];
  return (i) => {
    const widthMm = (xsMm[i + 1] ?? 0) - (xsMm[i] ?? 0);
    const found = known.find((each) => Math.abs(each.widthMm - widthMm) < SAME_MM);
    if (found !== undefined) return found.stack;
    const heights = Array.from(ysMm.subarray(1), (y, j) => y - (ysMm[j] ?? 0));
    const first = heights[0] ?? 0;
    const element = rectangleStiffness(wood, widthMm, first, thicknessMm);
    const stack = heights.map((height) =>
      Math.abs(height - first) < SAME_MM ? element : rectangleStiffness(wood, widthMm, height, thicknessMm),
    );
    known.push({ widthMm, stack });
    return stack;
  };
}

/** Adds what an element between nodes j and j + 1 couples: two of its corners, both ways each, with two on this column or the next. */
function add(
  block: Float64Array | undefined,
  unknowns: number,
  element: Float64Array,
  rows: readonly number[],
  columns: readonly number[],
  j: number,
): void {
  if (block === undefined) return;
  for (let p = 0; p < 4; p += 1) {
    const from = (2 * (rows[p >> 1] ?? 0) + (p & 1)) * ELEMENT;
    const to = (2 * j + p) * unknowns + 2 * j;
    for (let q = 0; q < 4; q += 1) {
      const value = element[from + 2 * (columns[q >> 1] ?? 0) + (q & 1)] ?? 0;
      block[to + q] = (block[to + q] ?? 0) + value;
    }
  }
}

/** Takes an unknown of a column out: it stays where it is whatever pushes. */
function hold({ unknowns, own, next }: Columns, column: number, unknown: number): void {
  const [block, after, before] = [own[column], next[column], next[column - 1]];
  for (let k = 0; k < unknowns; k += 1) {
    if (block !== undefined) {
      block[unknown * unknowns + k] = 0;
      block[k * unknowns + unknown] = 0;
    }
    if (after !== undefined) after[unknown * unknowns + k] = 0;
    if (before !== undefined) before[k * unknowns + unknown] = 0;
  }
  if (block !== undefined) block[unknown * unknowns + unknown] = 1;
}

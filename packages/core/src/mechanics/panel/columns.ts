import type { Columns } from '../kernel';
import { type PlaneWood, rectangleStiffness } from './element';

/** A board or batten as a rectangle of elements. */
export interface Block {
  readonly wood: PlaneWood;
  readonly thicknessMm: number;
  readonly xsMm: Float64Array;
  /** Evenly spaced, with a row of nodes at mid-width. */
  readonly ysMm: Float64Array;
}

/**
 * A block is alike both ways up, so whatever pushes on its edges is a push that both edges answer towards the middle line
 * or away from it, and one that both follow. Each moves the lower half as it moves the upper one, of which alone it is told.
 */
export interface Halves {
  /** Both edges move apart: the middle line stays straight and moves along the grain only. */
  readonly apart: Columns;
  /** Both edges move together: the middle line moves across the grain only. */
  readonly together: Columns;
}

/** A node is coupled with the next one up and down: of its two unknowns the further one is three away. */
const REACH = 3;
/** Directions of a node. */
const [ALONG, ACROSS] = [0, 1] as const;
/** Widths of elements that differ by less than this are one, mm. */
const SAME_MM = 1e-6;

/** Both ways in which a block moves, held at three points of its middle line. */
export function halvesOf(block: Block): Halves {
  const elements = elementsOf(block);
  const apart = columnsOf(block, elements, ALONG);
  hold(apart, 0);
  const together = columnsOf(block, elements, ACROSS);
  hold(together, 0);
  hold(together, together.columns - 1);
  return { apart, together };
}

/** Which of the elements lies between column i and the next. */
interface Elements {
  readonly each: readonly Float64Array[];
  readonly between: readonly number[];
}

/** Equal elements are worked out once. */
function elementsOf({ wood, thicknessMm, xsMm, ysMm }: Block): Elements {
  const heightMm = (ysMm[1] ?? 0) - (ysMm[0] ?? 0);
  const widthsMm: number[] = [];
  const between = Array.from(xsMm.subarray(1), (x, i) => {
    const widthMm = x - (xsMm[i] ?? 0);
    const known = widthsMm.findIndex((each) => Math.abs(each - widthMm) < SAME_MM);
    return known < 0 ? widthsMm.push(widthMm) - 1 : known;
  });
  return {
    between,
    each: widthsMm.map((widthMm) => rectangleStiffness(wood, widthMm, heightMm, thicknessMm)),
  };
}

/**
 * The unknowns of a column, from the middle line up: the one that the middle line has left, then along and across the grain
 * for each node above.
 * @param left the direction in which the middle line moves.
 */
function columnsOf({ xsMm, ysMm }: Block, { each, between }: Elements, left: number): Columns {
  const [columns, unknowns] = [xsMm.length, ysMm.length];
  const square = unknowns ** 2;
  const stacked = (rows: Corners, others: Corners) =>
    each.map((element) => stackOf(element, unknowns, rows, others, left));
  const [here, there, link] = [stacked(HERE, HERE), stacked(NEXT, NEXT), stacked(HERE, NEXT)];
  const own = new Float64Array(columns * square);
  const next = new Float64Array((columns - 1) * square);
  const nothing = new Float64Array(square);
  between.forEach((kind, i) => {
    own.set(here[kind] ?? nothing, i * square);
    next.set(link[kind] ?? nothing, i * square);
  });
  between.forEach((kind, i) => addAt(own, (i + 1) * square, there[kind] ?? nothing));
  return { columns, unknowns, reach: REACH, own, next };
}

function addAt(all: Float64Array, from: number, matrix: Float64Array): void {
  for (let k = 0; k < matrix.length; k += 1) all[from + k] = (all[from + k] ?? 0) + (matrix[k] ?? 0);
}

/** Two corners of an element on one column, the lower one first; corners are counted anticlockwise. */
type Corners = readonly [lower: number, upper: number];
/** Those on its own column and on the next. */
const [HERE, NEXT] = [
  [0, 3],
  [1, 2],
] as const satisfies Corners[];
const ELEMENT = 8;

/** What elements from the middle line up couple on one column, or between one and the next. */
function stackOf(
  element: Float64Array,
  unknowns: number,
  rows: Corners,
  columns: Corners,
  left: number,
): Float64Array {
  const stack = new Float64Array(unknowns ** 2);
  for (let j = 0; 2 * j + 1 < unknowns; j += 1) add(stack, unknowns, element, rows, columns, j, left);
  return stack;
}

/** Adds what an element between nodes j and j + 1 couples: two of its corners, both ways each, with two others. */
function add(
  stack: Float64Array,
  unknowns: number,
  element: Float64Array,
  rows: Corners,
  columns: Corners,
  j: number,
  left: number,
): void {
  for (let p = 0; p < 4; p += 1) {
    const row = unknownOf(j + (p >> 1), p & 1, left);
    if (row < 0) continue;
    const from = (2 * (rows[p >> 1] ?? 0) + (p & 1)) * ELEMENT;
    for (let q = 0; q < 4; q += 1) {
      const column = unknownOf(j + (q >> 1), q & 1, left);
      if (column < 0) continue;
      const value = element[from + 2 * (columns[q >> 1] ?? 0) + (q & 1)] ?? 0;
      stack[row * unknowns + column] = (stack[row * unknowns + column] ?? 0) + value;
    }
  }
}

/** Which unknown of its column a node has in a direction; less than nothing where the middle line does not move that way. */
function unknownOf(node: number, direction: number, left: number): number {
  if (node > 0) return 2 * node - 1 + direction;
  return direction === left ? 0 : -1;
}

/** Holds the middle line at a column: it stays where it is whatever pushes. */
function hold({ unknowns, own, next }: Columns, column: number): void {
  const square = unknowns ** 2;
  const block = column * square;
  for (let k = 0; k < unknowns; k += 1) {
    own[block + k] = 0;
    own[block + k * unknowns] = 0;
    if (block < next.length) next[block + k] = 0;
    if (column > 0) next[block - square + k * unknowns] = 0;
  }
  own[block] = 1;
}

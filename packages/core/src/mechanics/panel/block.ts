import { addTo, type Band, bandOf, factor, SIDE_BY_SIDE, solveFactored } from '../banded';
import { type PlaneWood, rectangleStiffness } from './element';

/** A board or batten as a rectangle of elements. */
export interface Block {
  readonly wood: PlaneWood;
  readonly thicknessMm: number;
  readonly xsMm: Float64Array;
  readonly ysMm: Float64Array;
}

/**
 * How the two long edges of a block give under forces on them, beside moving as a whole: entry (i, j) is how far node i
 * moves across the grain for one newton at node j, mm/N, the block held at three points of its middle line. What holds
 * it carries nothing once all forces on the block balance.
 */
export interface EdgeGive {
  /** Node i of the lower edge for a force on the lower edge; the upper edge gives alike. */
  readonly same: Float64Array;
  /** Node i of the upper edge for a force on the lower edge, and the other way round: blocks are alike both ways up. */
  readonly opposite: Float64Array;
}

/** Gives of both edges under forces on each node of the lower one: a solve for every node along the length. */
export function edgeGive(block: Block): EdgeGive {
  const n = block.xsMm.length;
  const band = stiffness(block);
  const same = new Float64Array(n * n);
  const opposite = new Float64Array(n * n);
  const top = block.ysMm.length - 1;
  for (let first = 0; first < n; first += SIDE_BY_SIDE) {
    const load = new Float64Array(band.size * SIDE_BY_SIDE);
    const count = Math.min(SIDE_BY_SIDE, n - first);
    for (let c = 0; c < count; c += 1) load[SIDE_BY_SIDE * unknown(block, first + c, 0) + c] = 1;
    solveFactored(band, load, unknown(block, first, 0) - 1);
    // What a force here does further on, a force further on does here (Maxwell), and blocks are alike both ways up: half
    // of each solve is enough.
    for (let i = first; i < n; i += 1) {
      for (let c = 0; c < count; c += 1) {
        const near = load[SIDE_BY_SIDE * unknown(block, i, 0) + c] ?? 0;
        const far = load[SIDE_BY_SIDE * unknown(block, i, top) + c] ?? 0;
        same[i * n + first + c] = near;
        same[(first + c) * n + i] = near;
        opposite[i * n + first + c] = far;
        opposite[(first + c) * n + i] = far;
      }
    }
  }
  return { same, opposite };
}

/** Number of the unknown across the grain at a node; nodes are counted column by column, which keeps the band narrow. */
function unknown({ ysMm }: Block, along: number, across: number): number {
  return 2 * (along * ysMm.length + across) + 1;
}

/** Both ends of the middle line across the grain, and its beginning along it. */
function heldUnknowns(block: Block): readonly number[] {
  const middle = (block.ysMm.length - 1) / 2;
  const first = unknown(block, 0, middle);
  return [first - 1, first, unknown(block, block.xsMm.length - 1, middle)];
}

function stiffness(block: Block): Band {
  const { wood, thicknessMm, xsMm, ysMm } = block;
  const rows = ysMm.length;
  const band = bandOf(2 * xsMm.length * rows, 2 * rows + 3);
  const elements = new Map<string, Float64Array>();
  for (let i = 0; i + 1 < xsMm.length; i += 1) {
    for (let j = 0; j + 1 < rows; j += 1) {
      const width = (xsMm[i + 1] ?? 0) - (xsMm[i] ?? 0);
      const height = (ysMm[j + 1] ?? 0) - (ysMm[j] ?? 0);
      const key = `${width} ${height}`;
      const element = elements.get(key) ?? rectangleStiffness(wood, width, height, thicknessMm);
      elements.set(key, element);
      const corners = [i * rows + j, (i + 1) * rows + j, (i + 1) * rows + j + 1, i * rows + j + 1];
      addElement(band, element, corners);
    }
  }
  for (const held of heldUnknowns(block)) hold(band, held);
  if (!factor(band)) throw new Error('a block of wood has no stiffness');
  return band;
}

/** Adds the stiffness of one element to the lower half of the band. */
function addElement(band: Band, element: Float64Array, corners: readonly number[]): void {
  const count = 2 * corners.length;
  for (let a = 0; a < count; a += 1) {
    const row = 2 * (corners[a >> 1] ?? 0) + (a & 1);
    for (let b = 0; b < count; b += 1) {
      const column = 2 * (corners[b >> 1] ?? 0) + (b & 1);
      if (column <= row) addTo(band, row, column, element[a * count + b] ?? 0);
    }
  }
}

/** Takes an unknown out: it stays where it is whatever pushes. */
function hold({ size, half, values }: Band, at: number): void {
  const width = half + 1;
  for (let column = Math.max(0, at - half); column <= at; column += 1) values[at * width + (at - column)] = 0;
  for (let row = at + 1; row <= Math.min(size - 1, at + half); row += 1) values[row * width + (row - at)] = 0;
  values[at * width] = 1;
}

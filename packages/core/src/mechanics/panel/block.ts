import { backward, factorDense, forward, forwardMany, subtractProducts, timesMany } from '../dense';
import { type Block, type Columns, columnsOf } from './columns';

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

/**
 * Gives of both edges under forces on each node of the lower one. A force moves its own column of nodes as what lies to
 * either side of it lets it; each column further on follows the one before. What a force here does further on, a force
 * further on does here (Maxwell), so that half of it is worked out.
 *
 * Source: block elimination of a symmetric block-tridiagonal matrix from both ends; checked against Gauss in the tests.
 */
export function edgeGive(block: Block): EdgeGive {
  const columns = columnsOf(block);
  const { unknowns, own } = columns;
  const n = own.length;
  // Unknowns across the grain of the lowest and the highest node of a column.
  const [near, far] = [1, unknowns - 1];
  const right = withWhatFollows(columns);
  const left = withWhatComesBefore(columns);
  const same = new Float64Array(n * n);
  const opposite = new Float64Array(n * n);
  // How column i has moved for a force on each column up to it, one after the other.
  let [moved, before] = [new Float64Array(n * unknowns), new Float64Array(n * unknowns)];
  for (let i = 0; i < n; i += 1) {
    [moved, before] = [before, moved];
    const follow = right.follow[i];
    if (follow !== undefined) timesMany(follow, unknowns, before, i, moved);
    moved.set(pushed([left[i], right.stiffness[i], own[i]], unknowns, near), i * unknowns);
    for (let j = 0; j <= i; j += 1) {
      const [nearBy, farBy] = [moved[j * unknowns + near] ?? 0, moved[j * unknowns + far] ?? 0];
      same[i * n + j] = nearBy;
      same[j * n + i] = nearBy;
      opposite[i * n + j] = farBy;
      opposite[j * n + i] = farBy;
    }
  }
  if (!((same[0] ?? 0) > 0)) throw new Error('a block of wood has no stiffness');
  return { same, opposite };
}

/** How a column moves for one newton on one of its unknowns: its stiffness with either side taken in, itself counted once. */
function pushed(
  [left, right, own]: readonly (Float64Array | undefined)[],
  unknowns: number,
  at: number,
): Float64Array {
  const both = new Float64Array(unknowns * unknowns);
  for (let k = 0; k < both.length; k += 1) both[k] = (left?.[k] ?? 0) + (right?.[k] ?? 0) - (own?.[k] ?? 0);
  factorDense(both, unknowns);
  const x = new Float64Array(unknowns);
  x[at] = 1;
  forward(both, unknowns, x);
  backward(both, unknowns, x);
  return x;
}

/** Columns with all that follows them taken in (lower halves), and how each moves after the one before it. */
function withWhatFollows({ unknowns, own, next }: Columns): {
  readonly stiffness: readonly Float64Array[];
  readonly follow: readonly (Float64Array | undefined)[];
} {
  const stiffness = own.map((column) => column.slice());
  const follow: (Float64Array | undefined)[] = own.map(() => undefined);
  for (let i = own.length - 1; i > 0; i -= 1) {
    const [rest, before, link] = [stiffness[i], stiffness[i - 1], next[i - 1]];
    if (rest === undefined || before === undefined || link === undefined) continue;
    const factor = rest.slice();
    factorDense(factor, unknowns);
    const linked = link.slice();
    forwardMany(factor, unknowns, linked, unknowns);
    subtractProducts(before, unknowns, linked, unknowns);
    const moves = new Float64Array(unknowns * unknowns);
    for (let r = 0; r < unknowns; r += 1) {
      const row = linked.subarray(r * unknowns, (r + 1) * unknowns);
      backward(factor, unknowns, row);
      for (let k = 0; k < unknowns; k += 1) moves[k * unknowns + r] = -(row[k] ?? 0);
    }
    follow[i] = moves;
  }
  return { stiffness, follow };
}

/** Columns with all that comes before them taken in (lower halves). */
function withWhatComesBefore({ unknowns, own, next }: Columns): readonly Float64Array[] {
  const stiffness = own.map((column) => column.slice());
  next.forEach((link, i) => {
    const [rest, after] = [stiffness[i], stiffness[i + 1]];
    if (rest === undefined || after === undefined) return;
    const factor = rest.slice();
    factorDense(factor, unknowns);
    const linked = transposed(link, unknowns);
    forwardMany(factor, unknowns, linked, unknowns);
    subtractProducts(after, unknowns, linked, unknowns);
  });
  return stiffness;
}

function transposed(matrix: Float64Array, size: number): Float64Array {
  const out = new Float64Array(matrix.length);
  for (let r = 0; r < size; r += 1)
    for (let c = 0; c < size; c += 1) out[c * size + r] = matrix[r * size + c] ?? 0;
  return out;
}

import { backward, factorDense, forwardMany, subtractProducts, timesMany } from '../dense';
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
 * Everything comes from one elimination: what rounding does to that is a slightly other wood, the same for all forces,
 * which does not matter; two eliminations that disagree by rounding would, where a board is long and slender.
 *
 * Source: block elimination of a symmetric block-tridiagonal matrix and the diagonal of its inverse; checked against Gauss
 * in the tests.
 */
export function edgeGive(block: Block): EdgeGive {
  const columns = columnsOf(block);
  const { unknowns, own } = columns;
  const n = own.length;
  // Unknowns across the grain of the lowest and the highest node of a column.
  const [near, far] = [1, unknowns - 1];
  const { alone, follow } = fromTheLast(columns);
  const same = new Float64Array(n * n);
  const opposite = new Float64Array(n * n);
  // How column i has moved for a force on each column up to it, one after the other.
  let [moved, before] = [new Float64Array(n * unknowns), new Float64Array(n * unknowns)];
  let give = new Float64Array(0);
  for (let i = 0; i < n; i += 1) {
    [moved, before] = [before, moved];
    const after = follow[i];
    if (after !== undefined) timesMany(after, unknowns, before, i, moved);
    give = giveOf(alone[i] ?? give, after, give, unknowns);
    moved.set(give.subarray(near * unknowns, (near + 1) * unknowns), i * unknowns);
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

/** How a column gives: by itself, with the one before it held, and by following that one. */
function giveOf(
  alone: Float64Array,
  follow: Float64Array | undefined,
  before: Float64Array,
  unknowns: number,
): Float64Array<ArrayBuffer> {
  const give = Float64Array.from(alone);
  if (follow === undefined) return give;
  const [half, whole] = [new Float64Array(give.length), new Float64Array(give.length)];
  timesMany(follow, unknowns, before, unknowns, half);
  timesMany(follow, unknowns, transposed(half, unknowns), unknowns, whole);
  for (let k = 0; k < give.length; k += 1) give[k] = (give[k] ?? 0) + (whole[k] ?? 0);
  return give;
}

/** Columns eliminated from the last one on: how each gives while the one before it is held, and how it follows that one. */
function fromTheLast({ unknowns, own, next }: Columns): {
  readonly alone: readonly Float64Array[];
  readonly follow: readonly (Float64Array | undefined)[];
} {
  const stiffness = own.map((column) => column.slice());
  const alone = own.map(() => new Float64Array(unknowns * unknowns));
  const follow: (Float64Array | undefined)[] = own.map(() => undefined);
  for (let i = own.length - 1; i >= 0; i -= 1) {
    const [factor, inverse, before, link] = [stiffness[i], alone[i], stiffness[i - 1], next[i - 1]];
    if (factor === undefined || inverse === undefined) continue;
    factorDense(factor, unknowns);
    for (let r = 0; r < unknowns; r += 1) inverse[r * unknowns + r] = 1;
    forwardMany(factor, unknowns, inverse, unknowns);
    backwardMany(factor, unknowns, inverse);
    if (before === undefined || link === undefined) continue;
    const linked = link.slice();
    forwardMany(factor, unknowns, linked, unknowns);
    subtractProducts(before, unknowns, linked, unknowns);
    backwardMany(factor, unknowns, linked);
    const moves = transposed(linked, unknowns);
    for (let k = 0; k < moves.length; k += 1) moves[k] = -(moves[k] ?? 0);
    follow[i] = moves;
  }
  return { alone, follow };
}

function backwardMany(factor: Float64Array, size: number, x: Float64Array): void {
  for (let r = 0; r < size; r += 1) backward(factor, size, x.subarray(r * size, (r + 1) * size));
}

function transposed(matrix: Float64Array, size: number): Float64Array {
  const out = new Float64Array(matrix.length);
  for (let r = 0; r < size; r += 1)
    for (let c = 0; c < size; c += 1) out[c * size + r] = matrix[r * size + c] ?? 0;
  return out;
}

import { backward, dotOf, forward } from '../dense';
import { factorDense, forwardMany, subtractProducts } from '../kernel';

/** Square blocks of a symmetric matrix that couples each line with the next one only, row by row. */
export interface Chain {
  /** Nodes of each line. */
  readonly nodes: number;
  /** Give of each line under its own forces. */
  readonly own: readonly Float64Array[];
  /** Give of line l under forces on line l + 1. */
  readonly next: readonly Float64Array[];
  /** First and last node at which the two boards of a line meet; left out where all meet from end to end. */
  readonly meets?: readonly NodeSpan[] | undefined;
}

/** From one node to another, both included. */
export type NodeSpan = readonly [first: number, last: number];

const within = (node: number, span: NodeSpan | undefined): boolean =>
  span === undefined || (node >= span[0] && node <= span[1]);

/** Forces that hold lines apart where they touch, and openings where they do not. */
export interface Contact {
  readonly forceN: readonly Float64Array[];
  readonly openMm: readonly Float64Array[];
  readonly iterations: number;
  readonly converged: boolean;
}

/** Rounds before giving up; ordinary panels take one to nine. */
const MOST_ROUNDS = 400;
/** Rounds in which all that is wrong is changed at once without getting fewer, before one at a time. */
const PATIENCE = 8;

/**
 * Unilateral contact along the lines: nowhere a pull, nowhere an overlap, and force only where it touches. The openings are
 * q + A·λ with λ the forces; A symmetric and positive.
 *
 * Active set, all that is wrong changed at once; where that no longer helps, the last wrong one alone, which ends for
 * certain (block principal pivoting with Murty's fallback).
 * @param q openings without any contact force.
 */
export function contactOf(chain: Chain, q: readonly Float64Array[]): Contact {
  const touching = q.map((line, l) => Array.from(line, (_, i) => within(i, chain.meets?.[l])));
  let [fewest, patience] = [Infinity, PATIENCE];
  let factored: FactoredChain | null = null;
  for (let iterations = 1; ; iterations += 1) {
    factored = factorChain(chain, nodesThatTouch(touching), factored);
    const forceN = solveChain(factored, q);
    const openMm = openings(chain, q, forceN, touching);
    const wrong = wrongNodes(touching, forceN, openMm, chain.meets);
    if (wrong.length === 0 || iterations === MOST_ROUNDS) {
      return {
        forceN,
        openMm: openMm.map((line, l) =>
          line.map((open, i) => (touching[l]?.[i] === true ? 0 : Math.max(0, open))),
        ),
        iterations,
        converged: wrong.length === 0,
      };
    }
    if (wrong.length < fewest) [fewest, patience] = [wrong.length, PATIENCE];
    else patience -= 1;
    for (const [l, i] of patience > 0 ? wrong : wrong.slice(-1)) {
      const line = touching[l];
      if (line !== undefined) line[i] = line[i] !== true;
    }
  }
}

/** Nodes that pull though they touch, or overlap though they do not. */
function wrongNodes(
  touching: readonly (readonly boolean[])[],
  forceN: readonly Float64Array[],
  openMm: readonly Float64Array[],
  meets: Chain['meets'],
): (readonly [line: number, node: number])[] {
  const largest = Math.max(1e-12, ...forceN.flatMap((line) => Array.from(line, Math.abs)));
  const wrong: (readonly [number, number])[] = [];
  touching.forEach((line, l) => {
    line.forEach((touches, i) => {
      if (!within(i, meets?.[l])) return;
      const pulls = touches && (forceN[l]?.[i] ?? 0) < -1e-9 * largest;
      const overlaps = !touches && (openMm[l]?.[i] ?? 0) < -1e-9;
      if (pulls || overlaps) wrong.push([l, i]);
    });
  });
  return wrong;
}

/** A chain whose touching nodes are factored, ready for any number of openings. */
interface FactoredChain {
  readonly nodes: number;
  /** Nodes of each line that touch. */
  readonly active: readonly (readonly number[])[];
  readonly factors: readonly Float64Array[];
  /** Coupling to the next line, already divided by the factor: (factor⁻¹·next), column by column of the next line. */
  readonly coupled: readonly Float64Array[];
}

/**
 * Forces under which lines that touch from end to end stay shut, whatever opens them: what is got for one pull alone may be
 * added to what is got for another. Only good as long as no sum is negative, that is as long as nothing really opens.
 */
export function shutLines(chain: Chain): (q: readonly Float64Array[]) => Float64Array[] {
  const factored = factorChain(
    chain,
    chain.own.map((_, l) =>
      Array.from({ length: chain.nodes }, (_node, i) => i).filter((i) => within(i, chain.meets?.[l])),
    ),
  );
  return (q) => solveChain(factored, q);
}

const nodesThatTouch = (touching: readonly (readonly boolean[])[]): number[][] =>
  touching.map((line) => line.flatMap((touches, i) => (touches ? [i] : [])));

/** A Cholesky factor line by line; lines up to the first that touches otherwise than before are kept. */
function factorChain(
  { nodes, own, next }: Chain,
  active: readonly (readonly number[])[],
  before: FactoredChain | null = null,
): FactoredChain {
  const same = active.findIndex((rows, l) => !alike(rows, before?.active[l]));
  const kept = before === null ? 0 : same === -1 ? active.length : same;
  const factors = before?.factors.slice(0, kept) ?? [];
  // What couples the last kept line to the first new one depends on both.
  const coupled = before?.coupled.slice(0, Math.max(0, kept - 1)) ?? [];
  active.forEach((rows, l) => {
    if (l < kept - 1) return;
    const m = rows.length;
    const diagonal = factors[l] ?? factorOfLine(own[l], rows, nodes, coupled[l - 1]);
    factors[l] = diagonal;
    const columns = active[l + 1];
    if (columns === undefined) return;
    const across = picked(next[l], rows, columns, nodes, 'columns');
    forwardMany(diagonal, m, across, columns.length);
    coupled[l] = across;
  });
  return { nodes, active, factors, coupled };
}

/** Factor of one line once the line before it has been taken out. */
function factorOfLine(
  own: Float64Array | undefined,
  rows: readonly number[],
  nodes: number,
  before: Float64Array | undefined,
): Float64Array {
  const m = rows.length;
  const diagonal = picked(own, rows, rows, nodes, 'rows');
  if (before !== undefined && m > 0) subtractProducts(diagonal, m, before, before.length / m);
  factorDense(diagonal, m);
  return diagonal;
}

const alike = (a: readonly number[], b: readonly number[] | undefined): boolean =>
  b !== undefined && a.length === b.length && a.every((value, i) => value === b[i]);

function solveChain(
  { nodes, active, factors, coupled }: FactoredChain,
  q: readonly Float64Array[],
): Float64Array[] {
  const right: Float64Array[] = [];
  active.forEach((rows, l) => {
    const m = rows.length;
    const load = Float64Array.from(rows, (i) => -(q[l]?.[i] ?? 0));
    const before = coupled[l - 1];
    const beforeRight = right[l - 1];
    if (before !== undefined && beforeRight !== undefined) {
      const k = beforeRight.length;
      for (let a = 0; a < m; a += 1) load[a] = (load[a] ?? 0) - dotOf(before, a * k, beforeRight, 0, k);
    }
    forward(factors[l] ?? new Float64Array(0), m, load);
    right.push(load);
  });
  const forceN = active.map(() => new Float64Array(nodes));
  let later: Float64Array | null = null;
  for (let l = active.length - 1; l >= 0; l -= 1) {
    const rows = active[l] ?? [];
    const m = rows.length;
    const x = right[l] ?? new Float64Array(0);
    const across = coupled[l];
    if (later !== null && across !== undefined) {
      for (let c = 0; c < later.length; c += 1) {
        const value = later[c] ?? 0;
        for (let r = 0; r < m; r += 1) x[r] = (x[r] ?? 0) - (across[c * m + r] ?? 0) * value;
      }
    }
    backward(factors[l] ?? new Float64Array(0), m, x);
    rows.forEach((i, r) => {
      const line = forceN[l];
      if (line !== undefined) line[i] = x[r] ?? 0;
    });
    later = x;
  }
  return forceN;
}

/** How far nodes that do not touch are open; nothing is worked out for those that do. */
function openings(
  { nodes, own, next }: Chain,
  q: readonly Float64Array[],
  forceN: readonly Float64Array[],
  touching: readonly (readonly boolean[])[],
): Float64Array[] {
  return q.map((line, l) => {
    const open = line.slice();
    for (let i = 0; i < nodes; i += 1) {
      if (touching[l]?.[i] === true) continue;
      let sum = productOf(own[l], i * nodes, forceN[l]) + productOf(next[l], i * nodes, forceN[l + 1]);
      const before = next[l - 1];
      const earlier = forceN[l - 1];
      if (before !== undefined && earlier !== undefined) {
        for (let k = 0; k < nodes; k += 1) sum += (before[k * nodes + i] ?? 0) * (earlier[k] ?? 0);
      }
      open[i] = (open[i] ?? 0) + sum;
    }
    return open;
  });
}

/** Some rows and columns of a matrix, row after row or column after column. */
function picked(
  matrix: Float64Array | undefined,
  rows: readonly number[],
  columns: readonly number[],
  nodes: number,
  by: 'rows' | 'columns',
): Float64Array {
  const out = new Float64Array(rows.length * columns.length);
  const [nextRow, nextColumn] = by === 'rows' ? [columns.length, 1] : [1, rows.length];
  for (let r = 0; r < rows.length; r += 1) {
    const from = (rows[r] ?? 0) * nodes;
    const to = r * nextRow;
    for (let c = 0; c < columns.length; c += 1)
      out[to + c * nextColumn] = matrix?.[from + (columns[c] ?? 0)] ?? 0;
  }
  return out;
}

/** A row of a matrix times a vector; nothing where either is not there. */
function productOf(matrix: Float64Array | undefined, from: number, by: Float64Array | undefined): number {
  return matrix === undefined || by === undefined ? 0 : dotOf(matrix, from, by, 0, by.length);
}

import fc from 'fast-check';
import { scatterFrom } from '../../sequence';
import { addTo, bandOf, factor, solveFactored } from '../banded';
import { backward, forward } from '../dense';
import { factorDense, forwardMany, subtractProducts } from '../kernel';
import { edgeGive } from './block';
import { type Chain, contactOf } from './contact';
import { rectangleStiffness } from './element';

/** Gauss with pivots, which shares nothing with the solvers under test. */
function solveDense(matrix: readonly (readonly number[])[], right: readonly number[]): number[] {
  const rows = matrix.map((row, i) => [...row, right[i] ?? 0]);
  const n = right.length;
  for (let c = 0; c < n; c += 1) {
    const pivot = rows
      .slice(c)
      .reduce((best, row, i) => (Math.abs(row[c] ?? 0) > Math.abs(rows[best]?.[c] ?? 0) ? c + i : best), c);
    [rows[c], rows[pivot]] = [rows[pivot] ?? [], rows[c] ?? []];
    for (let r = 0; r < n; r += 1) {
      if (r === c) continue;
      const share = (rows[r]?.[c] ?? 0) / (rows[c]?.[c] ?? 1);
      for (let k = c; k <= n; k += 1) (rows[r] ?? [])[k] = (rows[r]?.[k] ?? 0) - share * (rows[c]?.[k] ?? 0);
    }
  }
  return rows.map((row, i) => (row[n] ?? 0) / (row[i] ?? 1));
}

/** A symmetric positive matrix out of a stream of scattered numbers. */
function positiveMatrix(n: number, seed: number): number[][] {
  const random = scatterFrom(seed);
  const half = Array.from({ length: n }, () => Array.from({ length: n }, () => random() - 0.5));
  return half.map((row, i) =>
    half.map(
      (other, j) => row.reduce((sum, value, k) => sum + value * (other[k] ?? 0), 0) + (i === j ? 0.2 : 0),
    ),
  );
}

describe('banded Cholesky', () => {
  it('solves like Gauss', () => {
    const n = 14;
    const half = 4;
    const full = positiveMatrix(n, 5).map((row, i) =>
      row.map((value, j) => (Math.abs(i - j) > half ? 0 : value + (i === j ? 6 : 0))),
    );
    const band = bandOf(n, half);
    full.forEach((row, i) =>
      row.forEach((value, j) => {
        if (j <= i && i - j <= half) addTo(band, i, j, value);
      }),
    );
    expect(factor(band)).toBe(true);
    const load = Float64Array.from({ length: n }, (_, i) => (i - 4) ** 2);
    const expected = solveDense(full, [...load]);
    solveFactored(band, load);
    expected.forEach((value, i) => expect(load[i]).toBeCloseTo(value, 10));
  });

  it('says so where there is no stiffness', () => {
    const band = bandOf(2, 1);
    addTo(band, 0, 0, 1);
    expect(factor(band)).toBe(false);
  });
});

describe('dense Cholesky', () => {
  it.each([1, 2, 7, 12, 41])('solves %i unknowns like Gauss', (n) => {
    const full = positiveMatrix(n, 40 + n);
    const lower = Float64Array.from(full.flat());
    factorDense(lower, n);
    const load = Array.from({ length: n }, (_, i) => 1 + i);
    const x = Float64Array.from(load);
    forward(lower, n, x);
    backward(lower, n, x);
    solveDense(full, load).forEach((value, i) => expect(x[i]).toBeCloseTo(value, 6));
  });

  it.each([1, 3, 4, 6, 9])('takes %i right-hand sides at once as it takes them singly', (count) => {
    const n = 7;
    const lower = Float64Array.from(positiveMatrix(n, 9).flat());
    factorDense(lower, n);
    const random = scatterFrom(count);
    const together = Float64Array.from({ length: count * n }, () => random() - 0.5);
    const singly = together.slice();
    forwardMany(lower, n, together, count);
    for (let c = 0; c < count; c += 1) forward(lower, n, singly.subarray(c * n, (c + 1) * n));
    together.forEach((value, i) => expect(value).toBeCloseTo(singly[i] ?? NaN, 10));
  });

  it.each([1, 4, 6, 11])('takes products of %i rows away, below the diagonal only', (size) => {
    const length = 5;
    const random = scatterFrom(size);
    const rows = Float64Array.from({ length: size * length }, () => random() - 0.5);
    const matrix = new Float64Array(size * size).fill(2);
    subtractProducts(matrix, size, rows, length);
    matrix.forEach((value, at) => {
      const [a, b] = [Math.floor(at / size), at % size];
      let product = 0;
      for (let k = 0; k < length; k += 1)
        product += (rows[a * length + k] ?? NaN) * (rows[b * length + k] ?? NaN);
      expect(value).toBeCloseTo(b > a ? 2 : 2 - product, 12);
    });
  });
});

const wood = { exMPa: 12600, eyMPa: 819, gMPa: 793.8, nuXy: 0.476 };

describe.each([4, 6, 12])('edgeGive, %i elements across', (across) => {
  const block = {
    wood,
    thicknessMm: 20,
    xsMm: Float64Array.from([0, 6, 15, 28, 40, 46]),
    ysMm: Float64Array.from({ length: across + 1 }, (_, i) => (36 * i) / across),
  };
  const [n, rows] = [block.xsMm.length, block.ysMm.length];
  const at = (along: number, up: number, direction: 0 | 1) => 2 * (along * rows + up) + direction;

  /** The whole block as one matrix, its rows and columns of held unknowns struck out. */
  function whole(): number[][] {
    const size = 2 * n * rows;
    const matrix = Array.from({ length: size }, () => new Array<number>(size).fill(0));
    for (let i = 0; i + 1 < n; i += 1) {
      for (let j = 0; j + 1 < rows; j += 1) {
        const width = (block.xsMm[i + 1] ?? 0) - (block.xsMm[i] ?? 0);
        const height = (block.ysMm[j + 1] ?? 0) - (block.ysMm[j] ?? 0);
        const element = rectangleStiffness(wood, width, height, block.thicknessMm);
        const unknowns = [
          [i, j],
          [i + 1, j],
          [i + 1, j + 1],
          [i, j + 1],
        ].flatMap(([x = 0, y = 0]) => [at(x, y, 0), at(x, y, 1)]);
        unknowns.forEach((row, a) =>
          unknowns.forEach((column, b) => {
            const line = matrix[row] ?? [];
            line[column] = (line[column] ?? 0) + (element[8 * a + b] ?? 0);
          }),
        );
      }
    }
    const middle = (rows - 1) / 2;
    for (const held of [at(0, middle, 0), at(0, middle, 1), at(n - 1, middle, 1)]) {
      matrix.forEach((row, r) => row.forEach((_, c) => (r === held || c === held) && (row[c] = 0)));
      (matrix[held] ?? [])[held] = 1;
    }
    return matrix;
  }

  it('moves both edges as one solve of the whole block does, wherever the force is', () => {
    const matrix = whole();
    const { same, opposite } = edgeGive(block);
    for (const j of [0, 2, n - 1]) {
      const load = new Array<number>(matrix.length).fill(0);
      load[at(j, 0, 1)] = 1;
      const moved = solveDense(matrix, load);
      for (let i = 0; i < n; i += 1) {
        expect(same[i * n + j]).toBeCloseTo(moved[at(i, 0, 1)] ?? NaN, 9);
        expect(opposite[i * n + j]).toBeCloseTo(moved[at(i, rows - 1, 1)] ?? NaN, 9);
      }
    }
  });

  it('refuses wood that has no stiffness', () => {
    expect(() => edgeGive({ ...block, thicknessMm: 0 })).toThrow('no stiffness');
  });
});

describe('rectangleStiffness', () => {
  const [w, h, t] = [18, 7, 20];
  const stiffness = rectangleStiffness(wood, w, h, t);
  const corners = [
    [0, 0],
    [w, 0],
    [w, h],
    [0, h],
  ] as const;
  const forces = (field: (x: number, y: number) => readonly [number, number]) => {
    const moved = corners.flatMap(([x, y]) => [...field(x, y)]);
    return Array.from({ length: 8 }, (_, i) =>
      moved.reduce((sum, u, j) => sum + (stiffness[8 * i + j] ?? 0) * u, 0),
    );
  };

  it('is symmetric and carries nothing for moving or turning as a whole', () => {
    for (let i = 0; i < 8; i += 1)
      for (let j = 0; j < 8; j += 1) expect(stiffness[8 * i + j]).toBeCloseTo(stiffness[8 * j + i] ?? 0, 6);
    for (const field of [
      () => [1, 0] as const,
      () => [0, 1] as const,
      (x: number, y: number) => [-y, x] as const,
    ]) {
      for (const force of forces(field)) expect(Math.abs(force)).toBeLessThan(1e-6);
    }
  });

  it('answers a constant stretch across the grain with E·t·strain, free along it', () => {
    const strain = 1e-3;
    // Free to contract along the grain by nu_yx.
    const nuYx = (wood.nuXy * wood.eyMPa) / wood.exMPa;
    const answer = forces((x, y) => [-nuYx * strain * x, strain * y]);
    const pull = (wood.eyMPa * strain * t * w) / 2;
    expect(answer[5]).toBeCloseTo(pull, 6);
    expect(answer[1]).toBeCloseTo(-pull, 6);
    for (const i of [0, 2, 4, 6]) expect(Math.abs(answer[i] ?? 1)).toBeLessThan(1e-6);
  });

  it('bends along the grain as a beam does', () => {
    // Turned ends without the curve between them: the incompatible modes supply it.
    const turn = 1e-3;
    const answer = forces((x, y) => [(x === 0 ? 1 : -1) * turn * (y - h / 2), 0]);
    const moment = ((answer[6] ?? 0) - (answer[0] ?? 0)) * (h / 2);
    const inertia = (t * h ** 3) / 12;
    // Free across the width: plane stress beam, M = E·I·curvature.
    expect(Math.abs(moment)).toBeCloseTo((wood.exMPa * inertia * 2 * turn) / w, 3);
  });
});

describe('contactOf', () => {
  /** Two lines of three nodes each, as one matrix. */
  const chainFrom = (matrix: readonly (readonly number[])[], nodes: number): Chain => {
    const part = (row: number, column: number) =>
      Float64Array.from(
        { length: nodes * nodes },
        (_, k) => matrix[row * nodes + Math.floor(k / nodes)]?.[column * nodes + (k % nodes)] ?? 0,
      );
    return { nodes, own: [part(0, 0), part(1, 1)], next: [part(0, 1)] };
  };

  /** Every choice of touching nodes gone through; the one that neither pulls nor overlaps. */
  function byTrying(matrix: readonly (readonly number[])[], q: readonly number[]): number[] {
    const n = q.length;
    for (let choice = 0; choice < 2 ** n; choice += 1) {
      const active = q.flatMap((_, i) => ((choice >> i) & 1 ? [i] : []));
      const some = solveDense(
        active.map((i) => active.map((j) => matrix[i]?.[j] ?? 0)),
        active.map((i) => -(q[i] ?? 0)),
      );
      const force = q.map((_, i) => (active.includes(i) ? (some[active.indexOf(i)] ?? 0) : 0));
      const open = q.map((free, i) => free + force.reduce((sum, f, j) => sum + (matrix[i]?.[j] ?? 0) * f, 0));
      if (force.every((f) => f >= -1e-9) && open.every((o) => o >= -1e-9)) return force;
    }
    throw new Error('no choice fits');
  }

  it('finds the one rest position that trying every choice finds', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 6, maxLength: 6 }),
        (seed, q) => {
          const matrix = positiveMatrix(6, seed);
          const { forceN, openMm, converged } = contactOf(chainFrom(matrix, 3), [
            Float64Array.from(q.slice(0, 3)),
            Float64Array.from(q.slice(3)),
          ]);
          expect(converged).toBe(true);
          const expected = byTrying(matrix, q);
          forceN
            .flatMap((line) => [...line])
            .forEach((force, i) => expect(force).toBeCloseTo(expected[i] ?? 0, 6));
          forceN.forEach((line, l) =>
            line.forEach((force, i) => expect(force * (openMm[l]?.[i] ?? 0)).toBeCloseTo(0, 8)),
          );
        },
      ),
      { numRuns: 200 },
    );
  });
});

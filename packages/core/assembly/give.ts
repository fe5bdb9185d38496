import { addProducts, at, dot, F64, factor, mirror, timesMany } from './dense';

/**
 * How the edge of half a block gives for one newton on each of its nodes. A force moves its own column of nodes as what
 * lies to either side of it lets it; each column further on follows the one before. What a force here does further on, a
 * force further on does here (Maxwell), so that half of it is worked out.
 *
 * Everything comes from one elimination: what rounding does to that is a slightly other wood, the same for all forces,
 * which does not matter; two eliminations that disagree by rounding would, where a board is long and slender.
 *
 * @param columns how many; each has `size` unknowns, the last of which is the edge across the grain.
 * @param reach an unknown is coupled with those so many further on at most.
 * @param own each column's stiffness, one after the other; `next` what it is with the next one, a row for each unknown here.
 * @param work room for (2 · columns + 3) · size² + 2 · columns · size numbers.
 * @param all takes columns² numbers.
 */
export function giveAtEdge(
  columns: i32,
  size: i32,
  reach: i32,
  own: usize,
  next: usize,
  work: usize,
  all: usize,
): void {
  const square = size * size;
  const alone = work;
  const follow = at(alone, columns * square);
  const linked = at(follow, columns * square);
  const solved = at(linked, square);
  const half = at(solved, square);
  fromTheLast(columns, size, reach, own, next, alone, follow, linked, solved);
  // How a column has moved for a force on each column up to it, one after the other; and the one before it.
  let moved = at(half, square);
  let before = at(moved, columns * size);
  for (let i: i32 = 0; i < columns; i += 1) {
    const swap = moved;
    moved = before;
    before = swap;
    const give = at(alone, i * square);
    if (i > 0) {
      const after = at(follow, i * square);
      timesMany(after, size, before, i, moved);
      // What the column before gives is alike both ways round, so its rows are its columns.
      timesMany(give - <usize>square * F64, size, after, size, half);
      addProducts(give, size, after, half, size, 1);
      mirror(give, size);
    }
    memory.copy(at(moved, i * size), at(give, square - size), <usize>size * F64);
    for (let j: i32 = 0; j <= i; j += 1) {
      const by = load<f64>(at(moved, j * size + size - 1));
      store<f64>(at(all, i * columns + j), by);
      store<f64>(at(all, j * columns + i), by);
    }
  }
}

/** Columns eliminated from the last one on: how each gives while the one before it is held, and how it follows that one. */
function fromTheLast(
  columns: i32,
  size: i32,
  reach: i32,
  own: usize,
  next: usize,
  alone: usize,
  follow: usize,
  linked: usize,
  solved: usize,
): void {
  const square = size * size;
  memory.fill(alone, 0, <usize>(columns * square) * F64);
  for (let i = columns - 1; i >= 0; i -= 1) {
    // Nobody reads a column's stiffness again once it is factored.
    const stiffness = at(own, i * square);
    factor(stiffness, size);
    answers(stiffness, size, solved);
    addProducts(at(alone, i * square), size, solved, solved, size, 1);
    mirror(at(alone, i * square), size);
    if (i == 0) continue;
    pulledBy(at(next, (i - 1) * square), solved, size, reach, linked);
    addProducts(at(own, (i - 1) * square), size, linked, linked, size, -1);
    timesMany(linked, size, solved, size, at(follow, i * square));
  }
}

/** Answers of a lower factor to one newton at each unknown, one after the other: row k begins at k, with nothing before. */
function answers(lower: usize, size: i32, solved: usize): void {
  memory.fill(solved, 0, <usize>(size * size) * F64);
  for (let k: i32 = 0; k < size; k += 1) {
    const row = at(solved, k * size);
    for (let r = k; r < size; r += 1) {
      const factored = at(lower, r * size);
      const sum: f64 = (r == k ? 1 : 0) - dot(at(factored, k), at(row, k), r - k);
      store<f64>(at(row, r), sum / load<f64>(at(factored, r)));
    }
  }
}

/** What each unknown of the column before pulls on this one, with the other sign and through the factor. */
function pulledBy(link: usize, solved: usize, size: i32, reach: i32, linked: usize): void {
  memory.fill(linked, 0, <usize>(size * size) * F64);
  for (let c: i32 = 0; c < size; c += 1) {
    const to = at(linked, c * size);
    const last = min(size - 1, c + reach);
    for (let k = max(0, c - reach); k <= last; k += 1) {
      const by = load<f64>(at(link, c * size + k));
      if (by == 0) continue;
      // A row of answers has nothing before its own unknown: begin at the pair that it is in.
      const from = k & ~1;
      const pair = f64x2.splat(-by);
      let r = from;
      for (; r + 1 < size; r += 2) {
        const place = at(to, r);
        v128.store(place, f64x2.add(v128.load(place), f64x2.mul(pair, v128.load(at(solved, k * size + r)))));
      }
      if (r < size) store<f64>(at(to, r), load<f64>(at(to, r)) - by * load<f64>(at(solved, k * size + r)));
    }
  }
}

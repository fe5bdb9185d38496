type Piece = Record<string, unknown>;

/**
 * `after` with each piece that says what it said in `before` in place of its new copy, so that whatever is drawn from such
 * a piece need not be drawn again. Takes plain data without circles, fresh from a worker: what is new is filled in where it
 * stands. A piece that stands in several places of a large plan is looked through once only.
 */
export function sharing<T>(before: unknown, after: T): T {
  return shared(before, after, new Map()) as T;
}

function shared(before: unknown, after: unknown, seen: Map<object, unknown>): unknown {
  if (before === after || !isPiece(before) || !isPiece(after)) return after;
  if (Array.isArray(after)) return Array.isArray(before) ? sharedList(before, after, seen) : after;
  if (Array.isArray(before)) return after;
  const known = seen.get(after);
  if (known !== undefined) return known;
  const result = sharedPiece(before, after, seen);
  seen.set(after, result);
  return result;
}

/** Lists are most of a plan, and most of those are points. */
function sharedList(before: unknown[], after: unknown[], seen: Map<object, unknown>): unknown[] {
  let same = before.length === after.length;
  for (let i = 0; i < after.length; i += 1) {
    const piece = shared(before[i], after[i], seen);
    if (piece !== after[i]) after[i] = piece;
    same &&= piece === before[i];
  }
  return same ? before : after;
}

function sharedPiece(before: Piece, after: Piece, seen: Map<object, unknown>): Piece {
  let same = true;
  let count = 0;
  for (const key in after) {
    const piece = shared(before[key], after[key], seen);
    if (piece !== after[key]) after[key] = piece;
    same &&= piece === before[key] && key in before;
    count += 1;
  }
  return same && count === Object.keys(before).length ? before : after;
}

const isPiece = (value: unknown): value is Piece => typeof value === 'object' && value !== null;

type Piece = Readonly<Record<string, unknown>>;

/**
 * `after` with each piece that says what it said in `before` in place of its new copy, so that whatever is drawn from such
 * a piece need not be drawn again. Takes plain data without circles; a piece that stands in several places of a large plan
 * is looked through once only.
 */
export function sharing<T>(before: unknown, after: T): T {
  return shared(before, after, new Map()) as T;
}

function shared(before: unknown, after: unknown, seen: Map<object, unknown>): unknown {
  if (!isPiece(before) || !isPiece(after) || Array.isArray(before) !== Array.isArray(after)) return after;
  const known = seen.get(after);
  if (known !== undefined) return known;
  const keys = Object.keys(after);
  const pieces = keys.map((key) => shared(before[key], after[key], seen));
  const same =
    keys.length === Object.keys(before).length &&
    keys.every((key, i) => key in before && before[key] === pieces[i]);
  const result = same
    ? before
    : Array.isArray(after)
      ? pieces
      : Object.fromEntries(keys.map((key, i) => [key, pieces[i]]));
  seen.set(after, result);
  return result;
}

const isPiece = (value: unknown): value is Piece => typeof value === 'object' && value !== null;

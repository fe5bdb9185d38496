import { InputError } from '@lean-clasp/core/basics';
import { signedArea, type Vec2 } from '@lean-clasp/core/solids';

/** A line of a drawing, mm, y up. */
export interface Stroke {
  readonly points: readonly Vec2[];
  readonly closed: boolean;
}

/** Ends nearer than this meet, mm. */
const MEET_MM = 0.2;
/** More strokes than this are no outline of a board. */
const MOST_STROKES = 4000;
const FEWEST_CORNERS = 3;

/** How long a line is, mm. */
export const lengthOf = (points: readonly Vec2[]): number =>
  points.slice(1).reduce((sum, point, i) => sum + apart(point, points[i] ?? point), 0);

const apart = (a: Vec2, b: Vec2) => Math.hypot(a[0] - b[0], a[1] - b[1]);

/**
 * The outline among the lines of a drawing: of what closes, by itself or end to end, that which holds most.
 * @throws InputError where nothing closes.
 */
export function outlineAmong(strokes: readonly Stroke[]): readonly Vec2[] {
  if (strokes.length > MOST_STROKES) {
    throw new InputError(
      'out-of-range',
      'outline',
      `The drawing has ${strokes.length} lines.`,
      `a drawing of the outline alone, ${MOST_STROKES} lines at most`,
    );
  }
  const finite = strokes.filter(({ points }) => points.length > 1 && points.flat().every(Number.isFinite));
  const closed = finite
    .filter(({ points, closed: said }) => said || meets(points))
    .map(({ points }) => points);
  const open = finite
    .filter(({ points, closed: said }) => !said && !meets(points))
    .map(({ points }) => points);
  const found = [...closed, ...chained(open)]
    .filter(({ length }) => length >= FEWEST_CORNERS)
    .sort((a, b) => Math.abs(signedArea(b)) - Math.abs(signedArea(a)))[0];
  if (found === undefined) {
    throw new InputError(
      'inconsistent',
      'outline',
      'No line of the drawing closes.',
      'one closed outline: ends of its lines must meet',
    );
  }
  return found;
}

const meets = (points: readonly Vec2[]): boolean => {
  const [first, last] = [points[0], points.at(-1)];
  return first !== undefined && last !== undefined && points.length > 2 && apart(first, last) < MEET_MM;
};

/** Open lines put end to end as far as they meet; those that come back to where they began. */
function chained(open: readonly (readonly Vec2[])[]): Vec2[][] {
  const left = new Set(open);
  const rings: Vec2[][] = [];
  for (const start of open) {
    if (!left.delete(start)) continue;
    const chain = [...start];
    for (;;) {
      const end = chain.at(-1);
      const next = [...left].find(
        (each) =>
          end !== undefined &&
          (apart(each[0] ?? end, end) < MEET_MM || apart(each.at(-1) ?? end, end) < MEET_MM),
      );
      if (next === undefined || end === undefined) break;
      left.delete(next);
      const forward = apart(next[0] ?? end, end) < MEET_MM;
      chain.push(...(forward ? next : [...next].reverse()).slice(1));
    }
    if (meets(chain)) rings.push(chain);
  }
  return rings;
}

import type { Vec2 } from '../solids';
import { type Layer, type Shape } from './item';

/** Fewer corners than this in a row are corners and no arc. */
const FEWEST = 5;
/** Corners that turn by more than this are corners, whatever circle they lie on, degrees: those of a rectangle lie on one. */
const MOST_TURN_DEG = 25;
/** Centres of one arc lie this near together, as a share of its radius. */
const SAME_SHARE = 1e-4;

interface Circle {
  readonly centre: Vec2;
  readonly radiusMm: number;
  /** 1 anticlockwise, −1 clockwise. */
  readonly turns: 1 | -1;
}

/**
 * A closed outline whose curves were drawn with short straight stretches, with its arcs as arcs again: corners in a row that lie on one
 * circle. What lies on no circle, such as an ellipse, stays as it is.
 */
export function withArcs(outline: readonly Vec2[], layer: Layer): Shape[] {
  const corners = startingAtAnEnd(outline);
  const shapes: Shape[] = [];
  let straight: Vec2[] = corners[0] === undefined ? [] : [corners[0]];
  let i = 0;
  while (i < corners.length - 1) {
    const run = arcFrom(corners, i);
    if (run === null) {
      straight.push(corners[i + 1] as Vec2);
      i += 1;
      continue;
    }
    if (straight.length > 1) shapes.push({ kind: 'line', layer, points: straight, closed: false });
    const { circle, until } = run;
    const angle = ([x, y]: Vec2) => (Math.atan2(y - circle.centre[1], x - circle.centre[0]) * 180) / Math.PI;
    const [first, last] = [angle(corners[i] as Vec2), angle(corners[until] as Vec2)];
    const [fromDeg, end] = circle.turns > 0 ? [first, last] : [last, first];
    const toDeg = end <= fromDeg ? end + 360 : end;
    shapes.push({ kind: 'arc', layer, centre: circle.centre, radiusMm: circle.radiusMm, fromDeg, toDeg });
    straight = [corners[until] as Vec2];
    i = until;
  }
  if (shapes.length === 0) return [{ kind: 'line', layer, points: outline, closed: true }];
  if (straight.length > 1) shapes.push({ kind: 'line', layer, points: straight, closed: false });
  return shapes;
}

/** The outline closed, begun where two stretches differ most in length: at the end of an arc, never within one. */
function startingAtAnEnd(outline: readonly Vec2[]): Vec2[] {
  const count = outline.length;
  const lengthFrom = (i: number) => {
    const [a, b] = [outline[i % count] as Vec2, outline[(i + 1) % count] as Vec2];
    return Math.hypot(b[0] - a[0], b[1] - a[1]);
  };
  const change = (i: number) => Math.abs(Math.log(lengthFrom(i + count - 1) / lengthFrom(i)));
  const start = outline.reduce((best, _, i) => (change(i) > change(best) ? i : best), 0);
  return [...outline.slice(start), ...outline.slice(0, start + 1)];
}

function arcFrom(corners: readonly Vec2[], from: number): { circle: Circle; until: number } | null {
  const circle = circleThrough(corners[from], corners[from + 1], corners[from + 2]);
  if (circle === null) return null;
  let until = from + 2;
  for (; until + 1 < corners.length; until += 1) {
    const next = circleThrough(corners[until - 1], corners[until], corners[until + 1]);
    if (next === null || !isSame(circle, next)) break;
  }
  return until - from + 1 < FEWEST ? null : { circle, until };
}

const isSame = (one: Circle, other: Circle): boolean =>
  one.turns === other.turns &&
  Math.hypot(one.centre[0] - other.centre[0], one.centre[1] - other.centre[1]) <= SAME_SHARE * one.radiusMm;

/** The circle through three points; null where they lie on a line, or nearly so. */
function circleThrough(a: Vec2 | undefined, b: Vec2 | undefined, c: Vec2 | undefined): Circle | null {
  if (a === undefined || b === undefined || c === undefined) return null;
  const [bx, by, cx, cy] = [b[0] - a[0], b[1] - a[1], c[0] - a[0], c[1] - a[1]];
  const twice = 2 * (bx * cy - by * cx);
  const [bb, cc] = [bx * bx + by * by, cx * cx + cy * cy];
  if (Math.abs(twice) < 1e-9 * (bb + cc)) return null;
  const [ex, ey] = [c[0] - b[0], c[1] - b[1]];
  const turned = Math.abs(Math.atan2(bx * ey - by * ex, bx * ex + by * ey));
  if (turned > (MOST_TURN_DEG * Math.PI) / 180) return null;
  const [x, y] = [(cy * bb - by * cc) / twice, (bx * cc - cx * bb) / twice];
  return { centre: [a[0] + x, a[1] + y], radiusMm: Math.hypot(x, y), turns: twice > 0 ? 1 : -1 };
}

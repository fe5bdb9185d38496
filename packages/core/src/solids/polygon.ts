import polygonClipping, { type Polygon } from 'polygon-clipping';
import { type Shape2, shapeArea, signedArea } from './outline';
import type { Vec2 } from './vector';

/** Slivers below this are the rounding of corners, not wood, mm². */
const SLIVER_MM2 = 1e-3;
/** Corners are snapped to this before clipping, so that edges meant to coincide do, mm. */
const SNAP_MM = 1e-5;

/** What two shapes have in common. */
export function common(a: Shape2, b: Shape2): Shape2[] {
  if (apart(a.outline, b.outline)) return [];
  // Facets of curves and boards of one width lie upon each other exactly.
  if (a.holes.length === 0 && coversAll(b, a)) return keepWood([a]);
  if (isConvex(a) && isConvex(b)) {
    const outline = clipConvex(anticlockwise(a.outline), anticlockwise(b.outline));
    return keepWood([{ outline, holes: [] }]);
  }
  return fromClipping(polygonClipping.intersection(toClipping(a), toClipping(b)));
}

/** What is left of a shape after taking others away. */
export function without(a: Shape2, others: readonly Shape2[]): Shape2[] {
  const near = others.filter((other) => !apart(a.outline, other.outline));
  if (near.length === 0) return [a];
  // The two commonest cases need no clipping: a whole side gone, and holes well inside it.
  if (near.some((other) => coversAll(other, a))) return [];
  if (isConvex(a) && near.every((other) => isWellInside(other, a)) && allApart(near)) {
    return [{ outline: a.outline, holes: near.map(({ outline }) => outline) }];
  }
  return fromClipping(polygonClipping.difference(toClipping(a), ...near.map(toClipping)));
}

/** Whether every corner of `a` is a corner of `other`, which has no holes. */
function coversAll(other: Shape2, a: Shape2): boolean {
  return (
    other.holes.length === 0 &&
    other.outline.length === a.outline.length &&
    a.outline.every(([x, y]) =>
      other.outline.some(([p, q]) => Math.abs(x - p) < SNAP_MM && Math.abs(y - q) < SNAP_MM),
    )
  );
}

function isWellInside({ outline, holes }: Shape2, frame: Shape2): boolean {
  const edge = anticlockwise(frame.outline);
  return (
    holes.length === 0 &&
    edge.every((from, i) => {
      const to = edge[(i + 1) % edge.length] as Vec2;
      const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
      return outline.every(
        ([x, y]) => (to[0] - from[0]) * (y - from[1]) - (to[1] - from[1]) * (x - from[0]) > SNAP_MM * length,
      );
    })
  );
}

function allApart(shapes: readonly Shape2[]): boolean {
  return shapes.every((a, i) => shapes.slice(i + 1).every((b) => apart(a.outline, b.outline)));
}

function apart(a: readonly Vec2[], b: readonly Vec2[]): boolean {
  const [p, q] = [extent(a), extent(b)];
  return (
    p.right <= q.left + SNAP_MM ||
    q.right <= p.left + SNAP_MM ||
    p.high <= q.low + SNAP_MM ||
    q.high <= p.low + SNAP_MM
  );
}

interface Extent {
  readonly left: number;
  readonly right: number;
  readonly low: number;
  readonly high: number;
}

/** A side is held against every side of every neighbour: how far it reaches is found once. */
const extents = new WeakMap<readonly Vec2[], Extent>();

function extent(loop: readonly Vec2[]): Extent {
  const known = extents.get(loop) ?? extentOf(loop);
  extents.set(loop, known);
  return known;
}

function extentOf(loop: readonly Vec2[]): Extent {
  const box = { left: Infinity, right: -Infinity, low: Infinity, high: -Infinity };
  for (const [x, y] of loop) {
    if (x < box.left) box.left = x;
    if (x > box.right) box.right = x;
    if (y < box.low) box.low = y;
    if (y > box.high) box.high = y;
  }
  return box;
}

function anticlockwise(loop: readonly Vec2[]): readonly Vec2[] {
  return signedArea(loop) < 0 ? [...loop].reverse() : loop;
}

function isConvex({ outline, holes }: Shape2): boolean {
  if (holes.length > 0) return false;
  const turns = outline.map((point, i) => {
    const next = outline[(i + 1) % outline.length] as Vec2;
    const after = outline[(i + 2) % outline.length] as Vec2;
    return (next[0] - point[0]) * (after[1] - next[1]) - (next[1] - point[1]) * (after[0] - next[0]);
  });
  return turns.every((value) => value > -1e-9) || turns.every((value) => value < 1e-9);
}

/** Sutherland–Hodgman: cuts `subject` at each edge of a convex, anticlockwise `frame`. */
function clipConvex(subject: readonly Vec2[], frame: readonly Vec2[]): Vec2[] {
  let kept: Vec2[] = [...subject];
  frame.forEach((from, i) => {
    const to = frame[(i + 1) % frame.length] as Vec2;
    const side = ([x, y]: Vec2) => (to[0] - from[0]) * (y - from[1]) - (to[1] - from[1]) * (x - from[0]);
    const before = kept;
    kept = [];
    before.forEach((point, k) => {
      const next = before[(k + 1) % before.length] as Vec2;
      const [here, there] = [side(point), side(next)];
      if (here >= 0) kept.push(point);
      if ((here > 0 && there < 0) || (here < 0 && there > 0)) {
        const t = here / (here - there);
        kept.push([point[0] + t * (next[0] - point[0]), point[1] + t * (next[1] - point[1])]);
      }
    });
  });
  return kept;
}

function toClipping({ outline, holes }: Shape2): Polygon {
  const snap = (value: number) => Math.round(value / SNAP_MM) * SNAP_MM;
  return [outline, ...holes].map((loop) => loop.map(([x, y]): [number, number] => [snap(x), snap(y)]));
}

function fromClipping(polygons: readonly Polygon[]): Shape2[] {
  return keepWood(
    polygons.map(([outline = [], ...holes]) => ({ outline: open(outline), holes: holes.map(open) })),
  );
}

/** The package closes its loops by repeating the first corner; ours do not. */
function open(loop: readonly Vec2[]): readonly Vec2[] {
  return loop.slice(0, -1);
}

function keepWood(shapes: readonly Shape2[]): Shape2[] {
  return shapes.filter((shape) => shape.outline.length > 2 && shapeArea(shape) > SLIVER_MM2);
}

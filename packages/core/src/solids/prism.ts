import { InputError } from '../basics/checks';
import { signedArea } from './outline';
import { add, dot, scale, turn, unit, type Vec2, type Vec3, cross, subtract } from './vector';

/**
 * A straight block: a flat outline in the directions `u`, `v`, carried along `w` = u × v for `heightMm`.
 * Outlines run anticlockwise seen against `w`.
 */
export interface Prism {
  readonly outline: readonly Vec2[];
  readonly origin: Vec3;
  readonly u: Vec3;
  readonly v: Vec3;
  readonly w: Vec3;
  readonly heightMm: number;
}

/** One flat side of a block; corners run anticlockwise seen from outside. */
export interface Face {
  readonly loop: readonly Vec3[];
  readonly normal: Vec3;
}

/** Corners nearer than this are one. */
const SAME_CORNER_MM = 1e-6;

/** Main direction of space. */
export type Axis = 'x' | 'y' | 'z';

const FRAMES: Readonly<Record<Axis, { readonly u: Vec3; readonly v: Vec3; readonly w: Vec3 }>> = {
  x: { u: [0, 1, 0], v: [0, 0, 1], w: [1, 0, 0] },
  y: { u: [0, 0, 1], v: [1, 0, 0], w: [0, 1, 0] },
  z: { u: [1, 0, 0], v: [0, 1, 0], w: [0, 0, 1] },
};

/**
 * An outline carried along a main direction. Along x the outline is given as (y, z), along y as (z, x), along
 * z as (x, y).
 * @throws InputError where nothing is left of the block.
 */
export function extruded(axis: Axis, outline: readonly Vec2[], fromMm: number, toMm: number): Prism {
  const corners = outline.filter(([x, y], i) => {
    const [nextX, nextY] = outline[(i + 1) % outline.length] as Vec2;
    return Math.hypot(nextX - x, nextY - y) > SAME_CORNER_MM;
  });
  const area = signedArea(corners);
  if (!(Math.abs(area) > 0) || !(toMm > fromMm)) {
    throw new InputError(
      'inconsistent',
      'parts',
      'A part of no size would come of these answers.',
      'sizes that leave every part some length, width and thickness',
    );
  }
  const frame = FRAMES[axis];
  return {
    ...frame,
    outline: area < 0 ? corners.reverse() : corners,
    origin: scale(frame.w, fromMm),
    heightMm: toMm - fromMm,
  };
}

/** A block square to the main directions, from one corner to the opposite one. */
export function box(from: Vec3, to: Vec3): Prism {
  const [x0, y0, z0] = from;
  const [x1, y1, z1] = to;
  return extruded('z', rectangle([x0, y0], [x1, y1]), z0, z1);
}

/** Corners of an upright rectangle, anticlockwise. */
function rectangle([x0, y0]: Vec2, [x1, y1]: Vec2): Vec2[] {
  return [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ];
}

/** The same block elsewhere. */
export function moved(prism: Prism, by: Vec3): Prism {
  return { ...prism, origin: add(prism.origin, by) };
}

/** The same block turned about a unit `axis` through the origin. */
export function turned(prism: Prism, axis: Vec3, radians: number): Prism {
  const go = (a: Vec3) => turn(a, axis, radians);
  return { ...prism, origin: go(prism.origin), u: go(prism.u), v: go(prism.v), w: go(prism.w) };
}

/** Volume, mm³. */
export function prismVolume({ outline, heightMm }: Prism): number {
  return signedArea(outline) * heightMm;
}

/** All corners: those of the outline, then those of its far end. */
export function prismCorners({ outline, origin, u, v, w, heightMm }: Prism): Vec3[] {
  const lift = scale(w, heightMm);
  const bottom = outline.map(([a, b]): Vec3 => [
    origin[0] + u[0] * a + v[0] * b,
    origin[1] + u[1] * a + v[1] * b,
    origin[2] + u[2] * a + v[2] * b,
  ]);
  return [...bottom, ...bottom.map((point) => add(point, lift))];
}

/** All sides: the two ends, then one for each edge of the outline. */
export function prismFaces(prism: Prism): Face[] {
  const { w } = prism;
  const corners = prismCorners(prism);
  const [bottom, top] = [corners.slice(0, prism.outline.length), corners.slice(prism.outline.length)];
  const sides = bottom.map((point, i): Face => {
    const k = (i + 1) % bottom.length;
    const next = bottom[k] as Vec3;
    return {
      loop: [point, next, top[k] as Vec3, top[i] as Vec3],
      normal: unit(cross(subtract(next, point), w)),
    };
  });
  return [{ loop: [...bottom].reverse(), normal: scale(w, -1) }, { loop: top, normal: w }, ...sides];
}

/** Least and greatest reach of a set of points in a direction, mm. */
export function reach(points: readonly Vec3[], direction: Vec3): readonly [number, number] {
  let [low, high] = [Infinity, -Infinity];
  for (const point of points) {
    const along = dot(point, direction);
    if (along < low) low = along;
    if (along > high) high = along;
  }
  return [low, high];
}

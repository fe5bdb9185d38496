import { type Shape2, shapeArea, signedArea } from './outline';
import { common, without } from './polygon';
import { type Face, prismFaces } from './prism';
import type { Solid } from './solid';
import { add, cross, dot, scale, unit, type Vec2, type Vec3 } from './vector';

/** A flat stretch of surface that can be seen or glued, with holes where something was cut into it. */
export interface Surface {
  readonly normal: Vec3;
  /** Distance of its plane from the origin along `normal`, mm. */
  readonly offsetMm: number;
  readonly shape: Shape2;
}

/** Faces closer than this lie in one plane, mm. */
const SAME_PLANE_MM = 0.02;
/** Directions whose cosine is this near ±1 are parallel. */
const PARALLEL = 1e-6;
/** Parallel directions differ by less than this along each axis: √(2·1e−6), rounded up. */
const NEAR_NORMAL = 2e-3;

/**
 * Surface of a solid: sides of its blocks less where they touch each other and where pockets open, and the
 * walls and floors of the pockets.
 */
export function surfacesOf({ blocks, pockets }: Solid): Surface[] {
  const blockSides = blocks.map((block) => prismFaces(block).map(surfaceOf));
  const pocketSides = pockets.flatMap((pocket) => prismFaces(pocket).map(surfaceOf));
  const allSides = blockSides.flat();
  const outside = blockSides.flatMap((sides, own) =>
    sides.flatMap((side) => {
      const touching = blockSides.flatMap((others, k) =>
        k === own ? [] : others.filter((other) => facing(side, other)),
      );
      return less(side, [...touching, ...pocketSides.filter((pocket) => sameSide(side, pocket))]);
    }),
  );
  const walls = pocketSides.flatMap((wall) =>
    less(
      wall,
      allSides.filter((side) => sameSide(wall, side)),
    ).map(inward),
  );
  // Walls first: whoever draws them in this order sees them through the openings of what comes after.
  return [...walls, ...outside];
}

/** A stretch where a surface of one solid lies against one of another, and which of their surfaces those are. */
export interface Touch extends Surface {
  readonly ofA: number;
  readonly ofB: number;
}

/** Where two solids touch: stretches of surfaces of `a`, with their normal pointing into `b`. */
export function contactsBetween(a: readonly Surface[], b: readonly Surface[]): Touch[] {
  const touches: Touch[] = [];
  const { offsetsMm, indices } = byOffset(b);
  for (let ofA = 0; ofA < a.length; ofA += 1) {
    const side = a[ofA] as Surface;
    // Curved parts have hundreds of sides, nearly all pairs of which lie elsewhere.
    let at = firstAbove(offsetsMm, -side.offsetMm - SAME_PLANE_MM);
    for (; at < offsetsMm.length && (offsetsMm[at] ?? 0) < SAME_PLANE_MM - side.offsetMm; at += 1) {
      const ofB = indices[at] ?? 0;
      const other = b[ofB] as Surface;
      if (!facing(side, other)) continue;
      for (const shape of common(side.shape, other.shape)) touches.push({ ...side, shape, ofA, ofB });
    }
  }
  return touches.sort((one, other) => one.ofA - other.ofA || one.ofB - other.ofB);
}

/** Surfaces of one solid by the distance of their planes from the origin, lowest first. */
interface ByOffset {
  readonly offsetsMm: Float64Array;
  readonly indices: Int32Array;
}

/** A part meets several others: its surfaces are sorted once. */
const sortedSurfaces = new WeakMap<readonly Surface[], ByOffset>();

function byOffset(surfaces: readonly Surface[]): ByOffset {
  const known = sortedSurfaces.get(surfaces);
  if (known !== undefined) return known;
  const indices = Int32Array.from(surfaces.keys()).sort(
    (a, b) => (surfaces[a]?.offsetMm ?? 0) - (surfaces[b]?.offsetMm ?? 0),
  );
  const offsetsMm = Float64Array.from(indices, (i) => surfaces[i]?.offsetMm ?? 0);
  const sorted = { offsetsMm, indices };
  sortedSurfaces.set(surfaces, sorted);
  return sorted;
}

/** First place in a rising list whose value is above `limit`. */
function firstAbove(rising: Float64Array, limit: number): number {
  let [low, high] = [0, rising.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((rising[middle] ?? 0) > limit) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** Area of a surface, mm². */
export const surfaceArea = ({ shape }: Surface): number => shapeArea(shape);

/** Outline and holes of a surface as loops in space, the outline first and anticlockwise seen from outside. */
export function loopsInSpace({ normal, offsetMm, shape }: Surface): Vec3[][] {
  const { e1, e2, flipped } = basisOf(normal);
  const base = scale(normal, offsetMm);
  const lift = ([a, b]: Vec2) => add(base, add(scale(e1, a), scale(e2, b)));
  return [shape.outline, ...shape.holes].map((loop, i) => {
    // In its own plane's directions a side that looks the other way runs the other way; holes always do.
    const wanted = (i === 0) !== flipped;
    const lifted = loop.map(lift);
    return signedArea(loop) > 0 === wanted ? lifted : lifted.reverse();
  });
}

function surfaceOf({ loop, normal }: Face): Surface {
  const { e1, e2 } = basisOf(normal);
  return {
    normal,
    offsetMm: dot(loop[0] as Vec3, normal),
    shape: { outline: loop.map((point): Vec2 => [dot(point, e1), dot(point, e2)]), holes: [] },
  };
}

/** Directions in a plane, the same for both of its sides, so that outlines on either can be compared. */
function basisOf(normal: Vec3): { e1: Vec3; e2: Vec3; flipped: boolean } {
  const leading = normal.find((value) => Math.abs(value) > 1e-4) ?? 1;
  const up = leading < 0 ? scale(normal, -1) : normal;
  const helper: Vec3 = Math.abs(up[2]) > 0.9 ? [1, 0, 0] : [0, 0, 1];
  const e1 = unit(cross(helper, up));
  return { e1, e2: cross(up, e1), flipped: leading < 0 };
}

function facing(a: Surface, b: Surface): boolean {
  return (
    Math.abs(a.offsetMm + b.offsetMm) < SAME_PLANE_MM &&
    Math.abs(a.normal[0] + b.normal[0]) < NEAR_NORMAL &&
    dot(a.normal, b.normal) < PARALLEL - 1
  );
}

function sameSide(a: Surface, b: Surface): boolean {
  return Math.abs(a.offsetMm - b.offsetMm) < SAME_PLANE_MM && dot(a.normal, b.normal) > 1 - PARALLEL;
}

function less(side: Surface, others: readonly Surface[]): Surface[] {
  if (others.length === 0) return [side];
  return without(
    side.shape,
    others.map(({ shape }) => shape),
  ).map((shape) => ({ ...side, shape }));
}

/** A pocket's side seen from the wood around it. */
function inward(wall: Surface): Surface {
  return { ...wall, normal: scale(wall.normal, -1), offsetMm: -wall.offsetMm };
}

/** A point or direction in a plane, mm or unitless. */
export type Vec2 = readonly [number, number];
/** A point or direction in space; x along the length, y across, z up. */
export type Vec3 = readonly [number, number, number];

/** Main directions of space. */
export const MAIN_AXES: readonly [Vec3, Vec3, Vec3] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

export const add = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const subtract = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const scale = (a: Vec3, by: number): Vec3 => [a[0] * by, a[1] * by, a[2] * by];
export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
/** Direction of length 1; the vector must not be zero. */
export const unit = (a: Vec3): Vec3 => scale(a, 1 / Math.sqrt(dot(a, a)));

/** `a` turned about a unit `axis` through the origin, right-handed, in radians (Rodrigues). */
export function turn(a: Vec3, axis: Vec3, radians: number): Vec3 {
  const c = Math.cos(radians);
  const along = scale(axis, dot(axis, a) * (1 - c));
  return add(add(scale(a, c), scale(cross(axis, a), Math.sin(radians))), along);
}

/** The mean of points; the origin where there are none. */
export function middleOf(points: readonly Vec3[]): Vec3 {
  let [x, y, z] = [0, 0, 0];
  for (const point of points) {
    x += point[0];
    y += point[1];
    z += point[2];
  }
  const count = Math.max(1, points.length);
  return [x / count, y / count, z / count];
}

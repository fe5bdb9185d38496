import type { Vec2 } from './vector';

/** An outline and its holes. */
export interface Shape2 {
  readonly outline: readonly Vec2[];
  readonly holes: readonly (readonly Vec2[])[];
}

/** Area with sign: positive when the corners run anticlockwise. */
export function signedArea(loop: readonly Vec2[]): number {
  return loop.reduce((sum, [x, y], i) => {
    const [nextX, nextY] = loop[(i + 1) % loop.length] as Vec2;
    return sum + (x * nextY - nextX * y) / 2;
  }, 0);
}

/** Area of an outline less its holes, mm². */
export function shapeArea({ outline, holes }: Shape2): number {
  return Math.abs(signedArea(outline)) - holes.reduce((sum, hole) => sum + Math.abs(signedArea(hole)), 0);
}

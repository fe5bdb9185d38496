import type { Vec2 } from './vector';

/** Corners of the smallest convex outline around points, in turn (monotone chain). */
export function convexHull(points: readonly Vec2[]): Vec2[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const turnOf = (o: Vec2, a: Vec2, b: Vec2) => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);
  const half = (from: readonly Vec2[]): Vec2[] => {
    const chain: Vec2[] = [];
    for (const point of from) {
      while (chain.length >= 2 && turnOf(chain.at(-2) as Vec2, chain.at(-1) as Vec2, point) <= 1e-9)
        chain.pop();
      chain.push(point);
    }
    return chain.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.toReversed())];
}

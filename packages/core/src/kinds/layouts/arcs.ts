import type { Vec2 } from '../../solids';

/** Corners of an arc about the origin, to either side of its middle, drawn with so many straight stretches; angles in radians. */
export const arcCorners = (radiusMm: number, middle: number, half: number, stretches: number): Vec2[] =>
  Array.from({ length: stretches + 1 }, (_, i) => {
    const angle = middle - half + (2 * half * i) / stretches;
    return [radiusMm * Math.cos(angle), radiusMm * Math.sin(angle)];
  });

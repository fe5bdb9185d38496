import fc from 'fast-check';
import { mitrePolygon } from '../geometry';
import type { Vec2 } from '../solids';
import { bendCurve, mitreCorners } from '.';

describe('a curve to bend to', () => {
  const arcs = fc.record({
    radius: fc.integer({ min: 60, max: 4000 }),
    from: fc.integer({ min: 0, max: 359 }),
    sweep: fc.integer({ min: 12, max: 300 }),
    count: fc.integer({ min: 8, max: 200 }),
    at: fc.tuple(fc.integer({ min: -3000, max: 3000 }), fc.integer({ min: -3000, max: 3000 })),
    backward: fc.boolean(),
  });
  const drawn = ({
    radius,
    from,
    sweep,
    count,
    at,
    backward,
  }: typeof arcs extends fc.Arbitrary<infer A> ? A : never) => {
    const points = Array.from({ length: count }, (_, i): Vec2 => {
      const angle = ((from + (sweep * i) / (count - 1)) * Math.PI) / 180;
      return [at[0] + radius * Math.cos(angle), at[1] + radius * Math.sin(angle)];
    });
    return backward ? points.reverse() : points;
  };

  it('is found again with its radius and how far round it goes, wherever it lies', () => {
    fc.assert(
      fc.property(arcs, (arc) => {
        const { radiusMm, arcDeg } = bendCurve(drawn(arc));
        expect(radiusMm).toBeCloseTo(arc.radius, 1);
        expect(arcDeg).toBeCloseTo(arc.sweep, 1);
      }),
      { seed: 12, numRuns: 200 },
    );
  });

  it('may be as unsteady as a hand, and no more', () => {
    const arc = {
      radius: 500,
      from: 10,
      sweep: 120,
      count: 60,
      at: [0, 0] as [number, number],
      backward: false,
    };
    const shaken = (mm: number) =>
      drawn(arc).map(([x, y], i): Vec2 => [
        x * (1 + (i % 2 === 0 ? mm : -mm) / 500),
        y * (1 + (i % 2 === 0 ? mm : -mm) / 500),
      ]);
    expect(bendCurve(shaken(0.5)).radiusMm).toBeCloseTo(500, 0);
    expect(() => bendCurve(shaken(6))).toThrow(/leaves its circle by \d/);
    expect(() => bendCurve([0, 1, 2, 3, 4, 5].map((x): Vec2 => [100 * x, 0]))).toThrow(
      'The curve is straight.',
    );
    expect(() =>
      bendCurve([
        [0, 0],
        [1, 1],
      ]),
    ).toThrow('only 2 points');
  });
});

describe('the outside of a mitred frame', () => {
  /** A polygon whose corners lie on an ellipse, so that it bulges everywhere; with points along its sides. */
  const outlines = fc.record({
    gaps: fc.array(fc.integer({ min: 30, max: 100 }), { minLength: 3, maxLength: 8 }),
    across: fc.integer({ min: 300, max: 1200 }),
    up: fc.integer({ min: 300, max: 1200 }),
    turnedDeg: fc.nat(359),
    start: fc.nat(200),
    backward: fc.boolean(),
    pointsOnSide: fc.integer({ min: 1, max: 20 }),
  });

  it('is found by its corners wherever the drawing begins, and closes', () => {
    fc.assert(
      fc.property(outlines, ({ gaps, across, up, turnedDeg, start, backward, pointsOnSide }) => {
        const all = gaps.reduce((sum, gap) => sum + gap, 0);
        const turned = (turnedDeg * Math.PI) / 180;
        const corners = gaps.map((_, i): Vec2 => {
          const angle = (2 * Math.PI * gaps.slice(0, i).reduce((sum, gap) => sum + gap, 0)) / all;
          const [x, y] = [across * Math.cos(angle), up * Math.sin(angle)];
          return [x * Math.cos(turned) - y * Math.sin(turned), x * Math.sin(turned) + y * Math.cos(turned)];
        });
        const along = corners.flatMap(([x, y], i) => {
          const [x2, y2] = corners[(i + 1) % corners.length] ?? [x, y];
          return Array.from({ length: pointsOnSide }, (_, k): Vec2 => [
            x + ((x2 - x) * k) / pointsOnSide,
            y + ((y2 - y) * k) / pointsOnSide,
          ]);
        });
        const drawn = along.map((_, i) => along[(i + start) % along.length] as Vec2);
        const { sidesMm, anglesDeg } = mitreCorners(backward ? drawn.reverse() : drawn);
        // A second way to the same: what is round it, and the area by the coordinates that sides and angles lead along.
        const round = along.reduce((sum, [x, y], i) => {
          const [x2, y2] = along[(i + 1) % along.length] ?? [x, y];
          return sum + Math.hypot(x2 - x, y2 - y);
        }, 0);
        expect(sidesMm).toHaveLength(corners.length);
        expect(sidesMm.reduce((sum, side) => sum + side, 0)).toBeCloseTo(round, 1);
        expect(anglesDeg.reduce((sum, angle) => sum + angle, 0)).toBeCloseTo(180 * (corners.length - 2), 6);
        expect(mitrePolygon({ sidesMm, anglesDeg, memberWidthMm: 1 }).closureMm).toBeLessThan(0.3);
      }),
      { seed: 5, numRuns: 200 },
    );
  });

  it('that is curved, too small or has too many sides is refused in words', () => {
    const ring = (count: number, radius: number) =>
      Array.from({ length: count }, (_, i): Vec2 => [
        radius * Math.cos((2 * Math.PI * i) / count),
        radius * Math.sin((2 * Math.PI * i) / count),
      ]);
    expect(mitreCorners(ring(8, 400)).anglesDeg).toEqual(Array(8).fill(135));
    expect(() => mitreCorners(ring(9, 400))).toThrow('The outline is curved, or has more than 8 sides.');
    expect(() => mitreCorners(ring(400, 400))).toThrow('is curved');
    expect(() => mitreCorners(ring(6, 10))).toThrow('One side of the outline is 10 mm long.');
  });
});

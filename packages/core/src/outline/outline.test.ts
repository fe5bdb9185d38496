import fc from 'fast-check';
import type { Vec2 } from '../solids';
import { bendCurve } from '.';

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

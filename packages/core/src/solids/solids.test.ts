import fc from 'fast-check';
import {
  box,
  contactsBetween,
  extruded,
  loopsInSpace,
  moved,
  type Solid,
  solidOf,
  solidVolume,
  surfaceArea,
  surfacesOf,
  turned,
  unit,
  type Vec3,
} from '.';

const total = (areas: readonly { normal: Vec3 }[]) =>
  (areas as Parameters<typeof surfaceArea>[0][]).reduce((sum, surface) => sum + surfaceArea(surface), 0);
const contact = (a: Solid, b: Solid) => contactsBetween(surfacesOf(a), surfacesOf(b));

describe('a mortise and tenon, off the origin and turned', () => {
  // Stile 60 × 500 × 24 with a mortise 40 deep, 50 high, 8 thick; rail 70 high with its tenon 38 long.
  const stile: Solid = {
    blocks: [box([7, 3, 11], [67, 503, 35])],
    pockets: [box([27, 63, 19], [67, 113, 27])],
  };
  const rail: Solid = solidOf(box([67, 53, 11], [367, 123, 35]), box([29, 63, 19], [67, 113, 27]));
  const spin = (solid: Solid): Solid => ({
    blocks: solid.blocks.map((block) => turned(block, unit([1, 2, 3]), 0.7)),
    pockets: solid.pockets.map((pocket) => turned(pocket, unit([1, 2, 3]), 0.7)),
  });

  it.each([
    ['as drawn', stile, rail],
    ['turned', spin(stile), spin(rail)],
  ])('has the volume and the contact of its closed form, %s', (_, a, b) => {
    expect(solidVolume(a)).toBeCloseTo(60 * 500 * 24 - 40 * 50 * 8, 3);
    expect(solidVolume(b)).toBeCloseTo(300 * 70 * 24 + 38 * 50 * 8, 3);
    const cheeks = 2 * 38 * 50;
    const edges = 2 * 38 * 8;
    const shoulder = 70 * 24 - 50 * 8;
    expect(total(contact(a, b))).toBeCloseTo(cheeks + edges + shoulder, 3);
    expect(total(contact(b, a))).toBeCloseTo(cheeks + edges + shoulder, 3);
  });

  it('has a closed surface: areas weighted by their normals cancel', () => {
    for (const solid of [stile, rail, spin(stile)]) {
      const sum = surfacesOf(solid).reduce(
        (at, surface) => at.map((value, i) => value + surfaceArea(surface) * (surface.normal[i] ?? 0)),
        [0, 0, 0],
      );
      sum.forEach((value) => expect(Math.abs(value)).toBeLessThan(1e-3));
    }
  });
});

describe('two boxes side by side', () => {
  const side = fc.integer({ min: 5, max: 400 });
  it('touch in the overlap of their sides, whatever their sizes', () => {
    fc.assert(
      fc.property(
        side,
        side,
        side,
        side,
        side,
        fc.integer({ min: -300, max: 300 }),
        (l, w, h, l2, h2, shift) => {
          const a = solidOf(box([0, 0, 0], [l, w, h]));
          const b = solidOf(moved(box([0, 0, 0], [l2, w, h2]), [shift, w, 0]));
          const overlap = Math.max(0, Math.min(l, shift + l2) - Math.max(0, shift)) * Math.min(h, h2);
          expect(total(contact(a, b))).toBeCloseTo(overlap, 4);
        },
      ),
      { seed: 41, numRuns: 200 },
    );
  });

  it('do not touch across a gap or along an edge', () => {
    const a = solidOf(box([0, 0, 0], [100, 20, 20]));
    expect(contact(a, solidOf(box([0, 20.1, 0], [100, 40, 20])))).toEqual([]);
    expect(contact(a, solidOf(box([0, 20, 20], [100, 40, 40])))).toEqual([]);
  });
});

describe('outlines that are not convex', () => {
  it('meet in what they have in common, holes taken away', () => {
    const corner = extruded(
      'z',
      [
        [0, 0],
        [90, 0],
        [90, 30],
        [30, 30],
        [30, 80],
        [0, 80],
      ],
      0,
      12,
    );
    const lid = solidOf(box([10, 10, 12], [70, 60, 20]));
    const shared = 60 * 20 + 20 * 30;
    expect(total(contact(solidOf(corner), lid))).toBeCloseTo(shared, 3);
    const drilled: Solid = { blocks: [corner], pockets: [box([40, 12, 4], [50, 22, 12])] };
    expect(total(contact(drilled, lid))).toBeCloseTo(shared - 100, 3);
  });

  it('give loops back in space that run anticlockwise seen from outside', () => {
    for (const surface of surfacesOf(solidOf(box([1, 2, 3], [11, 22, 33])))) {
      const [a, b, c] = loopsInSpace(surface)[0] as [Vec3, Vec3, Vec3];
      const [p, q] = [
        [b[0] - a[0], b[1] - a[1], b[2] - a[2]],
        [c[0] - b[0], c[1] - b[1], c[2] - b[2]],
      ] as [Vec3, Vec3];
      const turnNormal =
        (p[1] * q[2] - p[2] * q[1]) * surface.normal[0] +
        (p[2] * q[0] - p[0] * q[2]) * surface.normal[1] +
        (p[0] * q[1] - p[1] * q[0]) * surface.normal[2];
      expect(turnNormal).toBeGreaterThan(0);
    }
  });

  it('are refused when nothing is left of them', () => {
    expect(() => box([0, 0, 0], [10, 0, 10])).toThrow('no size');
    expect(() => box([0, 0, 5], [10, 10, 5])).toThrow('no size');
  });
});

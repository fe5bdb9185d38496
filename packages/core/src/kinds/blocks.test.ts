import { buildOf } from '../test-support/builds';
import { deriveAssembly } from '../assembly';
import {
  contactsBetween,
  dot,
  loopsInSpace,
  solidPoints,
  subtract,
  type Surface,
  surfaceArea,
  surfacesOf,
  type Vec3,
} from '../solids';
import type { Answers } from './question';
import { layAssembly } from './lay-assembly';

const measure = (template: string, answers: Answers) =>
  deriveAssembly(layAssembly(buildOf({ template, name: 'T', project: '', service: 'dry', answers }), 9));

const middle = (loop: readonly Vec3[]): Vec3 => [
  loop.reduce((sum, [x]) => sum + x, 0) / loop.length,
  loop.reduce((sum, [, y]) => sum + y, 0) / loop.length,
  loop.reduce((sum, [, , z]) => sum + z, 0) / loop.length,
];
const centre = (surface: Surface): Vec3 => middle(loopsInSpace(surface)[0] ?? []);

describe('blocks of an odd-angle joint', () => {
  it.each([
    [55, 420, 360, 40],
    [90, 300, 500, 70],
    [130, 420, 360, 70],
    [150, 900, 700, 30],
  ])(
    'at %d° lie on the members and face each other square across the joint',
    (angleDeg, firstMm, secondMm, widthMm) => {
      const facts = measure('odd-angle', { angleDeg, firstMm, secondMm, widthMm, thicknessMm: 31 });
      const [one, other] = facts.assembly.aids.map(({ solid }) => surfacesOf(solid));
      const [first, second] = facts.parts;
      const [joint] = facts.joints;
      const contact = joint?.contacts[0];
      if (!one || !other || !first || !second || !contact) throw new Error('no blocks');
      // Each block has a side on its own member and not on the other.
      const touches = (block: readonly Surface[], part: typeof first) =>
        contactsBetween(block, part.surfaces).reduce((sum, each) => sum + surfaceArea(each), 0);
      expect(touches(one, first)).toBeGreaterThan(31 * 30);
      expect(touches(other, second)).toBeGreaterThan(31 * 30);
      expect(touches(one, second)).toBe(0);
      // The jaws' faces: opposite each other, along the normal of the joint.
      const jaw = (block: readonly Surface[]) =>
        block.find(({ normal }) => Math.abs(Math.abs(dot(normal, contact.normal)) - 1) < 1e-9);
      const [a, b] = [jaw(one), jaw(other)];
      if (!a || !b) throw new Error('no face square to the pull');
      expect(dot(a.normal, b.normal)).toBeCloseTo(-1, 9);
      const pull = subtract(centre(b), centre(a));
      const opening = Math.hypot(...pull);
      expect(Math.abs(dot(pull, a.normal))).toBeCloseTo(opening, 6);
      expect(facts.assembly.pulls[0]?.openingMm).toBeCloseTo(opening, 6);
      // The line of pull passes through the middle of the joint.
      const half = subtract(middle(contact.loops[0] ?? []), centre(a));
      expect(Math.hypot(...half) ** 2 - dot(half, a.normal) ** 2).toBeCloseTo(0, 4);
    },
  );

  it('says when the members are too short for blocks at so flat an angle', () => {
    const facts = measure('odd-angle', { angleDeg: 168, firstMm: 200, secondMm: 180, widthMm: 70 });
    expect(facts.assembly.aids).toEqual([]);
    expect(facts.assembly.findings.map(({ code }) => code)).toContain('no-room-for-blocks');
  });
});

describe('a panel with live edges', () => {
  const answers = {
    outline: 'live-edge',
    boards: 4,
    lengthMm: 1700,
    widthMm: 610,
    thicknessMm: 33,
    blockMm: 60,
  };

  it('keeps straight joints over the whole length and stays within its width', () => {
    const facts = measure('round-panel', answers);
    expect(facts.joints.map(({ contactMm2 }) => Math.round(contactMm2))).toEqual([56100, 56100, 56100]);
    expect(facts.toMm[1] - facts.fromMm[1]).toBeLessThanOrEqual(610);
    expect(facts.toMm[1] - facts.fromMm[1]).toBeGreaterThan(610 * 0.95);
  });

  it('scribes each block to its stretch of the edge, flat where the jaw sits', () => {
    const facts = measure('round-panel', answers);
    const flatAt = 610 / 2 + 60;
    // Corners of the edge in order along the panel, and the edge between two of them.
    const edge = (side: number) =>
      solidPoints((side < 0 ? facts.parts[0] : facts.parts.at(-1))?.part.solid ?? { blocks: [], pockets: [] })
        .filter(([, y, z]) => side * y > 250 && z === 0)
        .sort(([a], [b]) => a - b);
    const edgeAt = (side: number, x: number): number => {
      const corners = edge(side);
      const next = corners.findIndex(([cx]) => cx >= x);
      const [to, from] = [corners[next], corners[Math.max(0, next - 1)]];
      if (to === undefined || from === undefined) throw new Error(`no edge at ${x}`);
      const share = to[0] === from[0] ? 0 : (x - from[0]) / (to[0] - from[0]);
      return from[1] + share * (to[1] - from[1]);
    };
    expect(facts.assembly.aids.length).toBe(12);
    for (const { solid } of facts.assembly.aids) {
      const points = solidPoints(solid);
      const side = Math.sign(points[0]?.[1] ?? 1);
      const [jaw, scribed] = [
        points.filter(([, y]) => Math.abs(Math.abs(y) - flatAt) < 1e-9),
        points.filter(([, y]) => Math.abs(Math.abs(y) - flatAt) >= 1e-9),
      ];
      expect(jaw.length).toBeGreaterThan(0);
      // Straight stretches between different corners of one curve: half a millimetre at most.
      for (const [x, y] of scribed) expect(Math.abs(y - edgeAt(side, x))).toBeLessThan(0.5);
    }
  });
});

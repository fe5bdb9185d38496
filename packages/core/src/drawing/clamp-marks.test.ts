import type { BuildDocument } from '../formats';
import { KINDS } from '../kinds';
import { type Plan, planBuild, planQuestion, settlePlan } from '../plan';
import { add, dot, reach, scale, solidPoints, subtract, unit } from '../solids';
import { PRACTICE_SHOP } from '../test-support/practice';
import { assemblyMarks } from './assembly-marks';
import { clampMarks, frameWith } from './clamp-marks';
import type { AssemblyView } from './eye';

const VIEWS: readonly AssemblyView[] = ['slant', 'front', 'above', 'side'];
const settled = (template: string, answers: Record<string, string | number> = {}): Plan => {
  const { build, shop } = planQuestion({ template, shop: PRACTICE_SHOP, crew: 2, answers });
  return settlePlan(planBuild(build as BuildDocument, shop));
};
const clampsOf = (plan: Plan) => plan.squeeze?.pulls.flatMap(({ clamps }) => clamps) ?? [];

describe('clamps on the sheet', () => {
  it.each(KINDS.filter(({ row }) => row === null).map(({ id }) => id))(
    '%s: each is drawn once, and everything lies inside the frame',
    (template) => {
      const plan = settled(template);
      for (const view of VIEWS) {
        const marks = clampMarks(plan, view);
        expect(marks.map(({ number }) => number).filter((each) => each > 0)).toEqual(
          clampsOf(plan).map(({ number }) => number),
        );
        const { from, size } = frameWith(assemblyMarks(plan.facts, view), marks);
        for (const { band, bars, metal, wood, at } of marks) {
          expect(band.length + metal.length).toBeGreaterThan(0);
          for (const [x, y] of [...band, ...[...bars, ...metal, ...wood].flat()]) {
            expect(x).toBeGreaterThanOrEqual(from[0] - 1e-9);
            expect(y).toBeGreaterThanOrEqual(from[1] - 1e-9);
            expect(x).toBeLessThanOrEqual(from[0] + size[0] + 1e-9);
            expect(y).toBeLessThanOrEqual(from[1] + size[1] + 1e-9);
          }
          expect(at.every(Number.isFinite)).toBe(true);
        }
      }
    },
  );

  it('draws what holds blocks and corners, without numbers, where it stands', () => {
    const held = (plan: Plan) => clampMarks(plan, 'above').filter(({ number }) => number === 0);
    const angle = settled('odd-angle', {
      angleDeg: 130,
      firstMm: 400,
      secondMm: 400,
      widthMm: 60,
      thicknessMm: 20,
    });
    expect(held(angle)).toHaveLength(2);
    const blocks = settled('round-panel', { fixing: 'scribed-clamped' });
    expect(held(blocks)).toHaveLength(2 * blocks.facts.assembly.aids.length);
    // Over the edge: from above their pads lie half over the block and half over the work.
    for (const { at } of held(blocks)) expect(Math.abs(at[1])).toBeGreaterThan(100);
    const { build, shop } = planQuestion({
      template: 'tenon-frame',
      shop: PRACTICE_SHOP,
      crew: 2,
      answers: {},
      squeeze: { clampedDown: true },
    });
    const frame = settlePlan(planBuild(build as BuildDocument, shop));
    const corners = held(frame);
    expect(corners).toHaveLength(4);
    const { fromMm, toMm } = frame.facts;
    const [left, right] = [
      corners.filter(({ at }) => at[0] < (fromMm[0] + toMm[0]) / 2),
      corners.filter(({ at }) => at[0] > (fromMm[0] + toMm[0]) / 2),
    ];
    expect([left.length, right.length]).toEqual([2, 2]);
  });

  it('draws jaws as wide as their pads, on blocks as thick as they are said to be', () => {
    const plan = settled('tenon-frame');
    const [mark] = clampMarks(plan, 'above');
    const [clamp] = clampsOf(plan);
    const extent = (points: readonly (readonly [number, number])[], k: 0 | 1) => {
      const values = points.map((point) => point[k]);
      return Math.max(...values) - Math.min(...values);
    };
    // From above a bar across x lies flat: jaws are as wide as the pad along y.
    expect(extent(mark?.metal[0] ?? [], 1)).toBeCloseTo(clamp?.lot.padWidthMm ?? NaN, 9);
    expect(extent(mark?.wood[0] ?? [], 0)).toBeCloseTo(20, 9);
    // The bar reaches from jaw to jaw over the frame, blocks and screw.
    expect(extent(mark?.bars[0] ?? [], 0)).toBeGreaterThan(900 + 2 * 20);
  });

  it('runs bars beside the work, not through it, and hides those behind it', () => {
    const plan = settled('face-lamination');
    const marks = clampMarks(plan, 'slant');
    expect(new Set(marks.map(({ behind }) => behind))).toEqual(new Set([true, false]));
    const flat = clampMarks(settled('tenon-frame'), 'slant');
    expect(flat.every(({ behind }) => !behind)).toBe(true);
  });

  it('draws tape as strips without numbers', () => {
    const marks = clampMarks(settled('veneer-seam'), 'above');
    expect(marks.every(({ strip }) => strip)).toBe(true);
  });
});

describe('clamps of a bend', () => {
  const plan = settled('bent-lamination', { radiusMm: 500, arcDeg: 160, thicknessMm: 24 });
  const shapes = clampsOf(plan).flatMap(({ shape }) => (shape.kind === 'jaws' ? [shape] : []));

  it('stand radially within 2°, evenly along the arc', () => {
    expect(shapes.length).toBeGreaterThan(6);
    const angles = shapes.map(({ from, to }) => {
      const way = unit(subtract(to, from));
      // The centre of the arc is the origin in x and z.
      const out = unit([to[0], 0, to[2]]);
      expect((Math.acos(Math.min(1, dot(way, out))) * 180) / Math.PI).toBeLessThan(2.3);
      return Math.atan2(to[2], to[0]);
    });
    const sorted = [...angles].sort((a, b) => a - b);
    const steps = sorted.slice(1).map((angle, i) => angle - (sorted[i] ?? 0));
    expect(Math.max(...steps) / Math.min(...steps)).toBeLessThan(2);
  });

  it('open from the inside of the form to the outermost ply', () => {
    for (const { from, to } of shapes) {
      expect(Math.hypot(to[0], to[2])).toBeCloseTo(524, 0);
      expect(Math.hypot(...subtract(to, from))).toBeCloseTo(plan.pulls[0]?.pull.openingMm ?? NaN, 6);
    }
  });
});

describe('clamps over blocks', () => {
  it('pull from block to block, square to an odd joint', () => {
    const plan = settled('odd-angle', { angleDeg: 110 });
    const [clamp] = clampsOf(plan);
    if (clamp?.shape.kind !== 'jaws') throw new Error('An odd joint is pulled by a bar.');
    const { from, to } = clamp.shape;
    const way = unit(subtract(to, from));
    const normal = plan.facts.joints[0]?.contacts[0]?.normal ?? [0, 0, 0];
    expect(Math.abs(dot(way, normal))).toBeCloseTo(1, 6);
    const blocks = plan.facts.assembly.aids
      .filter(({ role }) => role === 'block')
      .flatMap(({ solid }) => solidPoints(solid));
    const [low, high] = reach(blocks, way);
    expect(Math.hypot(...subtract(to, from))).toBeCloseTo(high - low, 6);
    // The pull crosses the middle of the joint.
    const middle = scale(add(from, to), 0.5);
    const along = unit([-way[1], way[0], 0]);
    const loops = plan.facts.joints[0]?.contacts[0]?.loops.flat() ?? [];
    const [a, b] = reach(loops, along);
    // Places are whole millimetres.
    expect(Math.abs(dot(middle, along) - (a + b) / 2)).toBeLessThanOrEqual(0.5);
  });

  it('hold a mitre corner by corner across its own joint', () => {
    const plan = settled('mitred-frame', { pressed: 'corner-by-corner' });
    for (const { pull } of plan.pulls) {
      const own = plan.facts.joints.find(({ joint }) => joint.id === pull.joints[0]);
      expect(Math.abs(dot(pull.axis, own?.contacts[0]?.normal ?? [0, 0, 0]))).toBeCloseTo(1, 6);
    }
  });
});

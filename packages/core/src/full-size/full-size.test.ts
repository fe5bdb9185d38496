import fc from 'fast-check';
import { DEMO_SHOP, seasonBuilds, stageFloor, wagonBuilds } from '../demo';
import { ofCode } from '../findings';
import { reinforcementOptions } from '../assembly';
import type { BuildDocument } from '../formats';
import { mitredCorner, type Plan, planBuild, settlePlan } from '../plan';
import { newBuild } from '../templates';
import type { Vec2 } from '../solids';
import { fullSizeItems, type FullSizeItem, type Shape, shapePoints } from '.';
import { withArcs } from './with-arcs';

const builds = [stageFloor(DEMO_SHOP), ...[...wagonBuilds(), ...seasonBuilds()].map(({ build }) => build)];
const plans = builds.map((build) => settlePlan(planBuild(build, DEMO_SHOP)));
const planOf = (template: string) => {
  const plan = plans.find(({ build }) => build.template === template);
  if (plan === undefined) throw new Error(`The demo has no ${template}.`);
  return plan;
};
const itemOf = (template: string, kind: FullSizeItem['kind']) => {
  const item = fullSizeItems(planOf(template)).find((each) => each.kind === kind);
  if (item === undefined) throw new Error(`${template} has no ${kind}.`);
  return item;
};
const arcsOf = ({ shapes }: FullSizeItem) =>
  shapes.filter((shape): shape is Extract<Shape, { kind: 'arc' }> => shape.kind === 'arc');

describe('templates at full size', () => {
  it('of every build have lines of some length, only finite ones, and something to cut', () => {
    for (const plan of plans) {
      for (const { shapes, labels, count } of fullSizeItems(plan)) {
        expect(count).toBeGreaterThan(0);
        expect(shapes.some(({ layer }) => layer === 'cut')).toBe(true);
        const numbers = [
          ...shapes.flatMap((shape) => shapePoints(shape).flat()),
          ...labels.flatMap(({ at }) => at),
        ];
        expect(numbers.every(Number.isFinite)).toBe(true);
      }
    }
  });

  it('a form is tighter by the springback, its arc as long as the curve that is wanted', () => {
    const plan = planOf('bent-lamination');
    const { radiusMm, arcDeg } = plan.build.answers as { radiusMm: number; arcDeg: number };
    const [face] = arcsOf(itemOf('bent-lamination', 'bend-form'));
    const bent = ofCode(plan.findings, 'bend-plies');
    if (face === undefined || bent === undefined) throw new Error('no face');
    expect(face.radiusMm).toBeCloseTo(bent.values.formRadiusMm, 9);
    expect(face.radiusMm).toBeLessThan(radiusMm);
    const lengthMm = (face.radiusMm * (face.toDeg - face.fromDeg) * Math.PI) / 180;
    // Twice 25 mm left long to be trimmed.
    expect(lengthMm - 50).toBeCloseTo((radiusMm * arcDeg * Math.PI) / 180, 6);
  });

  it('has a hole for every clamp, behind the face, each pulled along a radius', () => {
    const plan = planOf('bent-lamination');
    const form = itemOf('bent-lamination', 'bend-form');
    const [face] = arcsOf(form);
    const holes = form.shapes.filter(({ layer }) => layer === 'drill');
    const clamps = plan.squeeze?.pulls.flatMap((pull) => pull.clamps).length ?? 0;
    expect(holes.length).toBeGreaterThanOrEqual(clamps);
    for (const hole of holes) {
      if (hole.kind !== 'circle') throw new Error('no hole');
      const away = Math.hypot(...hole.centre);
      expect((face?.radiusMm ?? 0) - away - hole.radiusMm).toBeCloseTo(30, 9);
    }
  });

  it('draws the strip as long as the panel, with every clamp where the plan puts it', () => {
    const { row } = planOf('edge-panel');
    const strip = itemOf('edge-panel', 'clamp-strip');
    const xs = strip.shapes.flatMap((shape) => shapePoints(shape).map(([x]) => x));
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(row?.panel.lengthMm ?? 0, 9);
    const numbered = strip.labels.flatMap(({ at, says }) => (says.code === 'clamp' ? [at[0]] : []));
    expect(numbered).toEqual(row?.clampSet.clamps.map(({ placed }) => placed.xMm));
  });

  it('draws the crown as high as the plan says, for both cauls of each pair', () => {
    const { row } = planOf('edge-panel');
    const crown = itemOf('edge-panel', 'caul-crown');
    const [edge] = crown.shapes;
    if (edge?.kind !== 'line') throw new Error('no edge');
    expect(Math.max(...edge.points.map(([, y]) => y))).toBeCloseTo(row?.cauls?.crown.crownMm ?? 0, 9);
    expect(crown.count).toBe(2 * (row?.cauls?.pairs ?? 0));
  });

  it('marks every slat of a frame once, however many bays hold it', () => {
    const plan = planOf('slatted-frame');
    const names = itemOf('slatted-frame', 'story-stick').labels.filter(({ says }) => says.code === 'name');
    const { slats } = plan.build.answers as { slats: number };
    expect(names).toHaveLength(slats);
  });

  it('draws blocks of an odd corner once for both members', () => {
    const start = { template: 'odd-angle', name: 'Strut', project: '', service: 'dry', answers: {} } as const;
    let made = 0;
    const build = newBuild(start, DEMO_SHOP, () => `id-${(made += 1)}`);
    const blocks = fullSizeItems(settlePlan(planBuild(build, DEMO_SHOP))).filter(
      ({ kind }) => kind === 'block',
    );
    expect(blocks.map(({ count }) => count)).toEqual(blocks.map(() => 2));
    expect(blocks.length).toBeGreaterThan(0);
  });
});

describe('what is chopped, drilled and kerfed', () => {
  const settled = (
    template: string,
    answers: BuildDocument['answers'],
    change: Partial<BuildDocument> = {},
  ) => {
    let made = 0;
    const start = { template, name: 'Made', project: '', service: 'dry', answers } as const;
    const build = newBuild(start, DEMO_SHOP, () => `id-${(made += 1)}`);
    return settlePlan(planBuild({ ...build, ...change }, DEMO_SHOP));
  };
  const only = (plan: Plan, kind: FullSizeItem['kind']) => {
    const items = fullSizeItems(plan).filter((item) => item.kind === kind);
    if (items[0] === undefined) throw new Error(`no ${kind}`);
    return { first: items[0], items };
  };

  it('has slots in a block over tenons as wide as they are and a little, as deep as they stand out', () => {
    const plan = settled('case', { corners: 'through-tenon' });
    const { items } = only(plan, 'u-block');
    const hollowed = plan.facts.assembly.aids.filter(({ solid }) => solid.pockets.length > 0);
    expect(items.reduce((sum, { count }) => sum + count, 0)).toBe(hollowed.length);
    for (const { shapes, labels, thicknessMm } of items) {
      const [block, ...slots] = shapes.map((shape) => shapePoints(shape));
      const wide = (points: readonly Vec2[] = [], axis: 0 | 1) =>
        Math.max(...points.map((point) => point[axis])) - Math.min(...points.map((point) => point[axis]));
      expect(slots.length).toBeGreaterThan(0);
      for (const slot of slots) {
        expect(wide(slot, 0)).toBeLessThan(wide(block, 0));
        expect(wide(slot, 1)).toBeLessThan(wide(block, 1));
      }
      for (const { says } of labels) {
        if (says.code === 'deep') expect(says.mm).toBeLessThanOrEqual(thicknessMm ?? 0);
      }
    }
  });

  it('drills pegs where the panel puts them, and slots that leave room for a year of movement', () => {
    const plan = settled('breadboard', {});
    const { pegs, pegMm, panelWidthMm } = plan.build.answers as Record<string, number>;
    const { first: strip } = only(plan, 'peg-strip');
    const drilled = strip.shapes.filter(({ layer }) => layer === 'drill');
    const inTheEnd = drilled.slice(0, pegs);
    const inTheTongue = drilled.slice(pegs);
    expect(inTheTongue).toHaveLength(pegs ?? 0);
    const middles = inTheEnd.map((hole) => (hole.kind === 'circle' ? hole.centre[0] : Number.NaN));
    expect(middles[(middles.length - 1) / 2]).toBeCloseTo((panelWidthMm ?? 0) / 2, 9);
    // As far from one edge as from the other.
    middles.forEach((x, i) => expect(x + (middles.at(-1 - i) ?? 0)).toBeCloseTo(panelWidthMm ?? 0, 9));
    inTheTongue.forEach((hole, i) => {
      const xs = shapePoints(hole).map(([x]) => x);
      const [from, to] = [Math.min(...xs), Math.max(...xs)];
      const at = middles[i] ?? 0;
      const values = plan.findings.flatMap((found) => (found.code === 'peg-slot' ? [found.values] : []));
      const told = values.find(({ peg }) => peg === i + 1);
      expect(to - from).toBeCloseTo(told?.slotMm ?? pegMm ?? 0, 6);
      // The hole reaches further out than in on either side, for wood that is drier in winter.
      if (told !== undefined) {
        const out = at < (panelWidthMm ?? 0) / 2 ? at - from : to - at;
        expect(out - (pegMm ?? 0) / 2).toBeCloseTo(told.outwardMm, 6);
      }
    });
  });

  it('sets a blade as high as the keys go, each kerf inside the thickness; none where no key is chosen', () => {
    const bare = settled('mitred-frame', {});
    expect(fullSizeItems(bare).some(({ kind }) => kind === 'key-jig')).toBe(false);
    const mitred = mitredCorner(bare);
    const notes = (mitred?.joints ?? []).map((id) => ({ id, gapMm: null, reinforcement: 'key' as const }));
    const { first: stick } = only(settled('mitred-frame', {}, { jointNotes: notes }), 'key-jig');
    const blade = stick.labels.find(({ says }) => says.code === 'blade')?.says;
    const key = reinforcementOptions(mitred?.corner ?? { faceMm: 0, thicknessMm: 0, angleDeg: 90 }).find(
      ({ reinforcement }) => reinforcement === 'key',
    );
    expect(blade).toEqual({ code: 'blade', mm: key?.cut?.bladeMm });
    const kerfs = stick.shapes.filter(({ layer, kind }) => layer === 'mark' && kind === 'line').slice(2);
    expect(kerfs).toHaveLength(2 * (key?.cut?.count ?? 0));
    for (const kerf of kerfs) {
      for (const [x] of shapePoints(kerf)) {
        expect(x).toBeGreaterThan(0);
        expect(x).toBeLessThan(mitred?.corner.thicknessMm ?? 0);
      }
    }
  });
});

/** Corners of an arc, drawn with so many stretches, its ends included. */
const corners = (radius: number, fromDeg: number, toDeg: number, stretches: number): Vec2[] =>
  Array.from({ length: stretches + 1 }, (_, i) => {
    const angle = ((fromDeg + ((toDeg - fromDeg) * i) / stretches) * Math.PI) / 180;
    return [radius * Math.cos(angle), radius * Math.sin(angle)];
  });

describe('arcs of an outline', () => {
  it('are found again with their radius and angle, outer and inner, wherever the outline begins', () => {
    const ring = fc.record({
      radius: fc.integer({ min: 80, max: 3000 }),
      deep: fc.integer({ min: 10, max: 60 }),
      from: fc.integer({ min: 0, max: 359 }),
      sweep: fc.integer({ min: 25, max: 300 }),
      stretches: fc.integer({ min: 15, max: 50 }),
      start: fc.nat(200),
      backward: fc.boolean(),
    });
    fc.assert(
      fc.property(ring, ({ radius, deep, from, sweep, stretches, start, backward }) => {
        const [outer, inner] = [radius, radius - deep].map((r) => corners(r, from, from + sweep, stretches));
        const whole = [...(outer ?? []), ...(inner ?? []).reverse()];
        if (backward) whole.reverse();
        const turned = whole.map((_, i) => whole[(i + start) % whole.length] as Vec2);
        const shapes = withArcs(turned, 'cut');
        const arcs = shapes.filter((shape): shape is Extract<Shape, { kind: 'arc' }> => shape.kind === 'arc');
        expect(arcs.map(({ radiusMm }) => Math.round(radiusMm)).sort((a, b) => a - b)).toEqual([
          radius - deep,
          radius,
        ]);
        for (const { fromDeg, toDeg, centre } of arcs) {
          expect(toDeg - fromDeg).toBeCloseTo(sweep, 5);
          expect(Math.hypot(...centre)).toBeLessThan(1e-4 * radius);
        }
        // Two straight ends close it.
        expect(shapes.filter(({ kind }) => kind === 'line')).toHaveLength(2);
      }),
      { seed: 41, numRuns: 300 },
    );
  });

  it('leaves an ellipse and a rectangle as they are', () => {
    const ellipse = Array.from({ length: 60 }, (_, i): Vec2 => [
      300 * Math.cos((i * Math.PI) / 30),
      170 * Math.sin((i * Math.PI) / 30),
    ]);
    for (const outline of [
      ellipse,
      [
        [0, 0],
        [90, 0],
        [90, 40],
        [0, 40],
      ] as Vec2[],
    ]) {
      expect(withArcs(outline, 'cut')).toEqual([
        { kind: 'line', layer: 'cut', points: outline, closed: true },
      ]);
    }
  });
});

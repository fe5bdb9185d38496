import { ofCode } from '../../findings';
import { DEMO_SHOP, wagonBuilds } from '../../demo';
import { findFixes } from '../../fixes';
import type { BuildDocument } from '../../formats';
import { band, opposedPulls, rackingN } from '../../geometry';
import { panelPressure } from '../../mechanics';
import { remembered } from '../../basics/remembered';
import { MAIN_AXES, reach, solidPoints } from '../../solids';
import { buildOf, demoAssembly } from '../../test-support/builds';
import { planBuild, settlePlan } from '../plan-build';
import { pullOpenings, pullTightening } from '.';

const press = remembered(panelPressure, 50);
const settled = (build: BuildDocument, shop = DEMO_SHOP) => settlePlan(planBuild(build, shop), press);
const pullsOf = (build: BuildDocument) => settled(build).squeeze?.pulls ?? [];

describe('clamps in their places', () => {
  it.each(wagonBuilds().map(({ id, build }) => [id, build] as const))(
    '%s: numbered through, as many as are taken, inside the reach of the work',
    (_id, build) => {
      const plan = settled(build);
      const clamps = plan.squeeze?.pulls.flatMap((pull) => pull.clamps) ?? [];
      expect(clamps.map(({ number }) => number)).toEqual(clamps.map((_, i) => i + 1));
      for (const { planned, clamps: own } of plan.squeeze?.pulls ?? []) {
        const taken = planned.taken.reduce((sum, { count }) => sum + count, 0);
        expect(own.length).toBeLessThanOrEqual(taken);
      }
      const aids = plan.facts.assembly.aids.flatMap(({ solid }) => solidPoints(solid));
      const [from, to] = [0, 1].map((end) =>
        MAIN_AXES.map((axis, k) => {
          const own = (end === 0 ? plan.facts.fromMm : plan.facts.toMm)[k] ?? 0;
          const blocks = aids.length === 0 ? own : (reach(aids, axis)[end] ?? own);
          return end === 0 ? Math.min(own, blocks) : Math.max(own, blocks);
        }),
      ) as [number[], number[]];
      for (const { shape } of clamps) {
        const points =
          shape.kind === 'jaws' ? [shape.from, shape.to] : shape.kind === 'band' ? shape.loop : [shape.at];
        for (const point of points) {
          point.forEach((value, k) => {
            // Bars lie a little off the faces.
            expect(value).toBeGreaterThan((from[k] ?? 0) - 60);
            expect(value).toBeLessThan((to[k] ?? 0) + 60);
          });
        }
      }
    },
  );

  it('stand in line with the rails of a frame, one to each', () => {
    const [across] = pullsOf(demoAssembly('scenery-flats'));
    expect(across?.clamps).toHaveLength(3);
    const heights = across?.clamps.map(({ shape }) => (shape.kind === 'jaws' ? shape.from[1] : NaN)) ?? [];
    expect(new Set(heights.map(Math.round)).size).toBe(3);
    for (const { shape } of across?.clamps ?? []) {
      if (shape.kind !== 'jaws') throw new Error('a bar has jaws');
      expect(shape.from[1]).toBeCloseTo(shape.to[1], 9);
      expect(shape.to[0] - shape.from[0]).toBeCloseTo(880, 6);
    }
  });

  it('never stand in one another on a stack', () => {
    const [down] = pullsOf(demoAssembly('trestle-feet'));
    const spots = (down?.clamps ?? []).map(({ shape, lot }) => {
      if (shape.kind !== 'jaws') throw new Error('a clamp has jaws');
      return { x: shape.from[0], y: shape.from[1], padMm: lot.padWidthMm, padHeightMm: lot.padHeightMm };
    });
    spots.forEach((a, i) =>
      spots.slice(i + 1).forEach((b) => {
        const sameRow = Math.abs(a.y - b.y) < 1;
        if (sameRow) expect(Math.abs(a.x - b.x)).toBeGreaterThanOrEqual((a.padMm + b.padMm) / 2);
      }),
    );
  });
});

describe('pressure on stacks', () => {
  it('has the mean that statics says, on every joint, and a lowest below it', () => {
    const sizes: readonly BuildDocument['answers'][] = [{}, { layers: 4 }, { blanks: 1, lengthMm: 500 }];
    for (const answers of sizes) {
      const feet = demoAssembly('trestle-feet');
      const [pull] = pullsOf({ ...feet, answers: { ...feet.answers, ...answers } });
      expect(pull?.by).toBe('elements');
      const totalN = pull?.clamps.reduce((sum, { forceN }) => sum + forceN, 0) ?? 0;
      for (const { meanMPa, minMPa } of pull?.joints ?? []) {
        expect(minMPa).toBeLessThanOrEqual(meanMPa);
        expect(minMPa).toBeGreaterThan(0.5 * meanMPa);
        expect(meanMPa).toBeCloseTo(totalN / (pull?.planned.areaMm2 ?? 1), 2);
      }
    }
  });

  it('is more even through cauls, and poor at the edges under bare narrow jaws', () => {
    const lowest = (kind: 'bare' | 'blocks' | 'cauls') =>
      Math.min(
        ...(pullsOf({
          ...demoAssembly('trestle-feet'),
          squeeze: { packing: { kind, thicknessMm: 30 } },
        })[0]?.joints.map(({ minMPa }) => minMPa) ?? [0]),
      );
    expect(lowest('cauls')).toBeGreaterThan(lowest('blocks'));
    expect(lowest('bare')).toBeLessThan(0.6 * lowest('blocks'));
  });

  it('presses sheets between platens where there is no bag, and less high above the sea', () => {
    const sheet = demoAssembly('backdrop');
    const low = settled(sheet);
    const high = settled(sheet, { ...DEMO_SHOP, altitudeM: 1600 });
    expect((low.verdicts.tight.figure ?? 0) - (high.verdicts.tight.figure ?? 0)).toBeCloseTo(0.016, 6);
    expect(high.verdicts.tight.state).not.toBe('holds');
    const [between] = pullsOf({
      ...sheet,
      squeeze: { press: 'cauls', packing: { kind: 'cauls', thicknessMm: 25 } },
    });
    expect(between?.by).toBe('layer');
    expect(between?.joints[0]?.minMPa).toBeLessThan(between?.joints[0]?.meanMPa ?? 0);
  });
});

describe('mitres under bands', () => {
  it('get less round every corner, as the rope equation has it, and more over waxed paper', () => {
    const build = { ...demoAssembly('dressing-mirror'), squeeze: { counts: [{ pull: 'round', count: 1 }] } };
    const [round] = pullsOf(build);
    const corners = round?.joints.map(({ minMPa }) => minMPa) ?? [];
    const turned = Math.exp((-0.25 * Math.PI) / 2);
    expect((corners[1] ?? 0) / (corners[0] ?? 1)).toBeCloseTo(turned, 6);
    expect((corners[2] ?? 0) / (corners[0] ?? 1)).toBeCloseTo(turned ** 2, 6);
    const [waxed] = pullsOf({ ...build, squeeze: { ...build.squeeze, slip: true } });
    expect(waxed?.joints[2]?.minMPa).toBeGreaterThan(corners[2] ?? 0);
    // Without friction all would be what the band alone gives.
    const [bare] = band({ interiorAnglesDeg: [90, 90, 90, 90], tensionN: 1200, faceAreaMm2: 1 });
    expect((corners[0] ?? 0) * (round?.planned.areaMm2 ?? 0)).toBeCloseTo(bare?.normalN ?? 0, 3);
  });

  it('a second band, ratcheted across, evens them out', () => {
    const shares = (count: number) => {
      const build = { ...demoAssembly('dressing-mirror'), squeeze: { counts: [{ pull: 'round', count }] } };
      const all = pullsOf(build)[0]?.joints.map(({ minMPa }) => minMPa) ?? [];
      return Math.min(...all) / Math.max(...all);
    };
    expect(shares(2)).toBeGreaterThan(shares(1));
  });

  it('opposed clamps slide past 1.27 to 1 at wet friction', () => {
    expect(opposedPulls({ acrossN: 1000, downN: 1000, friction: 0.12 }).mostRatio).toBeCloseTo(1.27, 2);
    expect(opposedPulls({ acrossN: 1260, downN: 1000, friction: 0.12 }).slides).toBe(false);
    expect(opposedPulls({ acrossN: 1290, downN: 1000, friction: 0.12 }).slides).toBe(true);
    expect(opposedPulls({ acrossN: 800, downN: 600, friction: 0.12 }).normalN).toBeCloseTo(494.97, 1);
  });
});

describe('what is said of it', () => {
  it('tells once how a skewed jaw racks the frame, and which way mends it', () => {
    const pulls = pullsOf(demoAssembly('costume-trunk'));
    const said = pulls.flatMap(({ findings }) => findings);
    const skew = said.filter(({ code }) => code.startsWith('skew-'));
    expect(skew).toHaveLength(1);
    expect(skew[0]).toMatchObject({ code: 'skew-corrects', values: { long: 'A–C' } });
    expect(ofCode(skew, 'skew-corrects')?.values.forceN).toBeCloseTo(
      rackingN(pulls[0]?.clamps[0]?.forceN ?? NaN, 10, 860),
      6,
    );
  });

  it('says that narrow jaws crush soft wood, and that reach and spacing fall short', () => {
    const soft = buildOf({
      template: 'face-lamination',
      name: 'Soft',
      project: '',
      service: 'dry',
      answers: { species: 'eastern-white-pine', widthMm: 300, layers: 2 },
    });
    const bare = pullsOf({ ...soft, squeeze: { packing: { kind: 'bare', thicknessMm: 0 } } });
    const codes = bare.flatMap(({ findings }) => findings.map(({ code }) => code));
    expect(codes).toContain('pad-crushes');
    expect(codes).toContain('jaws-do-not-reach');
    const pole = demoAssembly('awning-pole');
    const toldOf = (build: BuildDocument) =>
      pullsOf(build).flatMap(({ findings }) => findings.map(({ code }) => code));
    // Worked out, clamps stand near enough; one by itself does not do.
    expect(toldOf(pole)).not.toContain('clamps-far-apart');
    const [pull] = pullsOf(pole);
    const one = { counts: [{ pull: pull?.planned.pull.id ?? '', count: 1 }] };
    expect(toldOf({ ...pole, squeeze: one })).toContain('clamps-far-apart');
  });

  it('lists every clamp to open and how it is brought together', () => {
    const plan = settled(demoAssembly('costume-trunk'));
    if (plan.squeeze === null) throw new Error('a case is squeezed');
    const openings = pullOpenings(plan.squeeze);
    const numbers = openings.flatMap((opening) => opening.numbers);
    expect(openings.reduce((sum, { count }) => sum + count, 0)).toBe(numbers.length);
    expect([...numbers].sort((a, b) => a - b)).toEqual(numbers.map((_, i) => i + 1));
    // Levels 340 mm deep want two clamps each.
    expect(numbers.length).toBeGreaterThanOrEqual(8);
    const codes = pullTightening(plan, plan.squeeze).map(({ code }) => code);
    expect(codes).toEqual([
      'tighten-seat',
      'tighten-seat',
      'relieve-slide-restore',
      'read-diagonals',
      'sight-wind',
    ]);
  });
});

describe('changes that mend it', () => {
  const fixed = (build: BuildDocument) => {
    const plan = planBuild(build, DEMO_SHOP);
    return { plan: settlePlan(plan, press), fixes: findFixes(plan, DEMO_SHOP, press) };
  };

  it('state what really comes when they are taken, by the same elements', () => {
    for (const id of ['gable-sign', 'awning-pole', 'scenery-flats']) {
      const { plan, fixes } = fixed(demoAssembly(id));
      for (const fix of [...fixes.tight, ...fixes.square, ...fixes.flat]) {
        expect(fix.before).toEqual(plan.verdicts[fix.aspect]);
        expect(fix.after).toEqual(settled(fix.build).verdicts[fix.aspect]);
      }
    }
  });

  it.each([
    ['gable-sign', 'tight', ['more-on-pull']],
    ['scenery-flats', 'square', ['pull-diagonal']],
    ['costume-trunk', 'flat', ['clamp-down']],
  ] as const)('%s, %s: %j', (id, aspect, codes) => {
    const { fixes } = fixed(demoAssembly(id));
    expect(fixes[aspect].map(({ change }) => change.code)).toEqual(expect.arrayContaining([...codes]));
  });

  it('mend wide last mitres, one-sided veneer and joints that stand open', () => {
    const mirror = { ...demoAssembly('gable-sign'), goals: { flatMm: 1, squareMm: 0.2 } };
    expect(fixed(mirror).fixes.square[0]?.change.code).toBe('shoot-mitres');
    const oneSided: BuildDocument = {
      ...demoAssembly('backdrop'),
      answers: { ...demoAssembly('backdrop').answers, faces: 'one' },
      glue: { ...demoAssembly('backdrop').glue, adhesive: 'epoxy-slow' },
    };
    expect(fixed(oneSided).fixes.flat[0]?.change.code).toBe('veneer-both');
    const open: BuildDocument = {
      ...demoAssembly('scenery-flats'),
      jointNotes: [
        {
          id: planBuild(demoAssembly('scenery-flats'), DEMO_SHOP).joints[0]?.facts.joint.id ?? '',
          gapMm: 0.9,
          reinforcement: 'none',
        },
      ],
    };
    expect(fixed(open).plan.verdicts.tight.state).toBe('fails');
    expect(fixed(open).fixes.tight.map(({ change }) => change.code)).toContain('cut-again');
  });
});

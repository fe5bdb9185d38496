import { DEMO_SHOP, stageFloor, wagonBuilds } from '../demo';
import { planBuild, settlePlan } from '../plan';
import { assemblyMarks } from './assembly-marks';
import { clampMarks } from './clamp-marks';
import type { Figure } from './figures';
import { assemblyFigure, drawingOf, panelFigure } from './lowered';
import { panelMarks } from './panel-marks';

const plans = wagonBuilds().map(({ build }) => planBuild(build, DEMO_SHOP));

const corners = ({ paths }: Figure) => paths.flatMap(({ points }) => points);

const spread = (values: readonly number[]) => Math.max(...values) - Math.min(...values);

describe('assemblyFigure', () => {
  it.each(plans.map((plan) => [plan.build.template, plan] as const))(
    'draws %s as large as its marks, with every side and every clamp',
    (_, plan) => {
      const marks = assemblyMarks(plan.facts, 'slant');
      const clamps = clampMarks(settlePlan(plan), 'slant');
      const bare = assemblyFigure(marks);
      expect(bare.paths).toHaveLength(marks.sides.length);
      expect(spread(corners(bare).map(([x]) => x))).toBeCloseTo(marks.size[0], 6);
      expect(spread(corners(bare).map(([, y]) => y))).toBeCloseTo(marks.size[1], 6);
      expect(bare.labels.map(({ text }) => text)).toEqual(marks.parts.map(({ label }) => label));
      const clamped = assemblyFigure(marks, clamps);
      const drawn = clamps.reduce(
        (sum, { band, bars, metal }) => sum + Math.sign(band.length) + bars.length + metal.length,
        0,
      );
      expect(clamped.paths.filter(({ ink }) => ink === 'mark')).toHaveLength(drawn);
      expect(corners(clamped).flat().every(Number.isFinite)).toBe(true);
    },
  );

  it('marks only what is touched', () => {
    const plan = plans.find(({ build }) => build.template === 'tenon-frame');
    if (plan === undefined) throw new Error('The demo has no frame.');
    const clamps = clampMarks(settlePlan(plan), 'front');
    const marks = assemblyMarks(plan.facts, 'front');
    const [joint] = plan.facts.joints;
    const figure = assemblyFigure(marks, clamps, {
      joints: [0],
      parts: [joint?.joint.a ?? '', joint?.joint.b ?? ''],
      clamp: 2,
    });
    const lit = marks.sides.filter(({ part }) => part === joint?.joint.a || part === joint?.joint.b);
    expect(figure.paths.filter(({ ink }) => ink === 'lit')).toHaveLength(lit.length);
    expect(figure.paths.filter(({ ink }) => ink === 'glue')).toHaveLength(marks.joints[0]?.loops.length ?? 0);
    expect(figure.labels.map(({ text }) => text)).toEqual(['2']);
  });
});

describe('drawingOf', () => {
  it.each(plans.map((plan) => [plan.build.template, plan] as const))('draws %s', (_, plan) => {
    const settled = settlePlan(plan);
    const { labels, enlarged } = drawingOf(settled);
    const straight = plan.row !== null && !plan.row.panel.outlined;
    const numbers = straight
      ? panelMarks(plan.row).clamps.map(({ number }) => number)
      : clampMarks(settled, 'slant').flatMap(({ strip, number }) => (strip ? [] : [number]));
    expect(enlarged).toBe(1);
    expect(labels.flatMap(({ value }) => value ?? [])).toEqual(numbers);
  });
});

describe('panelFigure', () => {
  const plan = planBuild(stageFloor(DEMO_SHOP), DEMO_SHOP);

  it('has every board, line, caul and clamp where the plan puts it', () => {
    if (plan.row === null) throw new Error('A floor is a row.');
    const marks = panelMarks(plan.row);
    const { paths, labels } = panelFigure(marks);
    const inked = (wanted: string) => paths.filter(({ ink }) => ink === wanted);
    expect(inked('wood')).toHaveLength(marks.boards.length);
    expect(inked('glue').map(({ points }) => -(points[0]?.[1] ?? NaN))).toEqual(
      marks.lines.map(({ yMm }) => yMm),
    );
    expect(inked('ghost')).toHaveLength(marks.caulsAtMm.length);
    expect(inked('mark').map(({ points }) => points[0]?.[0])).toEqual(marks.clamps.map(({ xMm }) => xMm));
    expect(labels.map(({ text }) => text)).toEqual([
      ...marks.boards.map(({ label }) => label),
      ...marks.clamps.map(({ number }) => String(number)),
    ]);
    const woodX = inked('wood').flatMap(({ points }) => points.map(([x]) => x));
    expect(spread(woodX)).toBeCloseTo(marks.lengthMm, 9);
  });
});

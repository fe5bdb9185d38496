import { type Finding, ofCode } from '../../findings';
import { gatherList } from '../../bench';
import type { BuildDocument, RackLot, ShopDocument } from '../../formats';
import { buildOf } from '../../test-support/builds';
import { PRACTICE_SHOP } from '../../test-support/practice';
import { operationsOf, planBuild, pullTightening, rowTightening, settlePlan } from '..';
import { cornersOf } from './corners-down';

const lot = (id: string, kind: string, count: number, maxOpeningMm: number): RackLot => ({
  id,
  kind,
  count,
  maxOpeningMm,
  forceN: null,
  padWidthMm: 40,
  padHeightMm: 40,
});
const start = (template: string, answers: BuildDocument['answers'] = {}): BuildDocument => ({
  ...buildOf({ template, name: 'D', project: '', service: 'dry', answers }),
  squeeze: { clampedDown: true },
});
const codes = (findings: readonly Finding[]) => findings.map(({ code }) => code);
const withRack = (rack: RackLot[]): ShopDocument => ({ ...PRACTICE_SHOP, rack });

describe('clamped down at the corners', () => {
  const top = start('reglue', { widthMm: 360, lengthMm: 900, thicknessMm: 30 });
  const bars = lot('bars', 'parallel-jaw', 8, 900);

  it('takes four clamps that are left over, the lightest that reach, beside those that press', () => {
    const shop = withRack([bars, lot('f', 'f-light', 4, 300), lot('c', 'c-clamp', 6, 200)]);
    expect(cornersOf(planBuild(top, shop))).toMatchObject({
      lot: { id: 'f' },
      count: 4,
      forceN: 400,
      openingMm: 90,
    });
    const fewer = withRack([bars, lot('f', 'f-light', 3, 300), lot('c', 'c-clamp', 6, 200)]);
    expect(cornersOf(planBuild(top, fewer))?.lot.id).toBe('c');
    const plain: BuildDocument = { ...top, squeeze: {} };
    expect(cornersOf(planBuild(plain, shop))).toBeNull();
  });

  it('counts for nothing, and says so, where the rack has none left', () => {
    const shop = withRack([bars, lot('f', 'f-light', 4, 80)]);
    const plan = planBuild(top, shop);
    expect(cornersOf(plan)).toBeNull();
    expect(codes(plan.findings)).toContain('no-corner-clamps');
    const plain: BuildDocument = { ...top, squeeze: {} };
    expect(plan.verdicts.flat.figure).toBeCloseTo(
      planBuild(plain, shop).verdicts.flat.figure ?? Number.NaN,
      12,
    );
  });

  it('leaves three tenths of the lift and of what boards are out, and shows before and after', () => {
    const shop = withRack([bars, lot('f', 'f-light', 4, 300)]);
    const row = top.row;
    if (row === undefined) throw new Error('no row');
    const bowed = {
      ...top,
      row: { ...row, holding: { ...row.holding, caulPairs: 0 } },
      dryFit: { ...top.dryFit, bowMm: 1 },
    };
    const plain: BuildDocument = { ...bowed, squeeze: {} };
    const parts = (build: BuildDocument) =>
      ofCode(planBuild(build, shop).verdicts.flat.workings, 'how-flat')?.values ?? {};
    const [held, free] = [parts(bowed), parts(plain)];
    for (const part of ['boards-bowed', 'bow-from-pull'] as const) {
      expect((held[part] ?? 0) / (free[part] ?? Number.NaN)).toBeCloseTo(0.3, 9);
    }
    const lift = ofCode(planBuild(bowed, shop).verdicts.flat.workings, 'how-lift')?.values;
    expect(lift?.downMm).toBeCloseTo(0.3 * (lift?.freeMm ?? Number.NaN), 12);
    expect(lift?.freeMm).toBeCloseTo(free['bow-from-pull'] ?? Number.NaN, 9);
  });

  it('is flat only as far as the bench that it is clamped to', () => {
    const shop = withRack([bars, lot('f', 'f-light', 4, 300)]);
    const on = (outMm: number | null, build: BuildDocument = top) =>
      planBuild(build, {
        ...shop,
        benches: [{ id: 'b', name: 'bench', lengthMm: 2000, widthMm: 900, flatMm: outMm }],
      }).verdicts.flat;
    expect(on(null).state).toBe('holds');
    expect(on(0.1)).toEqual(on(null));
    expect(on(3)).toMatchObject({ state: 'close', cause: { code: 'bench-not-flat', values: { outMm: 3 } } });
    // Bars hold the panel, not the bench, where it is not clamped down.
    const free: BuildDocument = { ...top, squeeze: {} };
    expect(on(3, free)).toEqual(on(null, free));
  });

  it.each(['reglue', 'tenon-frame'])(
    'is gathered, told and on the clock before the readings: %s',
    (template) => {
      const plan = settlePlan(planBuild(start(template), PRACTICE_SHOP));
      const [session] = plan.order?.sessions ?? [];
      if (session === undefined) throw new Error('no session');
      const operations = operationsOf(plan, session);
      const corners = operations.findIndex(({ id }) => id === 'set-clamp:corners');
      const check = operations.findIndex(({ kind }) => kind === 'check');
      expect([corners > 0, corners < check]).toEqual([true, true]);
      const { startMin = 0, endMin = 0 } = operations[corners] ?? {};
      expect(endMin - startMin).toBeCloseTo(4 * (0.4 + 0.15) * PRACTICE_SHOP.paceFactor, 9);
      expect(codes(gatherList(plan))).toContain('gather-corner-clamps');
      const told = plan.squeeze === null ? [] : pullTightening(plan, plan.squeeze);
      const steps = plan.row === null ? told : rowTightening({ ...plan, row: plan.row });
      expect(codes(steps)).toContain('corners-down');
    },
  );
});

describe('lines levelled by a light clamp over film, or a weight', () => {
  const panel = buildOf({ template: 'edge-panel', name: 'P', project: '', service: 'dry', answers: {} });
  const row = panel.row;
  if (row === undefined) throw new Error('no row');
  const levelled = (flushed: boolean): BuildDocument => ({
    ...panel,
    row: { ...row, holding: { ...row.holding, caulPairs: 0, flushed } },
  });

  it('have smaller steps and take their minutes, line by line', () => {
    const [by, without] = [
      planBuild(levelled(true), PRACTICE_SHOP),
      planBuild(levelled(false), PRACTICE_SHOP),
    ];
    const steps = (plan: typeof by) =>
      ofCode(plan.verdicts.flat.workings, 'how-flat')?.values['faces-not-flush'] ?? Number.NaN;
    expect(steps(without) - steps(by)).toBeCloseTo(0.1, 9);
    const lines = by.joints.length;
    const closing = (plan: typeof by) => plan.joints.reduce((sum, { closeMin }) => sum + closeMin, 0);
    expect(closing(by) - closing(without)).toBeCloseTo(0.3 * lines, 9);
    expect(by.handsOnMin).toBeGreaterThan(without.handsOnMin);
  });
});

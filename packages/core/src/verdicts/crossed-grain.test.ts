import { deriveAssembly } from '../assembly';
import { findFixes } from '../fixes';
import type { BuildDocument, FreePart } from '../formats';
import { layAssembly } from '../kinds';
import { heldMovesMm, heldWidthMm, listSpecies, movementMm, resolveSpecies } from '../materials';
import { panelPressure } from '../mechanics';
import { planBuild } from '../plan';
import { buildOf, TEST_SHOP } from '../test-support/builds';

const START = { name: 'T', project: '', service: 'dry' as const };

describe('wood held across its grain', () => {
  const year = { mcLowPct: 7, mcHighPct: 10 };

  it('wants to move by half the glued width times its coefficient over the year', () => {
    const wood = resolveSpecies('hard-maple').properties;
    expect(heldMovesMm({ wood, ...year }, 100)).toBeCloseTo(50 * wood.cT * 3, 12);
    expect(heldMovesMm({ wood, ...year }, 100)).toBeCloseTo(
      movementMm({ wood, cut: 'flat', widthMm: 50, mcFromPct: 7, mcToPct: 10 }),
      12,
    );
  });

  it('may be glued over 70 to 130 mm in most woods, and anywhere where the year changes nothing', () => {
    const widths = listSpecies()
      .filter(({ kind }) => kind !== 'sheet')
      .map(({ properties: wood }) => heldWidthMm({ wood, ...year }));
    const usual = widths.filter((widthMm) => widthMm >= 70 && widthMm <= 160);
    expect(usual.length).toBeGreaterThanOrEqual(0.8 * widths.length);
    const wood = resolveSpecies('cherry').properties;
    expect(heldMovesMm({ wood, ...year }, heldWidthMm({ wood, ...year }))).toBeCloseTo(0.5, 12);
    expect(heldWidthMm({ wood, mcLowPct: 8, mcHighPct: 8 })).toBe(Infinity);
  });
});

/** Two boards 20 mm thick laid on each other, the upper one turned. */
function crossedBoards(widthMm: number, grain: 'x' | 'y', species = 'hard-maple'): BuildDocument {
  const lower: FreePart = {
    id: 'lower',
    name: 'lower',
    species,
    atMm: [0, 0, 0],
    sizeMm: [widthMm, 600, 20],
    grain: 'y',
  };
  const upper: FreePart = { ...lower, id: 'upper', name: 'upper', atMm: [0, 0, 20], grain };
  return {
    ...buildOf({ template: 'free', ...START, answers: {} }),
    free: {
      parts: [lower, { ...upper, sizeMm: grain === 'x' ? [widthMm, widthMm, 20] : [widthMm, 600, 20] }],
      joints: [{ id: 'j', kind: 'face', a: 'lower', b: 'upper' }],
    },
  };
}

describe('crossedMm', () => {
  const crossedOf = (build: BuildDocument) =>
    deriveAssembly(layAssembly(build, 9)).joints.map(({ crossedMm }) => crossedMm);

  it('is how far either part lies along the grain of the other, and nothing where grain runs alike', () => {
    expect(crossedOf(crossedBoards(80, 'x'))).toEqual([{ a: 80, b: 80 }]);
    expect(crossedOf(crossedBoards(80, 'y'))).toEqual([null]);
  });

  it('is shorter where glue is kept to the middle, on the longer side', () => {
    const build = crossedBoards(90, 'x');
    const noted: BuildDocument = {
      ...build,
      jointNotes: [{ id: 'j', gapMm: null, glued: 'middle', reinforcement: 'none' }],
    };
    expect(crossedOf(noted)).toEqual([{ a: 30, b: 90 }]);
    expect(
      crossedOf({ ...noted, jointNotes: [{ id: 'j', gapMm: null, glued: 'none', reinforcement: 'none' }] }),
    ).toEqual([null]);
  });

  it('is the height of a tenon and its length, and never that of a sheet', () => {
    const frame = deriveAssembly(layAssembly(buildOf({ template: 'tenon-frame', ...START, answers: {} }), 9));
    for (const { crossedMm } of frame.joints) {
      expect(crossedMm?.b ?? crossedMm?.a).toBeGreaterThan(0);
      expect(Math.max(crossedMm?.a ?? 0, crossedMm?.b ?? 0)).toBeLessThan(120);
    }
    expect(crossedOf(buildOf({ template: 'veneered-sheet', ...START, answers: {} }))).toEqual([null, null]);
  });
});

describe('Flat', () => {
  it.each([
    [60, 'flatness-unread', 'close'],
    [140, 'glued-across', 'close'],
    [400, 'glued-across', 'fails'],
  ] as const)('of maple crossed over %i mm: %s', (widthMm, code, state) => {
    const { flat } = planBuild(crossedBoards(widthMm, 'x'), TEST_SHOP).verdicts;
    expect([flat.cause.code === 'glued-across' ? 'glued-across' : code, flat.state]).toEqual([code, state]);
    if (code === 'glued-across') expect(flat.cause.code).toBe(code);
  });

  it('bears a wider crossing where the year is milder, and of wood that moves less', () => {
    const state = (change: Partial<BuildDocument>, species = 'hard-maple') =>
      planBuild({ ...crossedBoards(250, 'x', species), ...change }, TEST_SHOP).verdicts.flat.state;
    expect(state({})).toBe('fails');
    expect(state({ mcInUse: { lowPct: 8.5, highPct: 9.5 } })).toBe('close');
    expect(state({}, 'mahogany')).toBe('close');
  });

  it('is mended by glue in the middle only', () => {
    const build: BuildDocument = {
      ...buildOf({ template: 'breadboard', ...START, answers: {} }),
      jointNotes: [1, 2].map((end) => ({
        id: `panel_breadboard-${end}`,
        gapMm: null,
        glued: 'middle' as const,
        reinforcement: 'none' as const,
      })),
    };
    const plan = planBuild(build, TEST_SHOP);
    expect(plan.verdicts.flat.cause.code).toBe('glued-across');
    const [fix] = findFixes(plan, TEST_SHOP, panelPressure).flat;
    expect(fix?.change.code).toBe('glue-less-across');
    expect(fix?.build?.jointNotes.every(({ glued }) => glued === undefined)).toBe(true);
    expect(planBuild(fix?.build ?? build, TEST_SHOP).verdicts.flat.cause.code).not.toBe('glued-across');
  });
});

import fc from 'fast-check';
import { InputError } from '../checks';
import { listSpecies } from '../materials';
import { TEST_SHOP } from '../test-support/builds';
import { planBuild } from '../verdicts';
import { clampsFromRack, EDGE_PANEL_DEFAULTS, edgePanelBuild, STARTER_SHOP } from '.';

const ids = () => {
  let next = 0;
  return () => `t${(next += 1)}`;
};

describe('edgePanelBuild', () => {
  it('makes a plan of finite numbers out of any sensible answers', () => {
    fc.assert(
      fc.property(
        fc.record({
          species: fc.constantFrom(...listSpecies().map(({ id }) => id)),
          boards: fc.integer({ min: 2, max: 20 }),
          widthMm: fc.double({ min: 250, max: 2000, noNaN: true }),
          lengthMm: fc.double({ min: 120, max: 4000, noNaN: true }),
          thicknessMm: fc.double({ min: 6, max: 90, noNaN: true }),
          service: fc.constantFrom('dry' as const, 'damp' as const, 'exterior' as const, 'wet' as const),
        }),
        (answers) => {
          const build = edgePanelBuild({ ...EDGE_PANEL_DEFAULTS, ...answers }, TEST_SHOP, ids());
          const plan = planBuild(build, TEST_SHOP);
          const figures = Object.values(plan.verdicts).flatMap(({ figure, barShare, against }) => [
            figure ?? 0,
            barShare,
            against,
          ]);
          return (
            figures.every(Number.isFinite) &&
            build.boards.length === answers.boards &&
            Math.abs(build.boards.reduce((sum, b) => sum + b.widthMm, 0) - answers.widthMm) < 1e-6
          );
        },
      ),
      { seed: 8, numRuns: 150 },
    );
  });

  it('alternates hearts and clamps, and picks glue by service', () => {
    const build = edgePanelBuild({ ...EDGE_PANEL_DEFAULTS, service: 'exterior' }, TEST_SHOP, ids());
    expect(build.boards.map(({ heart }) => heart)).toEqual(['up', 'down', 'up', 'down', 'up']);
    expect(build.clamps.map(({ side }) => side)).toEqual(
      build.clamps.map((_, i) => (i % 2 === 0 ? 'above' : 'below')),
    );
    expect(build.glue.adhesive).toBe('pva-exterior');
  });

  it.each([
    ['a 40 m board', { lengthMm: 40_000 }, 'lengthMm'],
    ['no thickness', { thicknessMm: 0 }, 'thicknessMm'],
    ['a negative width', { widthMm: -600 }, 'widthMm'],
    ['one board', { boards: 1 }, 'boards'],
    ['an unknown wood', { species: 'plastic' }, 'species'],
  ])('refuses %s and names the field', (_name, change, field) => {
    const attempt = () => edgePanelBuild({ ...EDGE_PANEL_DEFAULTS, ...change }, TEST_SHOP, ids());
    expect(attempt).toThrow(InputError);
    expect(attempt).toThrow(expect.objectContaining({ field }) as Error);
  });
});

describe('clampsFromRack', () => {
  it('never takes a clamp that is too short, nor more than there are', () => {
    const build = edgePanelBuild({ ...EDGE_PANEL_DEFAULTS, widthMm: 950 }, TEST_SHOP, ids());
    expect(new Set(build.clamps.map(({ rackId }) => rackId))).toEqual(new Set(['long']));
    expect(build.clamps.length).toBeLessThanOrEqual(8);
  });

  it('places none when nothing on the rack is long enough', () => {
    const build = edgePanelBuild({ ...EDGE_PANEL_DEFAULTS, widthMm: 1500 }, STARTER_SHOP, ids());
    expect(clampsFromRack(build, STARTER_SHOP, ids())).toEqual([]);
  });
});

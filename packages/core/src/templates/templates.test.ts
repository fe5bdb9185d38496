import fc from 'fast-check';
import { InputError } from '../basics/checks';
import { listSpecies } from '../materials';
import { planBuild } from '../plan';
import { buildOf, planRow, TEST_SHOP } from '../test-support/builds';
import { type BuildStart, STARTER_SHOP } from '.';

const panel = (answers: BuildStart['answers'] = {}, service: BuildStart['service'] = 'dry') =>
  buildOf({ template: 'edge-panel', name: 'Panel', project: '', service, answers });

describe('newBuild', () => {
  it('makes a plan of finite numbers out of any sensible answers', () => {
    fc.assert(
      fc.property(
        fc.record({
          species: fc.constantFrom(...listSpecies().map(({ id }) => id)),
          boards: fc.integer({ min: 2, max: 20 }),
          widthMm: fc.double({ min: 250, max: 2000, noNaN: true }),
          lengthMm: fc.double({ min: 120, max: 4000, noNaN: true }),
          thicknessMm: fc.double({ min: 6, max: 90, noNaN: true }),
        }),
        fc.constantFrom('dry' as const, 'damp' as const, 'exterior' as const, 'wet' as const),
        (answers, service) => {
          const build = panel(answers, service);
          const plan = planBuild(build, TEST_SHOP);
          const figures = Object.values(plan.verdicts).flatMap(({ figure, barShare, against }) => [
            figure ?? 0,
            barShare,
            against,
          ]);
          const widths = (build.boards ?? []).map(({ widthMm }) => widthMm);
          return (
            figures.every(Number.isFinite) &&
            widths.length === answers.boards &&
            Math.abs(widths.reduce((sum, width) => sum + width, 0) - answers.widthMm) < 1e-6
          );
        },
      ),
      { seed: 8, numRuns: 100 },
    );
  });

  it('alternates hearts and clamps, and picks glue by service', () => {
    const build = panel({}, 'exterior');
    expect(build.boards?.map(({ heart }) => heart)).toEqual(['up', 'down', 'up', 'down', 'up']);
    const { clamps } = planRow(build).job;
    expect(clamps.length).toBeGreaterThan(3);
    expect(clamps.map(({ side }) => side)).toEqual(clamps.map((_, i) => (i % 2 === 0 ? 'above' : 'below')));
    expect(build.glue.adhesive).toBe('pva-exterior');
  });

  it.each([
    ['a 40 m board', { lengthMm: 40_000 }, 'answers.lengthMm'],
    ['no thickness', { thicknessMm: 0 }, 'answers.thicknessMm'],
    ['a negative width', { widthMm: -600 }, 'answers.widthMm'],
    ['one board', { boards: 1 }, 'answers.boards'],
    ['an unknown wood', { species: 'plastic' }, 'answers.species'],
  ])('refuses %s and names the field', (_name, change, field) => {
    expect(() => panel(change)).toThrow(InputError);
    expect(() => panel(change)).toThrow(expect.objectContaining({ field }) as Error);
  });

  it('refuses a kind that there is not, and answers where none are asked', () => {
    const start = { template: 'barrel', name: 'x', project: '', service: 'dry' as const, answers: {} };
    expect(() => buildOf(start)).toThrow(InputError);
    expect(() => buildOf({ ...start, template: 'free', answers: { boards: 3 } })).toThrow(/asks nothing/);
  });
});

describe('clamps that nobody has placed', () => {
  it('are never too short, nor more than there are', () => {
    const { clamps } = planRow(panel({ widthMm: 950 })).job;
    expect(new Set(clamps.map(({ rackId }) => rackId))).toEqual(new Set(['long']));
    expect(clamps.length).toBeLessThanOrEqual(8);
  });

  it('are none when nothing on the rack is long enough, and that is said', () => {
    const plan = planRow(panel({ widthMm: 1500 }), STARTER_SHOP);
    expect(plan.job.clamps).toEqual([]);
    expect(plan.verdicts.tight.state).toBe('fails');
  });
});

import { DEMO_SHOP } from '../demo';
import { KINDS } from '../kinds';
import { newBuild } from '../templates';
import { compareGlues } from './compare-glues';

const TOO_SHORT: readonly string[] = ['open-too-short', 'closed-too-short'];

const compared = (template: string) => {
  let made = 0;
  const start = { template, name: 'Any', project: '', service: 'dry' as const, answers: {} };
  const build = newBuild(start, DEMO_SHOP, () => `n${(made += 1)}`);
  return compareGlues(build, DEMO_SHOP, null);
};

describe('glues on a build', () => {
  it.each(KINDS.map(({ id }) => id))(
    'are turned away from a %s for their minutes only where they do miss their window',
    (template) => {
      for (const { adhesive, refusals, inTime } of compared(template).options) {
        const turnedAway = refusals.filter(({ code }) => TOO_SHORT.includes(code)).map(({ code }) => code);
        if (inTime.state !== 'fails') expect([adhesive.id, turnedAway]).toEqual([adhesive.id, []]);
        if (inTime.cause.code === 'window-missed' && inTime.cause.values.window !== 'total') {
          expect([adhesive.id, turnedAway.length]).not.toEqual([adhesive.id, 0]);
        }
      }
    },
  );

  it('may hold a set up, which speaks against them and refuses none', () => {
    const { options } = compared('trim-set');
    const codesOf = (id: string) => {
      const option = options.find(({ adhesive }) => adhesive.id === id);
      return [option?.refusals.map(({ code }) => code), option?.reasons[0]?.code];
    };
    expect(codesOf('pva-interior')).toEqual([[], 'holds-up-the-set']);
    expect(options[0]?.adhesive.id).toBe('polyurethane-hot-melt');
  });
});

import { InputError } from '../basics';
import { DEMO_SHOP, stageFloor, wagonBuilds } from '../demo';
import type { BuildDocument, ShopDocument } from '../formats';
import { checkBuild, planBuild } from '.';

const FLOOR = stageFloor(DEMO_SHOP);
const glue = FLOOR.glue;
const OWN: ShopDocument = {
  ...DEMO_SHOP,
  woods: [{ id: 'own-yew', name: 'yew', densityKgPerM3: 640, like: 'hard-maple' }] as never,
};

describe('a build that is checked before it is written', () => {
  it('is let through wherever it can be planned', () => {
    for (const { build } of wagonBuilds()) expect(() => checkBuild(build, DEMO_SHOP)).not.toThrow();
  });

  it.each<[string, BuildDocument]>([
    [
      'a wood that nobody knows',
      { ...FLOOR, boards: FLOOR.boards?.map((each) => ({ ...each, species: 'jam' })) ?? [] },
    ],
    ['a glue that nobody knows', { ...FLOOR, glue: { ...glue, adhesive: 'jam' } }],
    ['a method that nobody knows', { ...FLOOR, glue: { ...glue, method: 'spoon' } }],
    ['a kind that nobody knows', { ...FLOOR, template: 'barrel' }],
  ])('is refused for %s, as its plan would be', (_, build) => {
    expect(() => checkBuild(build, DEMO_SHOP)).toThrow(InputError);
    expect(() => planBuild(build, DEMO_SHOP)).toThrow(InputError);
  });

  it('may be of the shop’s own wood', () => {
    const boards = FLOOR.boards?.map((each) => ({ ...each, species: 'own-yew' })) ?? [];
    expect(() => checkBuild({ ...FLOOR, boards }, OWN)).not.toThrow();
    expect(() => checkBuild({ ...FLOOR, boards }, DEMO_SHOP)).toThrow(InputError);
  });
});

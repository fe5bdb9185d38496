import { InputError } from '../basics/checks';
import type { BuildDocument, ShopDocument } from '../formats';
import { findFixes } from '../fixes';
import { AT_TWELVE_PCT, findSpecies } from '../materials';
import { newBuild } from '../templates';
import { TEST_SHOP } from '../test-support/builds';
import { planBuild } from '.';

const asOak = (findSpecies('white-oak')?.properties.sg ?? 0) * 1000 * AT_TWELVE_PCT;
const wood = {
  id: 'bog-oak',
  name: 'Bog oak',
  like: 'white-oak',
  densityKgPerM3: asOak,
  cR: null,
  cT: null,
  openPored: true,
  resinous: false,
  oily: false,
};
const squeegee = {
  id: 'squeegee',
  name: 'squeegee',
  beadMPerMin: 5,
  alongMPerMin: 6,
  areaM2PerMin: 0.6,
  waste: 0.02,
};
const shop: ShopDocument = { ...TEST_SHOP, woods: [wood], methods: [squeegee] };

const made = (template: string, answers: BuildDocument['answers'], of: ShopDocument = shop) =>
  newBuild(
    { template, name: 'Own', project: '', service: 'dry', answers },
    of,
    (() => {
      let n = 0;
      return () => `board-${(n += 1)}`;
    })(),
  );

describe('woods and spreading methods of the shop’s own', () => {
  it.each([
    ['edge-panel', 'species'],
    ['breadboard', 'species'],
    ['strip-planking', 'species'],
    ['tenon-frame', 'species'],
    ['veneered-sheet', 'veneerSpecies'],
    ['bent-lamination', 'species'],
    ['edge-banding', 'bandSpecies'],
  ])('plan %s as the wood they are like, weight for weight', (template, question) => {
    const planned = (species: string) => planBuild(made(template, { [question]: species }), shop);
    const [own, like] = [planned('bog-oak'), planned('white-oak')];
    expect(own.facts.massKg).toBeCloseTo(like.facts.massKg, 9);
    expect(own.handsOnMin).toBeCloseTo(like.handsOnMin, 9);
    expect(Object.values(own.verdicts).map(({ state }) => state)).toEqual(
      Object.values(like.verdicts).map(({ state }) => state),
    );
    expect(own.facts.parts.some(({ woodName }) => woodName === 'Bog oak')).toBe(true);
  });

  it('weigh what they weigh', () => {
    const heavier = { ...shop, woods: [{ ...wood, densityKgPerM3: 1.25 * asOak }] };
    const build = made('tenon-frame', { species: 'bog-oak' });
    expect(planBuild(build, heavier).facts.massKg / planBuild(build, shop).facts.massKg).toBeCloseTo(1.25, 9);
  });

  it('are refused by name where the shop has none of them', () => {
    const build = made('edge-panel', { species: 'bog-oak' });
    expect(() => planBuild({ ...build, boards: undefined }, TEST_SHOP)).toThrow(InputError);
    expect(() => made('edge-panel', { species: 'bog-oak' }, TEST_SHOP)).toThrow(/"bog-oak"/);
    const spread = { ...build, glue: { ...build.glue, method: 'squeegee' } };
    expect(planBuild(spread, shop).joints[0]?.method.name).toBe('squeegee');
    expect(() => planBuild(spread, { ...shop, methods: [] })).toThrow(/"squeegee"/);
  });

  it('stay behind as a warning where a part was said to be of one that is gone', () => {
    const build = made('tenon-frame', {});
    const noted: BuildDocument = {
      ...build,
      partNotes: [{ id: 'stile-1', species: 'bog-oak', mcPct: null, condition: 'fresh' }],
    };
    const said = (of: ShopDocument) =>
      planBuild(noted, of).findings.filter(({ code }) => code === 'wood-unknown').length;
    expect([said(shop), said({ ...shop, woods: [] })]).toEqual([0, 1]);
    expect(planBuild(noted, shop).facts.parts[0]?.woodName).toBe('Bog oak');
  });

  it('spread as they were timed, and are offered where that mends what is late', () => {
    const build = made('edge-panel', {});
    const with_ = (method: string) =>
      planBuild({ ...build, glue: { ...build.glue, method } }, shop).totals.spreadMin;
    const { lengthMm } = planBuild(build, shop).facts.joints[0] ?? { lengthMm: 0 };
    const lines = planBuild(build, shop).joints.length;
    // Taken up once for each face, a bead at 5 m/min and worked along at 6 m/min.
    expect(with_('squeegee')).toBeCloseTo(
      lines * build.glue.faces * (0.1 + lengthMm / 5000 + lengthMm / 6000),
      9,
    );
    const slow: BuildDocument = {
      ...made('face-lamination', { layers: 3, widthMm: 150, lengthMm: 800 }),
      climate: { tempC: 20, rhPct: 35 },
    };
    // Few clamps, so that spreading is what takes long.
    const few = { ...shop, rack: shop.rack.filter(({ kind }) => kind === 'trigger') };
    const late = planBuild({ ...slow, glue: { ...slow.glue, method: 'card', faces: 2 } }, few);
    const codes = findFixes(late, few).inTime.flatMap(({ change }) =>
      change.code === 'spread-with' ? [change.values] : [],
    );
    expect(codes).toContainEqual({ method: 'squeegee' });
  });
});

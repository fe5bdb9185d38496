import { band, opposedPulls } from '../../geometry';
import { planBuild, settlePlan } from '../plan-build';
import { pressSteps } from '../order/press-steps';
import { buildOf, TEST_SHOP } from '../../test-support/builds';
import type { BuildDocument, RackLot, ShopDocument } from '../../formats';
import { isOpposed, roundShare, waysOf } from './opposed';

const bars = (id: string, count: number, forceN: number): RackLot => ({
  id,
  kind: 'f-light',
  count,
  maxOpeningMm: 400,
  forceN,
  padWidthMm: 28,
  padHeightMm: 28,
});
const shopWith = (...rack: RackLot[]): ShopDocument => ({ ...TEST_SHOP, rack });
const post = (answers: object = {}, change: Partial<BuildDocument> = {}): BuildDocument => ({
  ...buildOf({
    template: 'mitred-post',
    name: 'Post',
    project: '',
    service: 'dry',
    answers: { staves: 4, acrossFlatsMm: 100, thicknessMm: 18, lengthMm: 800, posts: 1, ...answers },
  }),
  ...change,
});
function roundOf(build: BuildDocument, shop: ShopDocument) {
  const plan = settlePlan(planBuild(build, shop));
  const pull = plan.squeeze?.pulls.find(({ planned }) => planned.pull.id === 'round');
  if (pull === undefined) throw new Error('a post is drawn round');
  return { plan, pull };
}

describe('opposed clamps', () => {
  it('press a square post only, and beside what goes round', () => {
    const { pull } = roundOf(post(), shopWith(bars('a', 8, 900)));
    expect(isOpposed(pull.planned.pull, 'f-light')).toBe(true);
    for (const kind of ['band', 'screw-band', 'elastic-wrap', 'tape']) {
      expect(isOpposed(pull.planned.pull, kind)).toBe(false);
      expect(roundShare(pull.planned.pull, kind)).toBe(1);
    }
    const six = roundOf(post({ staves: 6 }), shopWith(bars('a', 8, 900))).pull;
    expect(isOpposed(six.planned.pull, 'f-light')).toBe(false);
    expect(six.planned.taken.map(({ lot }) => lot.kind)).not.toContain('f-light');
  });

  it('do in pairs what a band of their tension does, by statics and by the rope equation', () => {
    const pair = opposedPulls({ acrossN: 900, downN: 900, friction: 0 }).normalN;
    const [corner] = band({
      interiorAnglesDeg: [90, 90, 90, 90],
      tensionN: 900,
      faceAreaMm2: 1,
      friction: 0,
    });
    expect(pair).toBeCloseTo(corner?.normalN ?? 0, 9);
    const { pull } = roundOf(
      post(
        {},
        {
          squeeze: {
            clamps: [200, 200, 600, 600].map((alongMm, i) => ({
              id: `c${i}`,
              pull: 'round',
              rackId: 'a',
              alongMm,
              acrossMm: 0,
              mostN: 400,
            })),
          },
        },
      ),
      shopWith(bars('a', 4, 900)),
    );
    const areaMm2 = pull.planned.areaMm2;
    for (const { meanMPa } of pull.joints) {
      expect(meanMPa).toBeCloseTo(
        (2 * opposedPulls({ acrossN: 400, downN: 400, friction: 0 }).normalN) / areaMm2,
        9,
      );
    }
  });

  it('are taken in pairs, after three places are wrapped; further wraps only where they fall short', () => {
    const counts = (shop: ShopDocument) =>
      Object.fromEntries(
        roundOf(post({ lengthMm: 1400 }), shop).pull.planned.taken.map(({ lot, count }) => [lot.id, count]),
      );
    const enough = counts(shopWith(bars('a', 12, 1000)));
    expect(enough['elastic-wrap']).toBe(3);
    expect((enough.a ?? 0) % 2).toBe(0);
    const odd = counts(shopWith(bars('a', 3, 1000)));
    expect(odd.a).toBe(2);
    const wraps = roundOf(post({ lengthMm: 1400 }), shopWith(bars('a', 3, 1000)))
      .pull.planned.taken.filter(({ lot }) => lot.kind === 'elastic-wrap')
      .reduce((sum, { count }) => sum + count, 0);
    expect(wraps).toBeGreaterThan(3);
    expect(counts(shopWith(bars('a', 1, 1000))).a).toBeUndefined();
  });

  it('take turns within a lot, so that partners are alike whatever stands between them', () => {
    const { pull } = roundOf(post({ lengthMm: 1400 }), shopWith(bars('a', 4, 700), bars('b', 6, 1400)));
    const pieces = pull.clamps.map(({ lot }) => ({ lot }));
    const ways = waysOf(pull.planned.pull, pieces);
    for (const id of ['a', 'b']) {
      const own = ways.filter((_, i) => pieces[i]?.lot.id === id);
      expect(own.filter((way) => way === 0)).toHaveLength(own.filter((way) => way === 1).length);
    }
    expect(pull.findings.map(({ code }) => code)).not.toContain('opposed-uneven');
  });

  it('stand square to each other in the drawing, in no one’s way, while wraps go round', () => {
    const { pull } = roundOf(post({ lengthMm: 1400 }), shopWith(bars('a', 12, 1000)));
    const shapes = pull.clamps.map(({ shape }) => shape);
    expect(shapes.filter(({ kind }) => kind === 'band')).toHaveLength(3);
    const jaws = shapes.flatMap((shape) => (shape.kind === 'jaws' ? [shape] : []));
    const ways = jaws.map(({ from, to }) =>
      [0, 1, 2].findIndex((k) => Math.abs((to[k] ?? 0) - (from[k] ?? 0)) > 1),
    );
    expect(ways.filter((way) => way === 1)).toHaveLength(ways.filter((way) => way === 2).length);
    for (const { from, to } of jaws) {
      expect(Math.hypot(...[0, 1, 2].map((k) => (to[k] ?? 0) - (from[k] ?? 0)))).toBeCloseTo(100, 6);
    }
    expect(pull.findings.map(({ code }) => code)).not.toContain('jaws-foul');
  });

  it('come on after what goes round, which begins in the middle', () => {
    const { plan, pull } = roundOf(post({ lengthMm: 1400 }), shopWith(bars('a', 12, 1000)));
    const { steps } = pressSteps(pull.planned, plan.row, { crew: 1, pace: () => 1, preSet: true });
    const kinds = steps.map(({ kind }) => kind);
    expect(kinds.slice(0, 3)).toEqual(['wrap', 'wrap', 'wrap']);
    expect(kinds.slice(3).includes('wrap')).toBe(false);
    expect(kinds.filter((kind) => kind === 'tighten')).toHaveLength(
      kinds.filter((kind) => kind === 'set-clamp').length,
    );
  });

  it('fail where one direction is stronger than wet mitres bear', () => {
    const uneven = (forces: readonly number[]) =>
      roundOf(
        post(
          {},
          {
            squeeze: {
              clamps: forces.map((mostN, i) => ({
                id: `c${i}`,
                pull: 'round',
                rackId: 'a',
                alongMm: 200 + 150 * i,
                acrossMm: 0,
                mostN,
              })),
            },
          },
        ),
        shopWith(bars('a', 6, 900)),
      );
    expect(uneven([800, 800]).pull.findings.map(({ code }) => code)).not.toContain('opposed-uneven');
    expect(uneven([800, 640]).pull.findings.map(({ code }) => code)).not.toContain('opposed-uneven');
    expect(uneven([800, 600]).plan.verdicts.tight.cause.code).toBe('opposed-uneven');
    expect(uneven([800]).plan.verdicts.tight.state).toBe('fails');
  });

  it('may be wrapped by the person at places that no rack lists', () => {
    const { pull } = roundOf(
      post(
        {},
        {
          squeeze: {
            clamps: [{ id: 'w', pull: 'round', rackId: 'elastic-wrap', alongMm: 400, acrossMm: 0 }],
          },
        },
      ),
      shopWith(),
    );
    expect(pull.planned.taken).toMatchObject([{ lot: { kind: 'elastic-wrap' }, count: 1 }]);
    expect(pull.findings.map(({ code }) => code)).not.toContain('placed-gone');
  });
});

import fc from 'fast-check';
import { type Finding, ofCode } from '../../findings';
import type { BuildDocument, RackLot, ShopDocument } from '../../formats';
import { buildOf, TEST_SHOP } from '../../test-support/builds';
import { fuseOf } from '../order/fuses';
import { operationsOf } from '../order/operations';
import { planBuild, settlePlan } from '../plan-build';
import { clampsOnLine, coverageMm } from './least-clamps';
import { jointsOf } from './lines-of-pull';
import { seatForceN } from './wanted-lines';

const lot = (id: string, kind: string, count: number, maxOpeningMm: number, forceN: number): RackLot => ({
  id,
  kind,
  count,
  maxOpeningMm,
  forceN,
  padWidthMm: 40,
  padHeightMm: 40,
});

const shopWith = (...rack: RackLot[]): ShopDocument => ({ ...TEST_SHOP, rack });

const started = (template: string, answers: BuildDocument['answers'] = {}): BuildDocument => ({
  ...buildOf({ template, name: 'One', project: '', service: 'dry', answers }),
  crew: 2,
});

const pullsOf = (build: BuildDocument, shop: ShopDocument) => planBuild(build, shop).pulls;

const FRAME = { widthMm: 450, heightMm: 700, memberMm: 60, thicknessMm: 20, midRails: 0, tenonMm: 40 };

describe('a seat', () => {
  it('takes the lightest clamps that give what it wants, not the strongest there are', () => {
    const [pull] = pullsOf(
      started('tenon-frame', FRAME),
      shopWith(
        lot('strong', 't-bar', 8, 1500, 6000),
        lot('middling', 'f-heavy', 8, 800, 3500),
        lot('weak', 'trigger', 8, 800, 900),
      ),
    );
    expect(pull?.taken.map((each) => each.lot.id)).toEqual(['middling']);
    expect(pull?.word).toBe('right');
    expect(pull?.reachN).toBeGreaterThanOrEqual(pull?.neededN ?? NaN);
    expect(pull?.reachN).toBeLessThanOrEqual(1.25 * (pull?.neededN ?? NaN) + 1e-6);
  });

  it('makes do with what is there, the strongest of the weak first, and says where it falls short', () => {
    const weak = shopWith(lot('weak', 'trigger', 1, 800, 300), lot('weaker', 'trigger', 1, 800, 200));
    const [pull] = pullsOf(started('tenon-frame', FRAME), weak);
    expect(pull?.taken[0]?.lot.id).toBe('weak');
    expect(pull?.word).not.toBe('right');
    expect(pull?.reachN).toBeCloseTo(500, 6);
  });

  it('takes none that is too short', () => {
    const [pull] = pullsOf(started('tenon-frame', FRAME), shopWith(lot('short', 'f-heavy', 8, 300, 4000)));
    expect(pull?.taken).toEqual([]);
    expect(pull?.drawnMm).toBeNull();
  });

  it('wants two clamps on a line longer than 150 mm, one on a shorter', () => {
    const shop = shopWith(lot('many', 'f-heavy', 40, 1200, 4000));
    const counted = (depthMm: number) =>
      pullsOf(
        started('case', { widthMm: 500, heightMm: 700, depthMm, shelves: 1, backStrips: 0 }),
        shop,
      )[0]?.taken.reduce((sum, { count }) => sum + count, 0);
    expect(counted(120)).toBe(3);
    expect(counted(300)).toBe(6);
  });

  it('takes what a tall case wants on every line as far as the rack goes, and tells the lines that get none', () => {
    const answers = { widthMm: 800, heightMm: 2000, depthMm: 250, shelves: 8, backStrips: 0 };
    const withBars = (count: number, squeeze: BuildDocument['squeeze'] = {}) => {
      const build = { ...started('case', answers), squeeze };
      const plan = settlePlan(planBuild(build, shopWith(lot('many', 'f-heavy', count, 1200, 4000))));
      const [pull] = plan.squeeze?.pulls ?? [];
      const warned = pull?.findings.filter(({ severity }) => severity === 'warns') ?? [];
      return [pull?.clamps.length, ...warned.map((each) => saidOf(each))];
    };
    const saidOf = (each: Finding) => {
      const bare = ofCode([each], 'line-without-clamp');
      return bare === undefined ? each.code : `${bare.values.count} without`;
    };
    // Ten lines, each longer than 150 mm.
    expect(withBars(60)).toEqual([20]);
    expect(withBars(14)).toEqual([14, 'one-clamp-deep']);
    expect(withBars(4)).toEqual([4, '6 without', 'one-clamp-deep']);
    expect(withBars(60, { packing: { kind: 'cauls', thicknessMm: 40 } })).toEqual([10]);
    expect(withBars(4, { packing: { kind: 'cauls', thicknessMm: 40 } })).toEqual([4, '6 without']);
  });

  it('goes through both ends of a rail with one force, and adds up over rails', () => {
    const { facts, pulls } = planBuild(
      started('tenon-frame', { ...FRAME, species: 'hard-maple' }),
      TEST_SHOP,
    );
    const [pull] = pulls;
    const byHand = facts.joints.reduce((sum, { joint }) => sum + seatForceN(joint.kind) / 2, 0);
    expect(pull?.neededN).toBeCloseTo(byHand, 6);
  });

  it('gives a wide bottom rail two clamps at half the force, and its neighbour one', () => {
    const door = { ...FRAME, species: 'hard-maple', midRails: 0, railWidthsMm: [220] };
    const bars = shopWith(lot('bar', 't-bar', 4, 1200, 5000));
    const { pulls, squeeze, verdicts } = settlePlan(planBuild(started('tenon-frame', door), bars));
    const clamps = squeeze?.pulls[0]?.clamps ?? [];
    const onRail = (name: string) =>
      clamps.filter(({ joints }) => joints.some((id) => id.includes(name))).map(({ forceN }) => forceN);
    const [bottom, top] = [onRail('rail-1'), onRail('rail-2')];
    expect(bottom).toHaveLength(2);
    expect(top).toHaveLength(1);
    const wanted = seatForceN('mortise-tenon');
    for (const forces of [bottom, top]) {
      const sum = forces.reduce((total, forceN) => total + forceN, 0);
      expect(sum).toBeGreaterThanOrEqual(wanted);
      expect(sum).toBeLessThan(1.3 * wanted);
    }
    // Everything that is taken off the rack stands somewhere.
    expect(clamps).toHaveLength(pulls[0]?.taken.reduce((sum, { count }) => sum + count, 0) ?? 0);
    expect(verdicts.tight.state).toBe('holds');
  });

  it('pulls strong and weak clamps on one line alike', () => {
    const frame = started('tenon-frame', { ...FRAME, species: 'hard-maple', midRails: 0 });
    const shop = shopWith(lot('weak', 'trigger', 3, 1500, 700), lot('one', 't-bar', 1, 1500, 5000));
    const [pull] = pullsOf(frame, shop);
    // 1,500 N on each line where they can: two of 700 on one, and beside the third the bar gives the rest on the other.
    expect(pull?.pieces.map(({ forceN }) => forceN)).toEqual([800, 700, 700, 700]);
  });

  it('opens its clamps over what lies under their jaws', () => {
    const frame = started('tenon-frame', FRAME);
    const bars = shopWith(lot('bar', 't-bar', 4, FRAME.widthMm + 50, 5000));
    const over = (kind: 'bare' | 'blocks' | 'cauls', thicknessMm: number) =>
      pullsOf({ ...frame, squeeze: { packing: { kind, thicknessMm } } }, bars)[0];
    expect(over('blocks', 20)?.pull.openingMm).toBe(FRAME.widthMm + 40);
    expect(over('bare', 20)?.pull.openingMm).toBe(FRAME.widthMm + 15);
    expect(over('cauls', 30)?.pull.openingMm).toBe(FRAME.widthMm + 60);
    expect(over('blocks', 20)?.word).toBe('right');
    expect(over('cauls', 30)?.taken).toEqual([]);
  });

  it('takes two weak clamps for a line that one of them does not close, and says which line is short', () => {
    const frame = started('tenon-frame', { ...FRAME, species: 'hard-maple', midRails: 0 });
    const enough = pullsOf(frame, shopWith(lot('weak', 'trigger', 4, 1500, 700)))[0];
    expect(enough?.pieces.map(({ line }) => line)).toEqual([0, 0, 1, 1]);
    expect(enough?.word).toBe('right');
    const short = pullsOf(
      frame,
      shopWith(lot('weak', 'trigger', 1, 1500, 700), lot('one', 't-bar', 1, 1500, 5000)),
    )[0];
    expect(short?.mostN).toBeGreaterThan(2 * (short?.neededN ?? Infinity));
    expect(short?.word).not.toBe('right');
    expect(short?.leastMet).toMatchObject({ neededN: seatForceN('mortise-tenon'), reachN: 700 });
  });

  it('never presses shoulders into the grain of a slim frame', () => {
    const slim = { widthMm: 300, heightMm: 400, memberMm: 30, thicknessMm: 16, midRails: 0, tenonMm: 15 };
    for (const species of ['eastern-white-pine', 'hard-maple']) {
      const { pulls, verdicts } = planBuild(started('tenon-frame', { ...slim, species }), TEST_SHOP);
      const [pull] = pulls;
      if (pull === undefined) throw new Error('a frame is pulled together');
      // Two thirds of 16 mm by 30 beside each tenon, less its edges' play: one force goes through both ends of a rail.
      const shoulderMm2 = 30 * 16 * (2 / 3);
      const clamps = pull.taken.reduce((sum, { count }) => sum + count, 0);
      expect(pull.reachN / clamps / shoulderMm2).toBeLessThan(pull.crushMPa);
      expect(pull.neededN).toBeLessThan(4 * seatForceN('mortise-tenon'));
      expect(verdicts.tight.state).toBe('holds');
    }
  });
});

describe('what is pressed', () => {
  it('is never planned above what its joints want, whatever the rack can', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20 }),
        fc.double({ min: 500, max: 12_000, noNaN: true }),
        fc.constantFrom('face-lamination', 'scarf', 'odd-angle', 'bent-lamination'),
        (count, forceN, template) => {
          const shop = shopWith(
            lot('f', 'f-heavy', count, 1500, forceN),
            lot('c', 'c-clamp', count, 1500, forceN),
          );
          for (const { reachMPa, wanted, taken } of pullsOf(started(template), shop)) {
            expect(reachMPa).toBeLessThanOrEqual(wanted.highMPa * (1 + 1e-9));
            for (const each of taken) {
              expect(each.forceN).toBeLessThanOrEqual(each.mostN * (1 + 1e-9));
              expect(each.count).toBeLessThanOrEqual(each.lot.count);
            }
          }
        },
      ),
      { numRuns: 40, seed: 3 },
    );
  });

  it('gets clamps near enough that what they press meets, each eased', () => {
    const shop = shopWith(lot('c', 'c-clamp', 20, 150, 5000));
    const build = {
      ...started('scarf', { pieces: 2, lengthMm: 4000, widthMm: 60, thicknessMm: 40, ratio: 8 }),
      glue: { adhesive: 'epoxy-slow', method: 'stiff-brush', faces: 2 as const },
    };
    const { facts, pulls } = planBuild(build, shop);
    const [pull] = pulls;
    if (pull === undefined) throw new Error('a scarf is pressed');
    const joints = jointsOf(pull.pull, facts);
    const everyMm = coverageMm(pull.pull, joints, facts, 40, undefined);
    const count = pull.taken.reduce((sum, each) => sum + each.count, 0);
    expect(count).toBe(Math.ceil(Math.max(...joints.map(({ lengthMm }) => lengthMm)) / everyMm));
    expect(pull.reachN).toBeLessThanOrEqual(0.1 * (joints[0]?.gluedMm2 ?? NaN) + 1e-6);
    expect(settlePlan(planBuild(build, shop)).verdicts.tight.state).toBe('holds');
  });

  it('reaches further under cauls than under bare jaws', () => {
    const { facts, pulls } = planBuild(started('scarf'), TEST_SHOP);
    const [pull] = pulls;
    if (pull === undefined) throw new Error('a scarf is pressed');
    const joints = jointsOf(pull.pull, facts);
    const bare = coverageMm(pull.pull, joints, facts, 30, { kind: 'bare', thicknessMm: 0 });
    const under = coverageMm(pull.pull, joints, facts, 30, { kind: 'cauls', thicknessMm: 25 });
    expect(under - bare).toBeCloseTo(50, 9);
  });
});

describe('what goes round', () => {
  const post = (lengthMm: number) =>
    started('mitred-post', { staves: 6, acrossFlatsMm: 120, thicknessMm: 14, lengthMm });

  it.each([300, 700, 1200, 1900])('a post of %i mm stands no more than 400 mm apart', (lengthMm) => {
    const [pull] = pullsOf(post(lengthMm), shopWith(lot('band', 'band', 10, 3000, 1200)));
    const count = pull?.taken.reduce((sum, each) => sum + each.count, 0) ?? 0;
    expect(count).toBeGreaterThanOrEqual(Math.ceil(lengthMm / 400));
  });

  it('is at most twenty wrapped places where the rack has no band', () => {
    const [pull] = pullsOf(post(3800), shopWith());
    const places = pull?.taken.find(({ lot: { kind } }) => kind === 'elastic-wrap');
    expect(places?.count).toBeGreaterThan(2);
    expect(places?.count).toBeLessThanOrEqual(20);
  });

  it('is never a band round an open chain', () => {
    const pulls = pullsOf(started('mitred-frame', { chain: 'open' }), TEST_SHOP);
    expect(pulls.every(({ pull }) => !pull.kinds.includes('band'))).toBe(true);
    expect(pulls).toHaveLength(2);
  });
});

describe('pegs', () => {
  const top = (panelLengthMm: number, species = 'white-oak') =>
    started('breadboard', { species, panelWidthMm: 700, panelLengthMm, thicknessMm: 28 });

  it('draw the ends home where no clamp is long enough, and only there', () => {
    const shop = shopWith(lot('bar', 't-bar', 4, 1200, 5000));
    expect(pullsOf(top(900), shop)[0]?.drawnMm).toBeNull();
    const drawn = pullsOf(top(2000), shop)[0];
    expect(drawn?.drawnMm).toBeGreaterThan(0);
    expect(drawn?.reachN).toBe(drawn?.neededN);
    expect(settlePlan(planBuild(top(2000), shop)).verdicts.tight).toMatchObject({
      state: 'holds',
      cause: { code: 'pegs-draw' },
    });
  });

  const script = (top: BuildDocument, shop: ShopDocument) => {
    const plan = planBuild(top, shop);
    const session = plan.order?.sessions[0];
    if (session === undefined) throw new Error('two ends are glued in a session');
    return operationsOf(plan, session);
  };

  it('are driven end by end once it is closed, and the fuse burns until they are', () => {
    const shop = shopWith(lot('bar', 't-bar', 4, 1200, 5000));
    const operations = script(top(2000), shop);
    const driven = operations.filter(({ kind }) => kind === 'tap');
    expect(driven.map(({ joints, instruction }) => [joints, instruction.code])).toEqual([
      [['panel_breadboard-1'], 'do-drive-pegs'],
      [['panel_breadboard-2'], 'do-drive-pegs'],
    ]);
    for (const { joints, startMin, endMin } of driven) {
      const closed = operations.find(
        (each) => each.kind === 'close' && each.joints.includes(joints[0] ?? ''),
      );
      expect(startMin).toBeGreaterThanOrEqual(closed?.endMin ?? Infinity);
      // Five of them, a quarter of a minute each.
      expect(endMin - startMin).toBeCloseTo(1.25, 9);
    }
    const joint = planBuild(top(2000), shop).joints[0];
    expect(joint && fuseOf(joint, operations)?.out).toBe(driven[0]?.id);
  });

  it('in straight holes are driven once clamps have brought it home', () => {
    const shop = shopWith(lot('bar', 't-bar', 4, 1200, 5000));
    const kinds = script(started('breadboard', { panelLengthMm: 900, held: 'pegged' }), shop).map(
      ({ kind }) => kind,
    );
    expect(kinds.lastIndexOf('tighten')).toBeGreaterThan(-1);
    expect(kinds.indexOf('tap')).toBeGreaterThan(kinds.lastIndexOf('tighten'));
    // They take hands, but the glue does not wait for them.
    const [few, many] = [3, 11].map((pegs) =>
      planBuild(started('breadboard', { panelLengthMm: 900, held: 'pegged', pegs }), shop),
    );
    expect(many?.verdicts.inTime.figure).toBe(few?.verdicts.inTime.figure);
    const work = (plan: typeof many) => plan?.order?.sessions[0]?.workMin ?? NaN;
    expect(work(many) - work(few)).toBeCloseTo(2 * 8 * 0.25, 9);
    expect(
      script(started('breadboard', { panelLengthMm: 900, held: 'clamped' }), shop).some(
        ({ kind }) => kind === 'tap',
      ),
    ).toBe(false);
    // Straight holes draw nothing home: where no clamp is long enough it is not tight.
    const long = started('breadboard', { panelLengthMm: 2000, held: 'pegged' });
    expect(planBuild(long, shop).verdicts.tight.state).toBe('fails');
  });
});

describe('pieces', () => {
  it('are as many as were taken, strong and weak in turn', () => {
    const shop = shopWith(lot('a', 'c-clamp', 3, 400, 5000), lot('b', 'f-heavy', 3, 400, 4000));
    const [pull] = pullsOf(started('face-lamination', { lengthMm: 900, widthMm: 80, layers: 2 }), shop);
    if (pull === undefined) throw new Error('a stack is pressed');
    const { pieces } = pull;
    expect(pieces).toHaveLength(pull.taken.reduce((sum, { count }) => sum + count, 0));
    if (pull.taken.length > 1) {
      const kinds = pieces.map(({ lot: { kind } }) => kind);
      expect(new Set(kinds.slice(0, 2)).size).toBe(2);
    }
  });

  it('ask for one or two on a line by how long its joint is', () => {
    const line = (lengthMm: number) =>
      ({ joints: [{ lengthMm }] }) as unknown as Parameters<typeof clampsOnLine>[0];
    expect([100, 150, 151, 900].map((lengthMm) => clampsOnLine(line(lengthMm)))).toEqual([1, 1, 2, 2]);
  });
});

import { ofCode } from '../../findings';
import { DEMO_SHOP } from '../../demo';
import { findFixes } from '../../fixes';
import type { BuildDocument, PulledClamp, ShopDocument } from '../../formats';
import { panelPressure } from '../../mechanics';
import { remembered } from '../../basics/remembered';
import { buildOf, demoAssembly } from '../../test-support/builds';
import { reach } from '../../solids';
import { planBuild, settlePlan } from '../plan-build';
import { pullFrame } from '.';

const press = remembered(panelPressure, 50);
const settled = (build: BuildDocument, shop = DEMO_SHOP) => settlePlan(planBuild(build, shop), press);
const withClamps = (build: BuildDocument, clamps: readonly PulledClamp[]): BuildDocument => ({
  ...build,
  squeeze: { ...build.squeeze, clamps: [...clamps] },
});
const pullOf = (build: BuildDocument, shop = DEMO_SHOP) => {
  const pull = settled(build, shop).squeeze?.pulls[0];
  if (pull === undefined) throw new Error('it is pulled together');
  return pull;
};
/** What the plan works out, as if a person had put it there. */
const placedAsWorkedOut = (build: BuildDocument): PulledClamp[] =>
  pullOf(build).clamps.flatMap(({ place, lot, pull }, i) =>
    place === null ? [] : [{ id: `own-${i}`, pull, rackId: lot.id, ...place }],
  );
const codesOf = (build: BuildDocument, shop: ShopDocument = DEMO_SHOP) =>
  pullOf(build, shop)
    .findings.filter(({ severity }) => severity !== 'informs')
    .map(({ code }) => code);

const FLATS = demoAssembly('scenery-flats');
const FEET = demoAssembly('trestle-feet');

describe('clamps that were placed one by one', () => {
  it.each(['scenery-flats', 'costume-trunk', 'balustrade', 'trestle-feet', 'lantern'])(
    '%s: put where they are worked out, nothing changes',
    (id) => {
      const build = demoAssembly(id);
      const [free, placed] = [pullOf(build), pullOf(withClamps(build, placedAsWorkedOut(build)))];
      // Bands lie side by side; other clamps are numbered in the order in which they stand.
      const spots = ({ clamps }: typeof free) =>
        clamps.map(({ place, lot }) => JSON.stringify([lot.id, place])).sort();
      expect(spots(placed)).toEqual(spots(free));
      expect(placed.planned.reachN).toBeCloseTo(free.planned.reachN, 6);
      expect(placed.joints.map(({ minMPa }) => minMPa)).toEqual(
        free.joints.map(({ minMPa }) => expect.closeTo(minMPa, 9) as number),
      );
      expect(placed.clamps.every(({ id: own }) => own?.startsWith('own-'))).toBe(true);
    },
  );

  it('press less where one is taken off, and no harder than they are told to', () => {
    const all = placedAsWorkedOut(FEET);
    const lowest = (clamps: readonly PulledClamp[]) =>
      Math.min(...pullOf(withClamps(FEET, clamps)).joints.map(({ minMPa }) => minMPa));
    expect(lowest(all.slice(1))).toBeLessThan(0.8 * lowest(all));
    const halved = pullOf(
      withClamps(
        FEET,
        all.map((clamp) => ({ ...clamp, mostN: 2000 })),
      ),
    );
    expect(halved.planned.reachN).toBeCloseTo(2000 * all.length, 6);
  });

  it('say so when two stand in one place, and *Tight* fails until they do not', () => {
    const [first, second, ...rest] = placedAsWorkedOut(FLATS);
    if (first === undefined || second === undefined) throw new Error('a frame has two rails');
    const fouled = withClamps(FLATS, [first, { ...second, alongMm: first.alongMm + 10 }, ...rest]);
    const plan = settled(fouled);
    expect(plan.verdicts.tight).toMatchObject({ state: 'fails', cause: { code: 'jaws-foul' } });
    const [best] = findFixes(planBuild(fouled, DEMO_SHOP), DEMO_SHOP, press).tight;
    expect(best?.after.state).toBe('holds');
    expect(settled(best?.build ?? fouled).verdicts.tight.state).toBe('holds');
  });

  it('say so when one hangs off the end', () => {
    const [first, ...rest] = placedAsWorkedOut(FEET);
    if (first === undefined) throw new Error('feet are clamped');
    expect(codesOf(withClamps(FEET, [{ ...first, alongMm: 3 }, ...rest]))).toContain('clamp-off-end');
  });

  it('want the pull of a seat within its middle third, or a jaw that covers it', () => {
    const plan = planBuild(FLATS, DEMO_SHOP);
    const [pull] = plan.pulls;
    if (pull === undefined) throw new Error('a frame is pulled together');
    const { along } = pullFrame(pull.pull, plan.facts);
    const placed = placedAsWorkedOut(FLATS);
    const joined = pullOf(FLATS).clamps[0]?.joints ?? [];
    const contacts = plan.facts.joints
      .filter(({ joint }) => joined.includes(joint.id))
      .flatMap(({ contacts: own }) => own.flatMap(({ loops }) => loops.flat()));
    const [low, high] = reach(contacts, along);
    const jawMm = (DEMO_SHOP.rack.find(({ id }) => id === placed[0]?.rackId)?.padWidthMm ?? 0) + 40;
    const mostMm = Math.max((high - low) / 6, (jawMm - (high - low)) / 2);
    const moved = (byMm: number) =>
      codesOf(
        withClamps(
          FLATS,
          placed.map((clamp, i) => (i === 0 ? { ...clamp, alongMm: clamp.alongMm + byMm } : clamp)),
        ),
      );
    expect(moved(mostMm - 1)).toEqual([]);
    expect(moved(mostMm + 1)).toEqual(['seat-off-middle']);
    expect(codesOf(withClamps(FLATS, placed.slice(1)))).toContain('line-without-clamp');
  });

  it('press nothing where their lot is gone, too short or used up, and are kept all the same', () => {
    const placed = placedAsWorkedOut(FLATS);
    const [first, second, third] = placed;
    if (first === undefined || second === undefined || third === undefined) throw new Error('three rails');
    const rack = DEMO_SHOP.rack.map((lot) => (lot.id === first.rackId ? { ...lot, count: 1 } : lot));
    const short = { ...(rack[0] as (typeof rack)[number]), id: 'short', count: 5, maxOpeningMm: 300 };
    const shop = { ...DEMO_SHOP, rack: [...rack, short] };
    const build = withClamps(FLATS, [
      first,
      second,
      { ...third, rackId: 'short' },
      { ...third, id: 'gone', rackId: 'sold' },
    ]);
    const { planned, clamps, findings } = pullOf(build, shop);
    expect(clamps).toHaveLength(1);
    expect(planned.idle.map(({ why }) => why).sort()).toEqual(['gone', 'too-short', 'used-up']);
    expect(findings.map(({ code }) => code)).toEqual(
      expect.arrayContaining(['placed-gone', 'placed-too-short', 'placed-beyond-rack']),
    );
  });

  it('leave the pull without any where none of them can press', () => {
    const placed = placedAsWorkedOut(FLATS).map((clamp) => ({ ...clamp, rackId: 'sold' }));
    const plan = settled(withClamps(FLATS, placed));
    expect(plan.verdicts.tight).toMatchObject({
      state: 'fails',
      cause: { code: 'nothing-to-pull-with' },
    });
    for (const verdict of Object.values(plan.verdicts)) expect(verdict.figure).not.toBeNaN();
  });
});

describe('pressure along the joints of a stack', () => {
  it('has as its least what the joint is told to get, at the place that is named', () => {
    const { along, joints } = pullOf(FEET);
    expect(along?.lines.map(({ joint }) => joint)).toEqual(joints.map(({ joint }) => joint));
    for (const [i, { pressureMPa, minMPa, minAtMm, maxMPa }] of (along?.lines ?? []).entries()) {
      expect(minMPa).toBeCloseTo(joints[i]?.minMPa ?? NaN, 9);
      // Between two stations the least may be a little lower still.
      expect(Math.min(...pressureMPa)).toBeGreaterThanOrEqual(minMPa - 1e-9);
      expect(Math.max(...pressureMPa)).toBeLessThanOrEqual(maxMPa + 1e-9);
      expect(minAtMm).toBeGreaterThanOrEqual(0);
      expect(minAtMm).toBeLessThanOrEqual(along?.lengthMm ?? 0);
    }
    expect(pullOf(FLATS).along).toBeNull();
  });
});

describe('fixes that take for granted what only the person can do', () => {
  const fixesOf = (build: BuildDocument, shop = DEMO_SHOP) => findFixes(planBuild(build, shop), shop, press);

  it('read the diagonals and sight for wind where that was not done', () => {
    const unread = { ...FLATS, dryFit: { acMm: null, bdMm: null, bowMm: null, twistMm: null } };
    const { square, flat } = fixesOf(unread);
    expect(square.find(({ change }) => change.code === 'read-diagonals-first')).toMatchObject({
      first: 'reading',
      after: { state: 'holds', figure: 0 },
    });
    expect(flat.find(({ change }) => change.code === 'sight-first')).toMatchObject({
      first: 'reading',
      after: { state: 'holds' },
    });
  });

  it('borrow what the rack does not hold at all, even a bag', () => {
    const bare = { ...DEMO_SHOP, rack: [] };
    const bag = fixesOf(demoAssembly('backdrop'), bare).tight.find(
      ({ change }) => change.code === 'borrow-clamps',
    );
    expect(bag).toMatchObject({ first: 'rack', after: { state: 'holds' } });
    const bars = fixesOf(FLATS, bare).tight.find(({ change }) => change.code === 'borrow-clamps');
    expect(bars?.first).toBe('rack');
    expect(bars?.after.state).not.toBe('fails');
  });

  it('borrow jaws that reach in where those on the rack do not', () => {
    const wide = buildOf({
      template: 'face-lamination',
      name: 'Chopping block',
      project: '',
      service: 'dry',
      answers: { species: 'eastern-white-pine', widthMm: 300, layers: 2, lengthMm: 400, blanks: 1 },
    });
    const plan = settled(wide);
    expect(plan.verdicts.tight.cause.code).toBe('jaws-do-not-reach');
    const deep = fixesOf(wide).tight.find(({ change }) => change.code === 'borrow-deep');
    // From both sides, each jaw over the middle of its half.
    const borrow = ofCode(deep === undefined ? [] : [deep.change], 'borrow-deep');
    expect(borrow?.values.depthMm).toBeGreaterThanOrEqual(300 / 4);
    expect(deep).toMatchObject({ first: 'rack', after: { state: 'holds' } });
  });
});

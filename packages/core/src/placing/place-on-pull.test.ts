import { ofCode } from '../findings';
import { DEMO_SHOP } from '../demo';
import type { BuildDocument, ShopDocument } from '../formats';
import { panelPressure } from '../mechanics';
import { remembered } from '../basics/remembered';
import { demoAssembly } from '../test-support/builds';
import { planBuild, settlePlan } from '../plan';
import { type PullPlacing, pullPlacings } from '.';

const press = remembered(panelPressure, 50);
function placed(build: BuildDocument, shop: ShopDocument = DEMO_SHOP, pull?: string): PullPlacing {
  const plan = planBuild(build, shop);
  let made = 0;
  let last: PullPlacing | null = null;
  const id = pull ?? plan.pulls[0]?.pull.id ?? '';
  for (const step of pullPlacings(plan, id, () => `new-${(made += 1)}`, press)) last = step.placing;
  if (last === null) throw new Error('placing always answers');
  return last;
}
const clampsOf = (build: BuildDocument) => build.squeeze?.clamps ?? [];

describe('placing the clamps of a stack', () => {
  it('meets the pressure on every joint, as pressed, with no jaw in another', () => {
    for (const id of ['trestle-feet']) {
      const { build, meets, lowestShare } = placed(demoAssembly(id));
      expect(meets).toBe(true);
      const plan = settlePlan(planBuild(build, DEMO_SHOP), press);
      const [pull] = plan.squeeze?.pulls ?? [];
      const wanted = pull?.planned.wanted.lowMPa ?? NaN;
      const least = Math.min(...(pull?.joints.map(({ minMPa }) => minMPa) ?? []));
      expect(least).toBeGreaterThanOrEqual(wanted);
      expect(lowestShare).toBeCloseTo(least / wanted, 9);
      expect(pull?.findings.filter(({ severity }) => severity === 'refuses')).toEqual([]);
      for (const lot of DEMO_SHOP.rack) {
        expect(clampsOf(build).filter(({ rackId }) => rackId === lot.id).length).toBeLessThanOrEqual(
          lot.count,
        );
      }
    }
  });

  it('takes fewer clamps than pull alone reckons with, or presses better', () => {
    const build = demoAssembly('trestle-feet');
    const plan = settlePlan(planBuild(build, DEMO_SHOP), press);
    const workedOut = plan.pulls[0]?.taken.reduce((sum, { count }) => sum + count, 0) ?? 0;
    const share = (plan.verdicts.tight.figure ?? 0) / plan.verdicts.tight.against;
    const own = placed(build);
    expect(clampsOf(own.build).length < workedOut || own.lowestShare > share).toBe(true);
  });

  it('works around what is pinned', () => {
    const first = placed(demoAssembly('trestle-feet')).build;
    const [one] = clampsOf(first);
    if (one === undefined) throw new Error('feet are clamped');
    const pin = { ...one, id: 'kept', alongMm: 611, pinned: true };
    const again = placed({ ...first, squeeze: { ...first.squeeze, clamps: [pin] } });
    expect(clampsOf(again.build)).toContainEqual(pin);
    expect(clampsOf(again.build).length).toBeGreaterThan(4);
    for (const { id, alongMm, acrossMm } of clampsOf(again.build)) {
      // Jaws from the other side may stand beside it.
      if (id !== 'kept' && acrossMm === pin.acrossMm) expect(Math.abs(alongMm - 611)).toBeGreaterThan(40);
    }
    expect(again.meets).toBe(true);
  });

  it('says how many to borrow where the rack falls short', () => {
    const few = {
      ...DEMO_SHOP,
      rack: DEMO_SHOP.rack.map((lot) => ({ ...lot, count: Math.min(1, lot.count) })),
    };
    const { meets, findings } = placed(demoAssembly('trestle-feet'), few);
    expect(meets).toBe(false);
    const borrow = ofCode(findings, 'borrow-clamps');
    expect(borrow?.values.count).toBeGreaterThan(2);
  });
});

describe('placing the clamps of seats and bands', () => {
  it('keeps what is pinned and stands in line with the other joints', () => {
    const build = demoAssembly('scenery-flats');
    const workedOut = clampsOf(placed(build).build);
    expect(workedOut).toHaveLength(3);
    const [first] = [...workedOut].sort((a, b) => a.alongMm - b.alongMm);
    if (first === undefined) throw new Error('a frame has rails');
    const pin = { ...first, id: 'kept', alongMm: first.alongMm + 12, pinned: true };
    const again = placed({ ...build, squeeze: { clamps: [pin] } });
    const others = workedOut.filter(({ alongMm }) => alongMm !== first.alongMm).map(({ alongMm }) => alongMm);
    expect(clampsOf(again.build)).toContainEqual(pin);
    expect(
      clampsOf(again.build)
        .filter(({ id }) => id !== 'kept')
        .map(({ alongMm }) => alongMm)
        .sort(),
    ).toEqual(others.sort());
  });

  it('leaves the clamps of other pulls as they are', () => {
    const build = demoAssembly('costume-trunk');
    const across = placed(build, DEMO_SHOP, 'across').build;
    const both = placed(across, DEMO_SHOP, 'back').build;
    expect(clampsOf(both).filter(({ pull }) => pull === 'across')).toEqual(clampsOf(across));
    expect(clampsOf(both).filter(({ pull }) => pull === 'back')).toHaveLength(4);
  });

  it('never places what comes off a roll', () => {
    const { build } = placed(demoAssembly('lamp-posts'));
    const lots = new Set(DEMO_SHOP.rack.map(({ id }) => id));
    expect(clampsOf(build).every(({ rackId }) => lots.has(rackId))).toBe(true);
  });
});

import { DEMO_SHOP, stageFloor, wagonBuilds } from '../demo';
import { findFixes } from '../fixes';
import { planBuild, settlePlan } from '../plan';
import { shopList } from '.';

const builds = [stageFloor(DEMO_SHOP), ...wagonBuilds().map(({ build }) => build)].slice(0, 6);
const plansIn = (shop: typeof DEMO_SHOP) => builds.map((build) => settlePlan(planBuild(build, shop)));

describe('a shop list', () => {
  it('adds up each glue over all builds, and what of it is there', () => {
    const plans = plansIn(DEMO_SHOP);
    const { glue } = shopList(plans, DEMO_SHOP);
    const sum = (figures: readonly number[]) => figures.reduce((all, each) => all + each, 0);
    expect(sum(glue.map(({ wantedMl }) => wantedMl))).toBeCloseTo(
      sum(plans.map(({ totals }) => totals.volumeMl)),
      6,
    );
    for (const { adhesive, thereMl } of glue) {
      const own = DEMO_SHOP.bottles.filter((bottle) => bottle.adhesive === adhesive);
      expect(thereMl).toBe(sum(own.map(({ remainingMl }) => remainingMl)));
    }
    const lacks = glue.map(({ wantedMl, thereMl }) => wantedMl - thereMl);
    expect(lacks).toEqual([...lacks].sort((a, b) => b - a));
  });

  it('borrows for builds that the rack fails, what a fix of theirs would, and nothing for the others', () => {
    const poor = { ...DEMO_SHOP, rack: DEMO_SHOP.rack.slice(0, 1).map((lot) => ({ ...lot, count: 1 })) };
    const plans = plansIn(poor);
    const { borrow } = shopList(plans, poor);
    expect(borrow.length).toBeGreaterThan(0);
    for (const { build, what } of borrow) {
      const plan = plans.find((each) => each.build.name === build);
      if (plan === undefined) throw new Error(build);
      expect(Object.values(plan.verdicts).some(({ state }) => state === 'fails')).toBe(true);
      expect(
        Object.values(findFixes(plan, poor))
          .flat()
          .map(({ change }) => change),
      ).toContainEqual(what);
    }
    const rich = plansIn(DEMO_SHOP).filter(({ verdicts }) =>
      Object.values(verdicts).every(({ state }) => state !== 'fails'),
    );
    expect(rich.length).toBeGreaterThan(0);
    expect(shopList(rich, DEMO_SHOP).borrow).toEqual([]);
  });

  it('makes what is sawn or planed, each with its build', () => {
    const plans = plansIn(DEMO_SHOP);
    const { make } = shopList(plans, DEMO_SHOP);
    expect(make.map(({ item }) => item.kind)).not.toContain('clamp-strip');
    const crowned = plans
      .filter(({ row }) => row !== null && row.cauls !== null)
      .map(({ build }) => build.name);
    expect(make.filter(({ item }) => item.kind === 'caul-crown').map(({ build }) => build)).toEqual(crowned);
  });
});

import { benchScript, type Lap, stepsOfSession } from '../bench';
import { DEMO_SHOP, stageFloor } from '../demo';
import { paceOf, planBuild } from '../plan';
import { atWalkedPace, walkedPaces, workOf } from '.';

const build = stageFloor(DEMO_SHOP);
const script = benchScript(planBuild(build, DEMO_SHOP));
const { method } = build.glue;
/** Every step of the session at so many times its planned minutes. */
const laps = (times: (work: string) => number, mishap = false): Lap[] =>
  stepsOfSession(script).map(({ id, kind, startMin, endMin, wait }) => ({
    operation: id,
    tookMs: times(workOf(kind) ?? '') * (endMin - startMin - (wait?.min ?? 0)) * 60_000,
    mishap,
  }));

describe('the pace of a dry run', () => {
  it('is told work by work, over the pace by which it was planned', () => {
    const walked = walkedPaces(
      script,
      laps((work) => (work === 'spread' ? 1.5 : 0.8)),
      DEMO_SHOP,
      method,
    );
    const before = paceOf(DEMO_SHOP);
    const spread = walked.find(({ work }) => work === 'spread');
    expect(spread?.factor).toBeCloseTo(1.5 * before('spread', method), 1);
    const press = walked.find(({ work }) => work === 'press');
    expect(press?.factor).toBeCloseTo(0.8 * before('press'), 1);
    expect(press?.method).toBe('');
  });

  it('is what plans go by once it is taken over, and walking it again at that pace changes nothing', () => {
    const slow = laps((work) => (work === 'spread' ? 1.5 : 1));
    const shop = atWalkedPace(DEMO_SHOP, walkedPaces(script, slow, DEMO_SHOP, method), 1.2, '2026-11-28');
    expect(paceOf(shop)('spread', method)).toBeCloseTo(1.5 * paceOf(DEMO_SHOP)('spread', method), 1);
    const again = planBuild(build, shop);
    const planned = (plan: ReturnType<typeof planBuild>) =>
      plan.joints.reduce((sum, { spread }) => sum + spread.minutes, 0);
    expect(again.order?.sessions[0]?.workMin).toBeGreaterThan(
      planBuild(build, DEMO_SHOP).order?.sessions[0]?.workMin ?? 0,
    );
    expect(planned(again)).toBeGreaterThan(0);
    const same = atWalkedPace(shop, walkedPaces(benchScript(again), [], shop, method), 1, '2026-11-28');
    expect(same.learned?.pace).toEqual(shop.learned?.pace);
  });

  it('tells nothing of what went wrong, was hardly walked, or was walked as no hands do', () => {
    expect(
      walkedPaces(
        script,
        laps(() => 1, true),
        DEMO_SHOP,
        method,
      ),
    ).toEqual([]);
    expect(
      walkedPaces(
        script,
        laps(() => 9),
        DEMO_SHOP,
        method,
      ),
    ).toEqual([]);
    expect(walkedPaces(script, [], DEMO_SHOP, method)).toEqual([]);
  });
});

import { DEMO_SHOP, stageFloor, wagonBuilds } from '@lean-clasp/core/demo';
import { findFixes, NO_FIXES } from '@lean-clasp/core/fixes';
import { panelPressure } from '@lean-clasp/core/mechanics';
import { planBuild, settlePlan } from '@lean-clasp/core/plan';
import { fixesBy } from './fixes-by';
import { type Planner, plannerAnswers, type PlannerLater } from './planner-answers';

const BUILDS = new Map([
  ['stage-floor', stageFloor(DEMO_SHOP)],
  ...wagonBuilds().map(({ id, build }) => [id, build] as const),
]);

/** A worker, each answer a moment later; it counts what it was asked. */
function worker() {
  const answers = plannerAnswers(panelPressure, panelPressure);
  const asked: string[] = [];
  const later = new Proxy(answers, {
    get:
      (_, name: keyof Planner) =>
      async (...about: never[]) => {
        asked.push(name);
        await Promise.resolve();
        const answer: (...about: never[]) => unknown = answers[name];
        return answer(...about);
      },
  }) as unknown as PlannerLater;
  return { later, asked };
}

function about(id: string) {
  const build = BUILDS.get(id);
  if (build === undefined) throw new Error(`the demo has no ${id}`);
  const plan = planBuild(build, DEMO_SHOP);
  return { build, plan, settled: settlePlan(plan, panelPressure).verdicts };
}

describe('fixes by two workers side by side', () => {
  it.each(['stage-floor', 'backdrop', 'drumhead', 'balustrade'])(
    'are those that one finds alone: %s',
    async (id) => {
      const { build, plan, settled } = about(id);
      const [one, other] = [worker(), worker()];
      const fixes = await fixesBy([one.later, other.later], build, DEMO_SHOP, Promise.resolve(settled));
      expect(fixes).toEqual(findFixes(plan, DEMO_SHOP, panelPressure));
      expect(fixes).not.toEqual(NO_FIXES);
      for (const { asked } of [one, other]) expect(asked).toContain('estimates');
    },
  );

  it('come to nothing where they are let go', async () => {
    const { build, settled } = about('stage-floor');
    const [one, other] = [worker(), worker()];
    const fixes = fixesBy([one.later, other.later], build, DEMO_SHOP, Promise.resolve(settled));
    await Promise.resolve();
    await other.later.letGoOfFixes();
    expect(await fixes).toBeNull();
    expect(one.asked).not.toContain('fixes');
  });
});

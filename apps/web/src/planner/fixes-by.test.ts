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
  const always = () => true;

  it.each(['stage-floor', 'backdrop', 'drumhead', 'balustrade'])(
    'are those that one finds alone: %s',
    async (id) => {
      const { build, plan, settled } = about(id);
      const [one, other] = [worker(), worker()];
      const ready = Promise.resolve(settled);
      const fixes = await fixesBy([one.later, other.later], build, DEMO_SHOP, ready, always);
      expect(fixes).toEqual(findFixes(plan, DEMO_SHOP, panelPressure));
      expect(fixes).not.toEqual(NO_FIXES);
      for (const { asked } of [one, other]) expect(asked).toContain('estimates');
    },
  );

  it('come to nothing where they are let go', async () => {
    const { build, settled } = about('stage-floor');
    const [one, other] = [worker(), worker()];
    const fixes = fixesBy([one.later, other.later], build, DEMO_SHOP, Promise.resolve(settled), always);
    await Promise.resolve();
    await other.later.letGoOfFixes();
    expect(await fixes).toBeNull();
    expect(one.asked).not.toContain('fixes');
  });

  it('of the build before are not gone on with when those of the next are asked for', async () => {
    const [before, next] = [about('drumhead'), about('stage-floor')];
    const workers = [worker().later, worker().later] as const;
    let wanted = true;
    let settle: (verdicts: typeof before.settled) => void = () => undefined;
    const slow = new Promise<typeof before.settled>((done) => (settle = done));
    const old = fixesBy(workers, before.build, DEMO_SHOP, slow, () => wanted);
    // Its estimates are there, and what the elements say of the build is still waited for.
    await new Promise((done) => setTimeout(done, 1500));
    wanted = false;
    const fixes = fixesBy(workers, next.build, DEMO_SHOP, Promise.resolve(next.settled), always);
    settle(before.settled);
    expect(await old).toBeNull();
    expect(await fixes).toEqual(findFixes(next.plan, DEMO_SHOP, panelPressure));
  });
});

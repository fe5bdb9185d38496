import { wagonBuilds } from '@lean-clasp/core/demo';
import { panelPressure } from '@lean-clasp/core/mechanics';
import { planBuild, settlePlan } from '@lean-clasp/core/plan';
import { STARTER_SHOP } from '@lean-clasp/core/templates';
import { plannerAnswers } from './planner-answers';
import { withSettled } from './settled';

const demo = (id: string) => {
  const build = wagonBuilds().find((each) => each.id === id)?.build;
  if (build === undefined) throw new Error(`the demo has no ${id}`);
  return build;
};
const answers = plannerAnswers(panelPressure);

describe('verdicts ahead of their plan', () => {
  it('are those of the plan where it is slow to hand over', () => {
    const build = demo('balustrade');
    const first = answers.first(build, STARTER_SHOP);
    expect(first.plan).toBeNull();
    expect(first.verdicts).toEqual(settlePlan(planBuild(build, STARTER_SHOP), panelPressure).verdicts);
    expect(answers.plan(build, STARTER_SHOP).verdicts).toBe(first.verdicts);
  });

  it('come with the plan where it is small', () => {
    const build = demo('drumhead');
    expect(answers.first(build, STARTER_SHOP).plan).toBe(answers.plan(build, STARTER_SHOP));
  });
});

it.each(['backdrop', 'drumhead', 'balustrade'])(
  'what settling the %s changes makes the settled plan',
  (id) => {
    const build = demo(id);
    const plan = planBuild(build, STARTER_SHOP);
    expect(withSettled(plan, answers.settle(build, STARTER_SHOP))).toEqual(settlePlan(plan, panelPressure));
  },
);

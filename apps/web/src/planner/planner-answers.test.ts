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
    expect(answers.verdictsAhead(build, STARTER_SHOP)).toEqual(planBuild(build, STARTER_SHOP).verdicts);
    expect(answers.plan(build, STARTER_SHOP).verdicts).toBe(answers.verdictsAhead(build, STARTER_SHOP));
  });

  it('are left to the plan where it is small', () => {
    expect(answers.verdictsAhead(demo('drumhead'), STARTER_SHOP)).toBeNull();
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

import { DEMO_SHOP, stageFloor, wagonBuilds } from '@lean-clasp/core/demo';
import { panelMarks } from '@lean-clasp/core/drawing';
import { panelPressure } from '@lean-clasp/core/mechanics';
import { planBuild, rowOf, settlePlan, withRow } from '@lean-clasp/core/plan';
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

describe('a build at a glance', () => {
  it('presses as the settled plan does, within what is drawn', () => {
    const floor = stageFloor(DEMO_SHOP);
    const { row } = settlePlan(planBuild(floor, DEMO_SHOP), panelPressure);
    const glance = answers.glance(floor, DEMO_SHOP);
    if (row === null || glance === null) throw new Error('boards of a floor lie in a row');
    const exact = panelMarks(row);
    expect(glance.marks.clamps).toEqual(exact.clamps);
    expect(glance.marks.lines).toHaveLength(exact.lines.length);
    glance.marks.lines.forEach(({ minMPa }, i) =>
      expect(minMPa / (exact.lines[i]?.minMPa ?? 0)).toBeCloseTo(1, 1),
    );
  });

  it('moves with its clamps', () => {
    const floor = stageFloor(DEMO_SHOP);
    const [first, ...others] = rowOf(floor).clamps;
    if (first === undefined) throw new Error('the floor has clamps');
    const moved = withRow(floor, { clamps: [{ ...first, xMm: first.xMm + 90 }, ...others] });
    const [before, after] = [floor, moved].map((build) => answers.glance(build, DEMO_SHOP));
    expect(after?.marks.clamps[0]?.xMm).toBe(first.xMm + 90);
    expect(after?.marks.lines[0]?.minMPa).toBeLessThan(before?.marks.lines[0]?.minMPa ?? 0);
    expect(after?.verdicts.tight.figure).not.toEqual(before?.verdicts.tight.figure);
  });

  it('is nothing where no boards lie in a row', () => {
    expect(answers.glance(demo('balustrade'), STARTER_SHOP)).toBeNull();
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

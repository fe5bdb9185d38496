import { tsImport } from 'tsx/esm/api';
import { ms, times } from './figures.mjs';

/** Kinds that come small and large: the longest row, and the kind with most parts. */
const GROWING = [
  {
    name: 'boards of a panel',
    answers: (boards) => ['edge-panel', { boards, widthMm: 25 * boards, lengthMm: 1200 }],
    counts: [2, 5, 10, 20, 40],
  },
  {
    name: 'slats on three rails',
    answers: (slats) => ['slatted-frame', { slats, rails: 3, betweenLegsMm: 300 + 60 * slats }],
    counts: [2, 6, 12, 24],
  },
];
const GROWING_ROUNDS = 3;

/** Plans from two parts up, in this process: verdicts by estimates, then the elements; baseline: the smallest of its kind. */
export async function measureGrowth({ report }) {
  const core = (path) => tsImport(`../../packages/core/src/${path}.ts`, import.meta.url);
  const { planBuild, settlePlan } = await core('plan/index');
  const { newBuild } = await core('templates/index');
  const { TEST_SHOP } = await core('test-support/builds');
  for (const { name, answers, counts } of GROWING) {
    let smallest = null;
    for (const count of counts) {
      const [template, given] = answers(count);
      let next = 0;
      const start = { template, name: 'Growing', project: '', service: 'dry', answers: given };
      const build = newBuild(start, TEST_SHOP, () => `g-${(next += 1)}`);
      const timed = Array.from({ length: GROWING_ROUNDS }, () => {
        const startedAt = performance.now();
        const plan = planBuild(build, TEST_SHOP);
        const plannedAt = performance.now();
        settlePlan(plan);
        return {
          parts: plan.facts.parts.length,
          planMs: plannedAt - startedAt,
          settleMs: performance.now() - plannedAt,
        };
      });
      const { parts, planMs, settleMs } = timed.reduce((a, b) => (b.planMs < a.planMs ? b : a));
      smallest ??= { parts, planMs };
      report(
        `plan of ${parts} parts (${name}), elements after it`,
        `${ms(planMs)} + ${ms(settleMs)}`,
        'under 100 ms',
        `${smallest.parts} parts: ${ms(smallest.planMs)}`,
        times(planMs, smallest.planMs),
      );
    }
  }
}

import type { BuildDocument } from '../formats';
import { planBuild, settlePlan } from '../plan';
import { newBuild } from '../templates';
import type { Answers } from '../kinds/question';
import { TEST_SHOP } from './builds';

/** Builds alike but for how many parts they have. */
interface Series {
  readonly name: string;
  readonly of: (parts: number) => BuildDocument;
  readonly counts: readonly number[];
}

const build = (template: string, answers: Answers): BuildDocument => {
  let next = 0;
  const start = { template, name: 'Growing', project: '', service: 'dry', answers } as const;
  return newBuild(start, TEST_SHOP, () => `g-${(next += 1)}`);
};

/** Kinds that come small and large: the longest row, and the kind with most parts. */
const SERIES: readonly Series[] = [
  {
    name: 'boards of a panel',
    of: (boards) => build('edge-panel', { boards, widthMm: 25 * boards, lengthMm: 1200 }),
    counts: [2, 5, 10, 20, 40],
  },
  {
    name: 'slats on three rails',
    of: (slats) => build('slatted-frame', { slats, rails: 3, betweenLegsMm: 300 + 60 * slats }),
    counts: [2, 6, 12, 24],
  },
];

/** How long planning takes as builds grow, ms: the verdicts at once, then with pressures by the elements; the quickest of so many. */
export function growth(rounds = 3) {
  return SERIES.map(({ name, of, counts }) => ({
    name,
    sizes: counts.map((count) => {
      const grown = of(count);
      const times = Array.from({ length: rounds }, () => {
        const startedAt = performance.now();
        const plan = planBuild(grown, TEST_SHOP);
        const plannedAt = performance.now();
        settlePlan(plan);
        return {
          parts: plan.facts.parts.length,
          planMs: plannedAt - startedAt,
          settleMs: performance.now() - plannedAt,
        };
      });
      return times.reduce((a, b) => (b.planMs < a.planMs ? b : a));
    }),
  }));
}

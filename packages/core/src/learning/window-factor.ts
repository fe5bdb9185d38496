import { WINDOW_CV } from '../plan';
import type { WindowEvidence } from './run-evidence';
import { type Known, normalShare } from './statistics';

/** What people find differs from the catalogue by so much, as standard deviation of the logarithm [judgement]. */
const FAMILY_SD = 0.25;
/** Share of tellings that are mistaken [judgement]. */
const MISTAKEN = 0.05;
/** Logarithms of factors that are weighed: from a third to three times. */
const STEPS = 221;
const REACH = 1.1;

/**
 * How long a glue really gives over what the catalogue says: wet means that it gave longer than was used, skinned that it gave less,
 * tacky that it was just about that. Posterior of the logarithm on a grid, normal prior about 0, log-normal days. Source: models §9.
 */
export function windowFactor(told: readonly Pick<WindowEvidence, 'share' | 'how'>[]): Known {
  const grid = Array.from({ length: STEPS }, (_, i) => REACH * ((2 * i) / (STEPS - 1) - 1));
  const logs = grid.map((mu) => {
    const prior = -0.5 * (mu / FAMILY_SD) ** 2;
    return told.reduce((sum, each) => sum + Math.log(likelihood(each, mu)), prior);
  });
  const most = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - most));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const mean = grid.reduce((sum, mu, i) => sum + mu * (weights[i] ?? 0), 0) / total;
  const variance = grid.reduce((sum, mu, i) => sum + (mu - mean) ** 2 * (weights[i] ?? 0), 0) / total;
  return { mean, sd: Math.sqrt(variance) };
}

function likelihood({ share, how }: Pick<WindowEvidence, 'share' | 'how'>, mu: number): number {
  const out = (Math.log(Math.max(1e-6, share)) - mu) / WINDOW_CV;
  const honest =
    how === 'wet'
      ? 1 - normalShare(out + TACKY)
      : how === 'skinned'
        ? normalShare(out)
        : normalShare(out + TACKY) - normalShare(out);
  return (1 - MISTAKEN) * honest + MISTAKEN / 3;
}

/** Glue is tacky in the last stretch before it skins over: in so many standard deviations of its time [judgement]. */
const TACKY = 0.8;

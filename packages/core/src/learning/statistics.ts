/** Middle value; NaN for none. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length / 2;
  return sorted.length % 2 === 1
    ? (sorted[Math.floor(half)] ?? Number.NaN)
    : ((sorted[half - 1] ?? Number.NaN) + (sorted[half] ?? Number.NaN)) / 2;
}

/** Median deviation of a normal spread is this share of its standard deviation. */
const MAD_OF_NORMAL = 0.6745;

/** Standard deviation as the middle half tells it, so that what is spoilt does not count. */
export function robustSd(values: readonly number[]): number {
  const middle = median(values);
  return median(values.map((value) => Math.abs(value - middle))) / MAD_OF_NORMAL;
}

/** A mean that outliers hardly move, with the weight that each value had in it. */
export interface RobustMean {
  readonly mean: number;
  readonly sd: number;
  /** Sum of the weights: how many values it rests on. */
  readonly count: number;
  readonly weights: readonly number[];
}

/** Values beyond so many standard deviations count nothing (Tukey's biweight). */
const BEYOND = 4.685;

/**
 * Tukey's biweight about the median, with the spread from the median deviation.
 * @param leastSd spread below which nobody is an outlier, since so much is chance.
 */
export function robustMean(values: readonly number[], leastSd: number): RobustMean {
  const middle = median(values);
  const spread = Math.max(leastSd, robustSd(values));
  const weights = values.map((value) => {
    const out = (value - middle) / (BEYOND * spread);
    return Math.abs(out) >= 1 ? 0 : (1 - out * out) ** 2;
  });
  const count = weights.reduce((sum, weight) => sum + weight, 0);
  const mean = values.reduce((sum, value, i) => sum + value * (weights[i] ?? 0), 0) / count;
  const variance =
    values.reduce((sum, value, i) => sum + (weights[i] ?? 0) * (value - mean) ** 2, 0) /
    Math.max(1, count - 1);
  return { mean, sd: Math.sqrt(variance), count, weights };
}

/** What is known of a value: its mean, and the standard deviation of what is known. */
export interface Known {
  readonly mean: number;
  readonly sd: number;
}

/** What nothing is known of counts as so many runs at most: models §9. */
const MOST_PRIOR_RUNS = 4;
/** How far people differ from the built-in pace, as standard deviation of the logarithm [judgement]. */
const PEOPLE_SD = 0.3;

/**
 * The mean of some runs, drawn towards 0, which is as built in: as if up to four runs had come out like that, fewer the less the runs
 * scatter against how much people differ (normal prior of known width). Few runs tell little of their scatter; then all four count.
 */
export function shrunk({ mean, sd, count }: RobustMean, leastSd: number): Known {
  const spread = Math.max(leastSd, sd);
  const prior = count < 3 ? MOST_PRIOR_RUNS : Math.min(MOST_PRIOR_RUNS, (spread / PEOPLE_SD) ** 2);
  return { mean: (mean * count) / (count + prior), sd: spread / Math.sqrt(count + prior) };
}

/** Standard normal distribution function (Abramowitz and Stegun 26.2.17, ± 7.5e-8). */
export function normalShare(x: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(x));
  const poly =
    t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const tail = (Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)) * poly;
  return x >= 0 ? 1 - tail : tail;
}

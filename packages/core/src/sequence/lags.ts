import type { Job } from './job';
import { arcsOf } from './tightest';

/** Lags are compared to this many minutes. */
export const LAG_EPS_MIN = 1e-10;

/** The greatest lag known between the starts of each two works, and between them and the session's ends. */
export class Lags {
  private constructor(
    private readonly works: number,
    private readonly values: Float64Array,
  ) {}

  /** Lags that follow from a job with its windows used to a share; null where they contradict each other. */
  static of(job: Job, usedShare: number, spanMin: number | null): Lags | null {
    const works = job.works.length;
    const size = works + 2;
    const values = new Float64Array(size * size).fill(-Infinity);
    for (let i = 0; i < size; i += 1) values[i * size + i] = 0;
    const lags = new Lags(works, values);
    const [begin, end] = [works, works + 1];
    const fits =
      job.works.every(({ minutes }, i) => lags.insert(begin, i, 0) && lags.insert(i, end, minutes)) &&
      arcsOf(job, []).every(({ from, to, baseMin, windowMin }) =>
        lags.insert(from, to, baseMin - usedShare * windowMin),
      ) &&
      (spanMin === null || lags.insert(end, begin, -spanMin));
    return fits ? lags : null;
  }

  copy(): Lags {
    return new Lags(this.works, this.values.slice());
  }

  /** `j` starts at least so long after `i`. */
  between(i: number, j: number): number {
    return this.values[i * (this.works + 2) + j] ?? -Infinity;
  }

  /** Earliest start of a work. */
  earliestOf(i: number): number {
    return this.between(this.works, i);
  }

  /** Latest start of a work; infinite where the span is open. */
  latestOf(i: number): number {
    return -this.between(i, this.works);
  }

  /** Earliest start of each work. */
  earliest(): number[] {
    return Array.from({ length: this.works }, (_, i) => this.earliestOf(i));
  }

  /** Makes `j` start at least `minutes` after `i`, with all that follows; false where that cannot be. */
  insert(i: number, j: number, minutes: number): boolean {
    const size = this.works + 2;
    const { values } = this;
    if (this.between(i, j) >= minutes - LAG_EPS_MIN) return true;
    if (this.between(j, i) + minutes > LAG_EPS_MIN) return false;
    for (let a = 0; a < size; a += 1) {
      const head = (values[a * size + i] ?? 0) + minutes;
      if (head === -Infinity) continue;
      const [row, tail] = [a * size, j * size];
      for (let b = 0; b < size; b += 1) {
        const whole = head + (values[tail + b] ?? 0);
        if (whole > (values[row + b] ?? 0)) values[row + b] = whole;
      }
    }
    return true;
  }
}

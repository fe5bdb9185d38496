/** A figure of some glue-ups of one month, written `2026-04`. */
interface Monthly {
  readonly month: string;
  readonly runs: number;
}

/** What the whole log comes to, month by month. */
export interface Trends {
  /** Taken over built-in minutes by work, its method empty, and once more by method for spreading. */
  readonly pace: readonly (Monthly & {
    readonly work: string;
    readonly method: string;
    readonly factor: number;
  })[];
  /** Mean share of the likely windows that the closest joint used. */
  readonly used: readonly (Monthly & { readonly share: number })[];
  /** How square and how flat each kind came out, mm. */
  readonly reached: readonly (Monthly & {
    readonly template: string;
    readonly squareMm: number | null;
    readonly flatMm: number | null;
  })[];
  /** Glue for a square metre of joint, g: planned, and taken where it was weighed. */
  readonly glue: readonly (Monthly & { readonly gPerM2: number; readonly takenGPerM2: number | null })[];
  /** What failures were put down to. */
  readonly causes: readonly { readonly cause: string; readonly runs: number }[];
  /** Wood failure of coupons by bottle, per cent; the bottle is null where the run did not know it. */
  readonly coupons: readonly (Monthly & {
    readonly adhesive: string;
    readonly bottle: string | null;
    readonly openedOn: string | null;
    readonly pct: number;
  })[];
  /** How often each lesson was told before a glue-up that is done, and how many of those went wrong all the same. */
  readonly lessons: readonly { readonly lesson: string; readonly runs: number; readonly wrong: number }[];
  readonly calibration: Calibration;
}

/** Promised likelihoods against what came true. */
export interface Calibration {
  /** By tenths of what was promised. */
  readonly bins: readonly { readonly runs: number; readonly promised: number; readonly kept: number }[];
  /** Mean squared distance of promise and outcome, 0 best; null where nothing was promised. */
  readonly brier: number | null;
  /** The same for somebody who always promises the mean: what a promise has to beat. */
  readonly brierOfMean: number | null;
}

import type { Finding, PlanFinding } from '../findings';
import type { FigureKind, VerdictState } from './verdict';

/** A verdict with less than this share of the allowance left is close. */
const CLOSE_SHARE = 0.3;

/** One aspect of an assembly judged. */
export interface Judged {
  /** What its figure counts, where not what the verdict usually does. */
  readonly kind?: FigureKind;
  readonly state: VerdictState;
  readonly figure: number | null;
  readonly against: number;
  readonly margin: number;
  readonly cause: PlanFinding;
  readonly workings: readonly Finding[];
}

/** Nothing to measure, and nothing that could be amiss. */
export function atRest(limit: number, cause: PlanFinding): Judged {
  return { state: 'holds', figure: null, against: limit, margin: 1, cause, workings: [] };
}

/** A figure that should stay under a limit. */
export function against(
  figure: number,
  limit: number,
  cause: (over: boolean) => PlanFinding,
  workings: readonly Finding[],
): Judged {
  const margin = 1 - figure / limit;
  const over = margin < -1e-9;
  const said = cause(over);
  return {
    state: over
      ? said.severity === 'warns'
        ? 'close'
        : 'fails'
      : margin < CLOSE_SHARE && said.code !== 'springback'
        ? 'close'
        : 'holds',
    figure,
    against: limit,
    margin,
    cause: said,
    workings,
  };
}

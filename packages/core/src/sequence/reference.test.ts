import { findCalculation } from '../calculations';
import exactCases from '../test-support/reference/sequence-exact.json';
import crewCases from '../test-support/reference/sequence-crew.json';
import aloneCases from '../test-support/reference/sequence.json';
import { violationsIn } from '../test-support/sequence-rules';

interface Answer {
  readonly status: string;
  readonly sessions: Parameters<typeof violationsIn>[1];
  readonly worstMargin: number | null;
  readonly handsOnMin: number | null;
  readonly elapsedMin: number | null;
  readonly findings: readonly { readonly code: string; readonly joints: readonly string[] }[];
}

function sequence(input: unknown): Answer {
  return findCalculation('sequence')?.compute(input as never) as Answer;
}

describe('sequence, reference cases', () => {
  it.each(
    [...aloneCases.cases, ...crewCases.cases, ...exactCases.cases].map((each) => [each.name, each] as const),
  )('%s', (_, each) => {
    const answer = sequence(each.input);
    const expected = each.expected as {
      status?: string;
      sessions?: number;
      worstMargin?: number;
      sessionsAtMost?: number;
      worstMarginAtLeast?: number;
    };
    if (expected.status === 'infeasible') {
      expect(answer).toMatchObject({
        status: 'infeasible',
        sessions: [],
        worstMargin: null,
        elapsedMin: null,
      });
      expect(answer.findings[0]?.joints.length).toBeGreaterThan(0);
      return;
    }
    expect(answer.status).toBe('proven');
    // Some cases say what an answer has to reach, the others what is best.
    const { sessionsAtMost, worstMarginAtLeast } = expected;
    if (sessionsAtMost === undefined) {
      expect(answer.sessions).toHaveLength(expected.sessions ?? 0);
      expect(Math.abs((answer.worstMargin ?? NaN) - (expected.worstMargin ?? NaN))).toBeLessThan(1e-6);
    } else {
      expect(answer.sessions.length).toBeLessThanOrEqual(sessionsAtMost);
      expect(answer.worstMargin).toBeGreaterThanOrEqual((worstMarginAtLeast ?? 1) - 1e-6);
    }
    expect(violationsIn(each.input as never, answer.sessions)).toEqual([]);
    const clampTime = answer.sessions.length * each.input.clampTimeMin;
    expect(answer.elapsedMin).toBeCloseTo((answer.handsOnMin ?? NaN) + clampTime, 9);
  });
});

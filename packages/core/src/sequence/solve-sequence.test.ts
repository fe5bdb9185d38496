import fc from 'fast-check';
import { bruteSequence } from '../test-support/brute-sequence';
import { deepFreeze } from '../test-support/deep-freeze';
import { assembliesInWholeMinutes } from '../test-support/random-assemblies';
import { problemOf, type SequenceInput } from './input';
import { sessionOf, sequenceTotals } from './answer';
import { solveSequence } from './solve-sequence';
import { violationsIn } from '../test-support/sequence-rules';

// Thousands of arrangements are gone through; a slow machine takes its time.
jest.setTimeout(180_000);

function answerTo(input: SequenceInput) {
  const problem = problemOf(deepFreeze(input));
  const answer = solveSequence(problem);
  return {
    ...answer,
    ...sequenceTotals(problem, answer),
    sessions: answer.sessions.map((session) => sessionOf(problem, session)),
  };
}

describe('hands', () => {
  it('are found for all that takes time, also beside joints that stay dry and take none', () => {
    const dryRings = assembliesInWholeMinutes({ joints: 5, crew: 2 }).chain((input) =>
      fc.uniqueArray(fc.nat(input.joints.length - 1), { minLength: 1, maxLength: 2 }).map((dry) => ({
        ...input,
        joints: input.joints.map((joint, i) =>
          dry.includes(i) ? { ...joint, spreadMin: 0, closeMin: 0, clampMin: 0 } : joint,
        ),
      })),
    );
    fc.assert(
      fc.property(dryRings, (input) => {
        const problem = problemOf(input);
        const { status, sessions } = solveSequence(problem);
        if (status === 'infeasible') return true;
        return sessions
          .flatMap((session) => sessionOf(problem, session).operations)
          .every(({ hands, startMin, endMin }) => hands.length > 0 || endMin <= startMin);
      }),
      { numRuns: 60, seed: 9 },
    );
  });
});

describe('solveSequence against every moment walked through', () => {
  it.each([
    ['up to three joints, three pairs of hands', 3, 3, 130],
    ['up to four joints, two pairs of hands', 4, 2, 80],
    ['up to six joints alone', 6, 1, 70],
    ['up to six joints, three pairs of hands', 6, 3, 40],
  ])('%s: the same sessions and worst margin, nothing violated', (_, joints, crew, numRuns) => {
    const seen = { compared: 0, infeasible: 0, several: 0 };
    fc.assert(
      fc.property(assembliesInWholeMinutes({ joints, crew }), (input) => {
        const answer = answerTo(input);
        const brute = bruteSequence(input);
        if (brute === 'too-many') return;
        seen.compared += 1;
        if (brute === null) {
          seen.infeasible += 1;
          expect(answer.status).toBe('infeasible');
          expect(answer.impossible[0]?.joints.length).toBeGreaterThan(0);
          return;
        }
        if (brute.sessions > 1) seen.several += 1;
        expect(answer.status).toBe('proven');
        expect(answer.sessions).toHaveLength(brute.sessions);
        expect(Math.abs((answer.worstMargin ?? NaN) - brute.worstMargin)).toBeLessThan(1e-6);
        expect(violationsIn(input, answer.sessions)).toEqual([]);
      }),
      { seed: 5, numRuns },
    );
    // Instances with too many moments to walk through are passed over; enough must be left.
    expect(seen.compared).toBeGreaterThan(numRuns / 3);
    expect(seen.infeasible).toBeGreaterThan(numRuns / 20);
    expect(seen.several).toBeGreaterThan(2);
  });
});

describe('solveSequence, whatever the assembly', () => {
  const better = (one: ReturnType<typeof answerTo>, other: ReturnType<typeof answerTo>) => {
    if (one.status === 'infeasible' || other.status === 'infeasible') return other.status === 'infeasible';
    if (one.sessions.length !== other.sessions.length) return one.sessions.length < other.sessions.length;
    return (one.worstMargin ?? 0) >= (other.worstMargin ?? 0) - 1e-7;
  };

  it('is never worse with one more pair of hands, nor better with a shorter window', () => {
    fc.assert(
      fc.property(
        assembliesInWholeMinutes({ joints: 5, crew: 2 }),
        fc.constantFrom('openMin' as const, 'closedMin' as const, 'totalMin' as const),
        (input, window) => {
          const answer = answerTo(input);
          expect(better(answerTo({ ...input, crew: input.crew + 1 }), answer)).toBe(true);
          const shorter = { ...input.window, [window]: 0.9 * input.window[window] };
          expect(better(answer, answerTo({ ...input, window: shorter }))).toBe(true);
        },
      ),
      { seed: 8, numRuns: 60 },
    );
  });
});

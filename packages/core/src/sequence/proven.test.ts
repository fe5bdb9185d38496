import fc from 'fast-check';
import { exactSequence } from '../test-support/exact-sequence';
import { assembliesInWholeMinutes, tightAssemblies } from '../test-support/random-assemblies';
import { violationsIn } from '../test-support/sequence-rules';
import { sequenceTotals, sessionOf } from './answer';
import { problemOf, type SequenceInput } from './input';
import { FULL_EFFORT } from './sequence-effort';
import { solveSequence } from './solve-sequence';

// Hundreds of assemblies are gone through twice; a slow machine takes its time.
jest.setTimeout(600_000);

/** Sessions and margins are looked at here; less hands-on time, which costs most, is not. */
const EFFORT = { ...FULL_EFFORT, handsOnSteps: 0 };

function answerTo(input: SequenceInput) {
  const problem = problemOf(input);
  const answer = solveSequence(problem, EFFORT);
  return {
    status: answer.status,
    ...sequenceTotals(problem, answer),
    sessions: answer.sessions.map((session) => sessionOf(problem, session)),
  };
}

type Answer = ReturnType<typeof answerTo>;

/** Fewer sessions first, then more room in the tightest window. */
function isWorse(one: Answer, other: Answer): boolean {
  if (one.status === 'infeasible' || other.status === 'infeasible') {
    return one.status === 'infeasible' && other.status !== 'infeasible';
  }
  if (one.sessions.length !== other.sessions.length) return one.sessions.length > other.sessions.length;
  return (one.worstMargin ?? 0) < (other.worstMargin ?? 0) - 1e-7;
}

describe('the order, proven', () => {
  it('is as an exact programme has it: 7 to 14 joints, one to three pairs of hands', () => {
    const seen = { same: 0, infeasible: 0, several: 0 };
    fc.assert(
      fc.property(tightAssemblies(), (input) => {
        const exact = exactSequence(input);
        if (exact === 'too-many') return;
        const answer = answerTo(input);
        if (exact === null) {
          seen.infeasible += 1;
          expect(answer.status).toBe('infeasible');
          return;
        }
        seen.same += 1;
        if (exact.sessions > 1) seen.several += 1;
        expect(answer.status).toBe('proven');
        expect(answer.sessions).toHaveLength(exact.sessions);
        expect(Math.abs((answer.worstMargin ?? NaN) - exact.worstMargin)).toBeLessThan(1e-6);
        expect(violationsIn(input, answer.sessions)).toEqual([]);
      }),
      { seed: 11, numRuns: 380 },
    );
    expect(seen.same).toBeGreaterThanOrEqual(300);
    expect(seen.several).toBeGreaterThan(200);
    expect(seen.infeasible).toBeGreaterThan(20);
  });

  it('is never worse for a helper, a longer window, one more clamp of each kind or faster work', () => {
    const kinder = (input: SequenceInput): SequenceInput[] => [
      { ...input, crew: input.crew + 1 },
      { ...input, window: { ...input.window, openMin: 1.05 * input.window.openMin } },
      { ...input, window: { ...input.window, totalMin: 1.05 * input.window.totalMin } },
      {
        ...input,
        clamps: { bar: (input.clamps?.['bar'] ?? 0) + 1, band: (input.clamps?.['band'] ?? 0) + 1 },
      },
      { ...input, joints: input.joints.map((joint) => ({ ...joint, spreadMin: 0.95 * joint.spreadMin })) },
    ];
    fc.assert(
      fc.property(tightAssemblies(), (input) => {
        const answer = answerTo(input);
        for (const easier of kinder(input)) expect(isWorse(answerTo(easier), answer)).toBe(false);
      }),
      { seed: 12, numRuns: 100 },
    );
  });

  it('is the same for the same question, in whatever order its joints and parts are written', () => {
    fc.assert(
      fc.property(tightAssemblies(), (input) => {
        const answer = answerTo(input);
        expect(answerTo(input)).toEqual(answer);
        const turned = answerTo({
          ...input,
          parts: [...input.parts].reverse(),
          joints: [...input.joints].reverse(),
        });
        expect(turned.status).toBe(answer.status);
        expect(turned.sessions).toHaveLength(answer.sessions.length);
        expect(turned.worstMargin ?? 0).toBeCloseTo(answer.worstMargin ?? 0, 7);
      }),
      { seed: 13, numRuns: 40 },
    );
  });

  it('stops where windows are used no more than is enough, in as many sessions', () => {
    let stopped = 0;
    fc.assert(
      fc.property(tightAssemblies(), (input) => {
        const problem = problemOf(input);
        const [best, enough] = [{}, { enough: 0.95 }].map((more) =>
          solveSequence(problem, { ...EFFORT, ...more }),
        );
        expect(enough?.status === 'infeasible').toBe(best?.status === 'infeasible');
        if (best === undefined || enough === undefined || best.status === 'infeasible') return;
        expect(enough.sessions).toHaveLength(best.sessions.length);
        expect(enough.usedShare).toBeLessThanOrEqual(Math.max(best.usedShare, 0.95) + 1e-7);
        if (enough.usedShare > best.usedShare + 1e-7) {
          stopped += 1;
          expect(enough.status).toBe('best-found');
        }
      }),
      { seed: 14, numRuns: 60 },
    );
    expect(stopped).toBeGreaterThan(0);
  });

  it('takes a question again that walking through every minute has answered', () => {
    // The exact programme must agree with the slow walk before it may judge; both share nothing but the question.
    fc.assert(
      fc.property(assembliesInWholeMinutes({ joints: 5, crew: 2 }), (input) => {
        const plain = { ...input, marginShare: 0 };
        const exact = exactSequence(plain);
        if (exact === 'too-many') return;
        const answer = answerTo(plain);
        expect(answer.status === 'infeasible').toBe(exact === null);
        if (exact !== null) expect(answer.worstMargin).toBeCloseTo(exact.worstMargin, 6);
      }),
      { seed: 14, numRuns: 60 },
    );
  });
});

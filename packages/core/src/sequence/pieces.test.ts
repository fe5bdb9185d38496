import fc from 'fast-check';
import { assembliesInWholeMinutes, tightAssemblies } from '../test-support/random-assemblies';
import { roughTimer } from './block-timer';
import { everySplit } from './every-split';
import { problemOf } from './input';
import { Pieces } from './pieces';
import { clampsFor, type SequenceProblem } from './problem';
import { connectedPieces, isOpen, waysToTry } from './splits';

/** All ways of cutting parts in two halves that hang together and come off each other, by trying every set of them. */
function everySet(problem: SequenceProblem, parts: readonly number[]): string[] {
  const joints = problem.joints.map((_, i) => i);
  const hangs = (half: readonly number[]) => connectedPieces(problem, half, joints).length === 1;
  const found: string[] = [];
  // The first part stays in one half, so that no cut is met twice.
  for (let set = 0; set < 2 ** (parts.length - 1) - 1; set += 1) {
    const one = parts.filter((_, i) => i === 0 || ((set >> (i - 1)) & 1) === 1);
    const other = parts.filter((part) => !one.includes(part));
    if (!hangs(one) || !hangs(other)) continue;
    const between = joints.filter((i) => {
      const { a = -1, b = -1 } = problem.joints[i] ?? {};
      return (one.includes(a) && other.includes(b)) || (one.includes(b) && other.includes(a));
    });
    if (isOpen(problem, { joints: between, halves: [one, other] })) found.push(between.join(','));
  }
  return found.sort();
}

describe('ways of taking an assembly apart in two', () => {
  it('are those that trying every set of parts finds', () => {
    let cuts = 0;
    fc.assert(
      fc.property(assembliesInWholeMinutes({ joints: 8, crew: 1 }), (input) => {
        const problem = problemOf(input);
        const all = Array.from({ length: problem.parts }, (_, i) => i);
        const joints = problem.joints.map((_, i) => i);
        for (const parts of connectedPieces(problem, all, joints).filter(({ length }) => length > 1)) {
          const { splits, complete } = everySplit(problem, parts, waysToTry(problem), 10_000);
          expect(complete).toBe(true);
          expect(splits.map((split) => split.joints.join(',')).sort()).toEqual(everySet(problem, parts));
          cuts += splits.length;
        }
      }),
      { seed: 31, numRuns: 150 },
    );
    expect(cuts).toBeGreaterThan(500);
  });

  it('are said to be some of them where there are more sets than are looked at', () => {
    const joints = Array.from({ length: 8 }, (_, i) => ({
      id: `j${i}`,
      a: `p${i}`,
      b: `p${i + 1}`,
      spreadMin: 1,
      closeMin: 1,
      clampMin: 1,
      release: ['any'],
    }));
    const problem = problemOf({
      parts: Array.from({ length: 9 }, (_, i) => `p${i}`),
      joints,
      window: { openMin: 20, closedMin: 20, totalMin: 30 },
      crew: 1,
      clampTimeMin: 30,
      marginShare: 0,
    });
    const parts = Array.from({ length: 9 }, (_, i) => i);
    expect(everySplit(problem, parts, waysToTry(problem), 3).complete).toBe(false);
    expect(everySplit(problem, parts, waysToTry(problem), 10_000).splits).toHaveLength(8);
  });
});

describe('pieces', () => {
  const piecesOf = (problem: SequenceProblem) => new Pieces(problem, roughTimer(problem), 10_000);

  it('are worked out once, with the clamps of all their joints', () => {
    fc.assert(
      fc.property(tightAssemblies({ least: 5, most: 9 }), (input) => {
        const problem = problemOf(input);
        const pieces = piecesOf(problem);
        const open = [...pieces.whole()];
        const ids = new Set<number>();
        for (const piece of open) {
          if (ids.has(piece.id)) continue;
          ids.add(piece.id);
          const counted = clampsFor(problem, piece.joints);
          expect(piece.clamps).toEqual(pieces.kinds.map((kind) => counted[kind] ?? 0));
          for (const { clamps, joints, halves, usedShare } of pieces.partingsOf(piece)) {
            expect(pieces.fits(clamps)).toBe(true);
            expect(usedShare).toBeLessThanOrEqual(1 + 1e-6);
            // What closes here, and what its halves are made of, is all there is.
            const below = halves.flatMap((half) => half.joints);
            expect([...joints, ...below].sort((x, y) => x - y)).toEqual(piece.joints);
            open.push(...halves);
          }
        }
      }),
      { seed: 32, numRuns: 30 },
    );
  });

  it('come apart gentlest first', () => {
    fc.assert(
      fc.property(tightAssemblies({ least: 5, most: 9 }), (input) => {
        const pieces = piecesOf(problemOf(input));
        for (const piece of pieces.whole()) {
          const shares = pieces.partingsOf(piece).map(({ usedShare }) => usedShare);
          expect(shares).toEqual([...shares].sort((x, y) => x - y));
        }
      }),
      { seed: 33, numRuns: 30 },
    );
  });
});

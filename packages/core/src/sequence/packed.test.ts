import { sample } from 'fast-check';
import { tightAssemblies } from '../test-support/random-assemblies';
import { fewestBins } from './bins';
import { problemOf } from './input';
import { leastSessions } from './lower-bound';
import { fewestPacked } from './packed';
import { clampsFor, type SequenceProblem } from './problem';

const fits = (problem: SequenceProblem, joints: readonly number[]) =>
  Object.entries(clampsFor(problem, joints)).every(
    ([kind, count]) => count <= (problem.rack?.[kind] ?? Infinity),
  );

/** By every set of joints that fits, put beside those of one session fewer: the other way round than the search. */
function bySets(problem: SequenceProblem): number {
  const all = problem.joints.map((_, i) => i);
  const sets = Array.from({ length: 1 << all.length }, (_, set) => set);
  const fit = sets.map((set) =>
    fits(
      problem,
      all.filter((joint) => (set >> joint) & 1),
    ),
  );
  const sessions = sets.map(() => Infinity);
  sessions[0] = 0;
  for (const set of sets.slice(1)) {
    for (let part = set; part > 0; part = (part - 1) & set) {
      if (fit[part] === true)
        sessions[set] = Math.min(sessions[set] ?? Infinity, 1 + (sessions[set ^ part] ?? 0));
    }
  }
  return sessions.at(-1) ?? Infinity;
}

/** The same with the first two joints under one press. */
function tied(problem: SequenceProblem): SequenceProblem {
  const [one, other, ...rest] = problem.presses;
  if (one === undefined || other === undefined) throw new Error('two presses or more');
  return { ...problem, presses: [{ ...one, joints: [...one.joints, ...other.joints] }, ...rest] };
}

describe('joints shared out by their clamps alone', () => {
  it.each([
    ['each with clamps of its own', (problem: SequenceProblem) => problem],
    ['some pressed together', tied],
  ])('come to as few sessions as every set of joints tells, %s', (_, as) => {
    let more = 0;
    for (const input of sample(tightAssemblies({ least: 9, most: 9 }), { seed: 20, numRuns: 60 })) {
      const problem = as(problemOf(input));
      const least = bySets(problem);
      if (problem.rack === null || least === Infinity) continue;
      expect(fewestPacked(problem, 1)).toBe(least);
      if (leastSessions(problem).why.code === 'clamps-packed') more += 1;
    }
    expect(more).toBeGreaterThan(0);
  });

  it('are not asked for where nobody counts clamps', () => {
    const [input] = sample(tightAssemblies({ least: 9, most: 9 }), { seed: 1, numRuns: 1 });
    if (input === undefined) throw new Error('nothing to ask');
    expect(fewestPacked({ ...problemOf(input), rack: null }, 1)).toBe(1);
  });
});

describe('bins', () => {
  const times = (count: number, size: readonly number[]) => Array.from({ length: count }, () => size);

  it('are counted exactly where cutting things up would save one', () => {
    // 48 into bins of 7: seven bins leave one place free. Twelve threes in seven bins are five pairs at least, each of which leaves a place
    // free but for the two ones.
    const sizes = [...times(12, [3]), ...times(5, [2]), ...times(2, [1])];
    expect(fewestBins(sizes, [7])).toBe(8);
    expect(fewestBins([...times(6, [3]), ...times(3, [1])], [7])).toBe(3);
  });

  it('hold every kind at once', () => {
    expect(fewestBins(times(4, [1, 2]), [4, 4])).toBe(2);
    expect(fewestBins([...times(2, [4, 0]), ...times(2, [0, 4])], [4, 4])).toBe(2);
    expect(fewestBins([], [4])).toBe(0);
  });

  it('are not counted where there are too many ways', () => {
    const sizes = Array.from({ length: 40 }, (_, i) => [334 + i]);
    expect(fewestBins(sizes, [1000])).toBeNull();
  });
});

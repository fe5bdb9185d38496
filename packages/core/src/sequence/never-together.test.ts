import { sample } from 'fast-check';
import { tightAssemblies } from '../test-support/random-assemblies';
import { leastSessions } from './lower-bound';
import { neverTogether } from './never-together';
import { problemOf } from './input';
import { clampsFor, type SequenceProblem } from './problem';

const problems = (joints: number, count: number): SequenceProblem[] =>
  sample(tightAssemblies({ least: joints, most: joints }), { seed: 20, numRuns: count }).map((input) =>
    problemOf(input),
  );
const fit = (problem: SequenceProblem, joints: readonly number[]) =>
  Object.entries(clampsFor(problem, joints)).every(
    ([kind, count]) => count <= (problem.rack?.[kind] ?? Infinity),
  );

describe('joints that never find clamps together', () => {
  it('are as many as going through every set of joints finds', () => {
    let told = 0;
    for (const problem of problems(9, 120)) {
      const all = problem.joints.map((_, i) => i);
      let most = 0;
      for (let set = 1; set < 1 << all.length; set += 1) {
        const chosen = all.filter((joint) => (set >> joint) & 1);
        const apart = chosen.every((a) => chosen.every((b) => a === b || !fit(problem, [a, b])));
        if (apart) most = Math.max(most, chosen.length);
      }
      const found = neverTogether(problem);
      expect(found).toHaveLength(problem.rack === null ? 0 : most);
      for (const a of found) for (const b of found) expect(a === b || !fit(problem, [a, b])).toBe(true);
      if (leastSessions(problem).why.code === 'never-together') told += 1;
    }
    expect(told).toBeGreaterThan(5);
  });

  it('are not asked for where nobody counts clamps', () => {
    const [problem] = problems(9, 1);
    if (problem === undefined) throw new Error('nothing to ask');
    expect(neverTogether({ ...problem, rack: null })).toEqual([]);
  });
});

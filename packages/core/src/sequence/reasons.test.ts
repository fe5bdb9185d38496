import { InputError } from '../basics/checks';
import { deepFreeze } from '../test-support/deep-freeze';
import { problemOf, type SequenceInput, type SequenceJoint } from './input';
import { FULL_EFFORT } from './sequence-effort';
import { improvingSequence, solveSequence } from './solve-sequence';

const joint = (id: string, a: string, b: string, change: Partial<SequenceJoint> = {}): SequenceJoint => ({
  id,
  a,
  b,
  spreadMin: 1,
  closeMin: 0.5,
  clampMin: 0.75,
  release: ['any'],
  clamps: { bar: 1 },
  ...change,
});

const ring: SequenceInput = {
  parts: ['P', 'Q', 'R', 'S'],
  joints: [joint('pq', 'P', 'Q'), joint('qr', 'Q', 'R'), joint('rp', 'R', 'P'), joint('rs', 'R', 'S')],
  window: { openMin: 6, closedMin: 5, totalMin: 9 },
  crew: 1,
  clampTimeMin: 45,
};

const solve = (change: Partial<SequenceInput>) => {
  const problem = problemOf(deepFreeze({ ...ring, ...change }));
  const answer = solveSequence(problem);
  const named = (joints: readonly number[]) => joints.map((i) => problem.joints[i]?.id);
  return { ...answer, why: answer.impossible.map(({ code, joints }) => [code, named(joints)]) };
};

describe('why joints can never be made', () => {
  it('names a ring whose parts hold each other', () => {
    const joints = ring.joints.map((each, i) => ({
      ...each,
      release: [['+x'], ['+x'], ['+x'], ['any']][i] ?? [],
    }));
    // P→Q, Q→R and R→P each need the second part to leave along +x: none can be the last.
    expect(solve({ joints }).why).toEqual([['captive', ['pq', 'qr', 'rp']]]);
  });

  it('names one joint that takes too long, too many hands or too many clamps', () => {
    const long = ring.joints.map((each) => (each.id === 'rs' ? { ...each, spreadMin: 7 } : each));
    expect(solve({ joints: long }).why).toEqual([['window-too-short', ['rs']]]);
    const pair = ring.joints.map((each) => (each.id === 'rs' ? { ...each, hands: 2 } : each));
    expect(solve({ joints: pair }).why).toEqual([['too-few-hands', ['rs']]]);
    expect(solve({ joints: pair, crew: 2 }).status).toBe('proven');
    const greedy = ring.joints.map((each) => (each.id === 'rs' ? { ...each, clamps: { hook: 1 } } : each));
    expect(solve({ joints: greedy, clamps: { bar: 9 } }).why).toEqual([['too-few-clamps', ['rs']]]);
  });

  it('names joints that have to close together and cannot: for time, or for clamps', () => {
    // The last part of a ring closes two joints at once: 2 min of spreading, 0.5 of closing.
    const tight = { openMin: 2.4, closedMin: 5, totalMin: 9 };
    const [[code, set] = []] = solve({ window: tight }).why;
    expect(code).toBe('window-too-short');
    expect(set).toHaveLength(2);
    expect(solve({ window: { ...tight, openMin: 2.5 } }).status).toBe('proven');
    const [[clampCode, clampSet] = []] = solve({ clamps: { bar: 1 } }).why;
    expect(clampCode).toBe('too-few-clamps');
    expect(clampSet).toHaveLength(2);
  });

  it('lets clamps that are few make sessions, and pins choose them', () => {
    expect(solve({ clamps: { bar: 2 } }).sessions).toHaveLength(2);
    const pinned = solve({ pins: { rs: 2 } });
    expect(pinned.sessions).toHaveLength(2);
    expect(pinned.sessions[1]?.merges.flatMap(({ joints }) => joints)).toContain(3);
    expect(solve({ pins: { pq: 1, qr: 2, rp: 3 } }).why[0]?.[0]).toBe('pins-contradict');
  });

  it.each<[string, Partial<SequenceInput>, string]>([
    ['a part that is not there', { joints: [joint('j', 'P', 'Z')] }, 'joints.0.b'],
    ['a joint of a part with itself', { joints: [joint('j', 'P', 'P')] }, 'joints.0.b'],
    ['no way out', { joints: [joint('j', 'P', 'Q', { release: [] })] }, 'joints.0.release'],
    ['the same id twice', { joints: [joint('j', 'P', 'Q'), joint('j', 'Q', 'R')] }, 'joints.1.id'],
    ['parts twice', { parts: ['P', 'Q', 'R', 'S', 'P'] }, 'parts'],
    ['a pin on nothing', { pins: { zz: 1 } }, 'pins'],
  ])('refuses %s, naming the field', (_, change, field) => {
    expect(() => solve(change)).toThrow(InputError);
    try {
      solve(change);
    } catch (error) {
      expect((error as InputError).field).toBe(field);
      expect((error as InputError).allowed).not.toBe('');
    }
  });
});

/** A ladder: two stiles with many rungs between, each rung captive once the second stile is on. */
function ladder(rungs: number, change: Partial<SequenceInput> = {}): SequenceInput {
  const names = Array.from({ length: rungs }, (_, i) => `rung-${i}`);
  return {
    parts: ['left', 'right', ...names],
    joints: names.flatMap((name) => [
      joint(`${name}-l`, 'left', name, { release: ['+x'], spreadMin: 0.15, closeMin: 0.2, clampMin: 0.1 }),
      joint(`${name}-r`, name, 'right', { release: ['+x'], spreadMin: 0.15, closeMin: 0.2, clampMin: 0.1 }),
    ]),
    window: { openMin: 9, closedMin: 8, totalMin: 14 },
    crew: 2,
    clampTimeMin: 60,
    ...change,
  };
}

describe('large assemblies', () => {
  it('arranges a ladder of thirty rungs within the windows, second stile last', () => {
    const input = ladder(30);
    const problem = problemOf(input);
    const [first] = improvingSequence(problem, { ...FULL_EFFORT, rounds: 3 });
    expect(first?.answer.sessions).toHaveLength(1);
    expect(first?.answer.usedShare).toBeLessThan(1);
    const last = first?.answer.sessions[0]?.merges.at(-1);
    // Whichever stile comes last closes all its rungs at once.
    expect(last?.joints).toHaveLength(30);
  });

  it('cuts into as many sessions as clamps ask for, and is the same for the same seed', () => {
    const input = ladder(12, { clamps: { bar: 15 }, window: { openMin: 12, closedMin: 12, totalMin: 20 } });
    const solved = () => solveSequence(problemOf(input), { ...FULL_EFFORT, rounds: 4 });
    const answer = solved();
    expect(answer.bound.sessions).toBe(2);
    expect(answer.sessions.length).toBeLessThanOrEqual(3);
    expect(JSON.stringify(solved())).toBe(JSON.stringify(answer));
  });

  it('says which joints a window is too short for', () => {
    const problem = problemOf(ladder(20, { window: { openMin: 1, closedMin: 8, totalMin: 14 } }));
    const answer = solveSequence(problem);
    expect(answer.status).toBe('infeasible');
    expect(answer.impossible[0]?.code).toBe('window-too-short');
    expect(answer.impossible[0]?.joints.length).toBeGreaterThan(3);
  });
});

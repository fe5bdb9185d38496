import { sessionIndexes } from './session-indexes';

const JOINTS = ['a', 'b', 'c', 'd'];

describe('sessionIndexes', () => {
  it('puts all into one where none is named', () => {
    expect(sessionIndexes(JOINTS, [])).toEqual([[0, 1, 2, 3]]);
    expect(sessionIndexes([], [])).toEqual([]);
  });

  it('keeps the order in which a session names them', () => {
    expect(
      sessionIndexes(JOINTS, [
        ['c', 'a'],
        ['d', 'b'],
      ]),
    ).toEqual([
      [2, 0],
      [3, 1],
    ]);
  });

  it('glues what no session names in the last, after what it names', () => {
    expect(sessionIndexes(JOINTS, [['b'], ['d']])).toEqual([[1], [3, 0, 2]]);
  });

  it('glues what is named twice once, where it is named first', () => {
    expect(sessionIndexes(JOINTS, [['a', 'b'], ['b', 'c', 'd'], ['a']])).toEqual([
      [0, 1],
      [2, 3],
    ]);
  });

  it('passes over names that no joint has, and sessions that are left without one', () => {
    expect(sessionIndexes(JOINTS, [['x'], ['a', 'y'], [], ['b', 'c', 'd']])).toEqual([[0], [1, 2, 3]]);
  });

  it('has every joint exactly once, whatever the sessions say', () => {
    for (let n = 0; n < 50; n += 1) {
      const sessions = Array.from({ length: 1 + (n % 4) }, (_, i) =>
        [...JOINTS, 'x'].filter((_name, k) => (n * 7 + i * 3 + k * 5) % 3 === 0),
      );
      expect([...sessionIndexes(JOINTS, sessions).flat()].sort()).toEqual([0, 1, 2, 3]);
    }
  });
});

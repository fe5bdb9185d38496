import fc from 'fast-check';
import { clampsOnPanel, panelOf } from '../assembly';
import { maplePanel, TEST_SHOP } from '../test-support/builds';
import { type Operation, panelSession } from '.';

function session(crew: number, spreadMin: readonly number[], caulPairs = 2) {
  const base = maplePanel();
  const build = { ...base, crew, holding: { ...base.holding, caulPairs } };
  const panel = panelOf(build);
  return panelSession({
    build,
    panel,
    clampSet: clampsOnPanel(build, TEST_SHOP, panel),
    spreadMin,
    paceFactor: 1,
  });
}

const ends = (operations: readonly Operation[], kind: Operation['kind'], line?: number) =>
  operations
    .filter((op) => op.kind === kind && (line === undefined || op.lines[0] === line))
    .map((op) => op.endMin);
const starts = (operations: readonly Operation[], kind: Operation['kind'], line?: number) =>
  operations
    .filter((op) => op.kind === kind && (line === undefined || op.lines[0] === line))
    .map((op) => op.startMin);

describe('panelSession', () => {
  it('keeps every rule of the bench for any spreading times and up to four pairs of hands', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 4 }),
        fc.array(fc.double({ min: 0.05, max: 6, noNaN: true }), { minLength: 4, maxLength: 4 }),
        fc.integer({ min: 0, max: 4 }),
        (crew, spreadMin, caulPairs) => {
          const { operations } = session(crew, spreadMin, caulPairs);
          const noOverlap = Array.from({ length: crew }, (_, hand) =>
            operations.filter((op) => op.hand === hand).sort((a, b) => a.startMin - b.startMin),
          ).every((lane) =>
            lane.every((op, i) => i === 0 || op.startMin >= (lane[i - 1]?.endMin ?? 0) - 1e-9),
          );
          const closedAfterSpread = [0, 1, 2, 3].every(
            (line) =>
              (starts(operations, 'close', line)[0] ?? 0) >=
              (ends(operations, 'spread', line)[0] ?? 0) - 1e-9,
          );
          const inTurn = [1, 2, 3].every(
            (line) =>
              (starts(operations, 'close', line)[0] ?? 0) >=
              (ends(operations, 'close', line - 1)[0] ?? 0) - 1e-9,
          );
          const lastClosed = Math.max(...ends(operations, 'close'));
          const clampsAfter = starts(operations, 'set-clamp').every((start) => start >= lastClosed - 1e-9);
          const set = Math.max(...ends(operations, 'set-clamp'), ...ends(operations, 'caul'));
          const pullsAfter = starts(operations, 'tighten').every((start) => start >= set - 1e-9);
          return noOverlap && closedAfterSpread && inTurn && clampsAfter && pullsAfter;
        },
      ),
      { seed: 9 },
    );
  });

  it('takes as long as the sum of its moves for one pair of hands', () => {
    const { operations, handsOnMin } = session(1, [0.3, 0.4, 0.5, 0.6]);
    const sum = operations.reduce((total, op) => total + op.endMin - op.startMin, 0);
    expect(handsOnMin).toBeCloseTo(sum, 9);
  });

  it('is quicker with two, and never slower with three or four', () => {
    const spans = [1, 2, 3, 4].map((crew) => session(crew, [0.3, 0.4, 0.5, 0.6]).pressedAtMin);
    expect(spans[1]).toBeLessThan((spans[0] ?? 0) - 1);
    expect(spans[2]).toBeLessThanOrEqual(spans[1] ?? 0);
    expect(spans[3]).toBeLessThanOrEqual(spans[2] ?? 0);
  });

  it('tightens in the order of the clamps: centre outward', () => {
    const { operations } = session(1, [0.3, 0.3, 0.3, 0.3]);
    expect(operations.filter((op) => op.kind === 'tighten').map((op) => op.item)).toEqual([3, 4, 2, 5, 1, 6]);
  });
});

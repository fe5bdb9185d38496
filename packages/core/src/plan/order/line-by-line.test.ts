import fc from 'fast-check';
import type { BuildDocument } from '../../formats';
import { maplePanel, planRow } from '../../test-support/builds';
import { operationsOf } from './operations';
import type { PlannedOperation } from './planned-operation';

/** Spreading ways of four lines: from a twentieth to six minutes by how thick the card is held [label]. */
const METHODS = ['bead', 'brush', 'roller', 'card'] as const;

function session(
  crew: number,
  methods: readonly (typeof METHODS)[number][],
  caulPairs = 2,
  faces: 1 | 2 = 1,
) {
  const bare = maplePanel();
  const build: BuildDocument = {
    ...bare,
    crew,
    jointNotes: methods.map((method, line) => ({
      id: `${bare.boards?.[line]?.id ?? ''}_${bare.boards?.[line + 1]?.id ?? ''}`,
      gapMm: null,
      reinforcement: 'none',
      spread: { method, faces },
    })),
    ...(bare.row === undefined ? {} : { row: { ...bare.row, holding: { ...bare.row.holding, caulPairs } } }),
  };
  const plan = planRow(build);
  const [only, ...more] = plan.order?.sessions ?? [];
  if (only === undefined || more.length > 0) throw new Error('a panel goes in one session');
  const lines = plan.lines.map(({ line }) => line.id);
  return { operations: operationsOf(plan, only), lines, session: only };
}

const of = (operations: readonly PlannedOperation[], kind: PlannedOperation['kind'], line?: string) =>
  operations.filter((op) => op.kind === kind && (line === undefined || op.joints.includes(line)));
const ends = (...args: Parameters<typeof of>) => of(...args).map(({ endMin }) => endMin);
const starts = (...args: Parameters<typeof of>) => of(...args).map(({ startMin }) => startMin);

describe('the moves of a row', () => {
  it('keep every rule of the bench for any spreading and up to four pairs of hands', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 4 }),
        fc.array(fc.constantFrom(...METHODS), { minLength: 4, maxLength: 4 }),
        fc.integer({ min: 0, max: 4 }),
        fc.constantFrom<1 | 2>(1, 2),
        (crew, methods, caulPairs, faces) => {
          const { operations, lines } = session(crew, methods, caulPairs, faces);
          const noOverlap = Array.from({ length: crew }, (_, hand) =>
            operations.filter((op) => op.hands.includes(hand)).sort((a, b) => a.startMin - b.startMin),
          ).every((lane) =>
            lane.every((op, i) => i === 0 || op.startMin >= (lane[i - 1]?.endMin ?? 0) - 1e-9),
          );
          const closedAfterSpread = lines.every(
            (line) =>
              (starts(operations, 'close', line)[0] ?? -1) >=
              (ends(operations, 'spread', line)[0] ?? Infinity) - 1e-9,
          );
          const inTurn = lines
            .slice(1)
            .every(
              (line, i) =>
                (starts(operations, 'close', line)[0] ?? -1) >=
                (ends(operations, 'close', lines[i])[0] ?? Infinity) - 1e-9,
            );
          const lastClosed = Math.max(...ends(operations, 'close'));
          const clampsAfter = starts(operations, 'set-clamp').every((start) => start >= lastClosed - 1e-9);
          const set = Math.max(...ends(operations, 'set-clamp'), ...ends(operations, 'caul'));
          const pullsAfter = starts(operations, 'tighten').every((start) => start >= set - 1e-9);
          return noOverlap && closedAfterSpread && inTurn && clampsAfter && pullsAfter;
        },
      ),
      { seed: 9, numRuns: 60 },
    );
  });

  it('take as long as the sum of them for one pair of hands', () => {
    const { operations, session: only } = session(1, ['card', 'brush', 'card', 'roller']);
    const worked = operations.filter(({ startMin, endMin }) => endMin > startMin);
    const sum = worked.reduce((total, op) => total + op.endMin - op.startMin, 0);
    const checks = worked.filter(({ kind }) => kind === 'check');
    const checking = checks.reduce((total, op) => total + op.endMin - op.startMin, 0);
    expect(only.handsOnMin).toBeCloseTo(sum - checking, 9);
  });

  it('are quicker with two, and never slower with three or four', () => {
    const spans = [1, 2, 3, 4].map(
      (crew) => session(crew, ['brush', 'brush', 'card', 'card']).session.handsOnMin,
    );
    expect(spans[1]).toBeLessThan((spans[0] ?? 0) - 1);
    expect(spans[2]).toBeLessThanOrEqual((spans[1] ?? 0) + 1e-9);
    expect(spans[3]).toBeLessThanOrEqual((spans[2] ?? 0) + 1e-9);
  });

  it('tighten in the order of the clamps: centre outward', () => {
    const { operations } = session(1, ['brush', 'brush', 'brush', 'brush']);
    expect(of(operations, 'tighten').flatMap(({ clamps }) => clamps)).toEqual([3, 4, 2, 5, 1, 6]);
  });
});

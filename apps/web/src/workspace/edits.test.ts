import { DEMO_SHOP, stageFloor } from '@lean-clasp/core/demo';
import {
  addBoard,
  addClamp,
  easeClamp,
  changeBoard,
  likeThisBoard,
  moveClamp,
  readGap,
  removeBoard,
  removeClamp,
  reorderBoards,
} from './edits';

const base = stageFloor(DEMO_SHOP);
const [a, b] = base.boards.map(({ id }) => id);

describe('edits of boards', () => {
  it('move one and drop gap readings of lines that are no more', () => {
    const moved = reorderBoards(0, 3)(base);
    expect(moved.boards.map(({ widthMm }) => widthMm)).toEqual([96, 140, 118, 128, 118]);
    expect(moved.dryFit.gaps).toEqual([]);
    expect(base.dryFit.gaps).toHaveLength(1);
  });

  it('add one the other way up, and keep at least two', () => {
    const more = addBoard(base);
    expect(more.boards.at(-1)?.heart).not.toBe(base.boards.at(-1)?.heart);
    expect(new Set(more.boards.map(({ id }) => id)).size).toBe(6);
    const two = { ...base, boards: base.boards.slice(0, 2) };
    expect(removeBoard(a ?? '')(two)).toBe(two);
    expect(removeBoard(a ?? '')(base).boards).toHaveLength(4);
  });

  it('change one alone, or all alike', () => {
    const one = changeBoard(b ?? '', { species: 'cherry', thicknessMm: 22 })(base);
    expect(one.boards.map(({ species }) => species)).toEqual([
      'hard-maple',
      'cherry',
      'hard-maple',
      'hard-maple',
      'hard-maple',
    ]);
    const all = likeThisBoard(b ?? '')(one);
    expect(new Set(all.boards.map((board) => `${board.species} ${board.thicknessMm}`))).toEqual(
      new Set(['cherry 22']),
    );
    expect(all.boards.map(({ widthMm }) => widthMm)).toEqual(base.boards.map(({ widthMm }) => widthMm));
  });

  it('write, replace and take away a gap reading', () => {
    const read = readGap(0, -0.3)(base);
    expect(read.dryFit.gaps).toEqual([
      { line: 0, gapMm: -0.3 },
      { line: 2, gapMm: 0.2 },
    ]);
    expect(readGap(2, null)(read).dryFit.gaps).toEqual([{ line: 0, gapMm: -0.3 }]);
  });
});

describe('edits of clamps', () => {
  it('put a new one in the widest gap on the other side', () => {
    const sparse = {
      ...base,
      clamps: [
        { id: 'x', rackId: 'pipe', xMm: 100, side: 'above' as const },
        { id: 'y', rackId: 'pipe', xMm: 300, side: 'below' as const },
      ],
    };
    expect(addClamp('pipe')(sparse).clamps.at(-1)).toMatchObject({ rackId: 'pipe', xMm: 650, side: 'above' });
  });

  it('move, ease and take off', () => {
    const first = base.clamps[0]?.id ?? '';
    expect(moveClamp(first, 85)(base).clamps[0]?.xMm).toBe(85);
    expect(removeClamp(first)(base).clamps).toHaveLength(base.clamps.length - 1);
    const eased = easeClamp(first, 3200)(base);
    expect(eased.clamps[0]?.mostN).toBe(3200);
    expect(easeClamp(first, null)(eased).clamps[0]).not.toHaveProperty('mostN');
  });
});

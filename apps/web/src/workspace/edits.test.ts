import { planBuild, rowOf, withRow } from '@lean-clasp/core/plan';
import { DEMO_SHOP, stageFloor } from '@lean-clasp/core/demo';
import {
  addBoard,
  addClamp,
  easeClamp,
  changeBoard,
  likeThisBoard,
  moveClamp,
  removeBoard,
  removeClamps,
  reorderBoards,
} from './edits';

const base = stageFloor(DEMO_SHOP);
const boards = base.boards ?? [];
const [a, b] = boards.map(({ id }) => id);
const { row } = planBuild(base, DEMO_SHOP);
if (row === null) throw new Error('the stage floor is a row');

describe('edits of boards', () => {
  it('move one and drop gap readings of lines that are no more', () => {
    const moved = reorderBoards(0, 3)(base);
    expect(moved.boards?.map(({ widthMm }) => widthMm)).toEqual([96, 140, 118, 128, 118]);
    // C and D still lie beside each other.
    expect(moved.jointNotes).toEqual(base.jointNotes);
    expect(base.jointNotes).toHaveLength(1);
    expect(reorderBoards(3, 0)(base).jointNotes).toEqual([]);
  });

  it('add one the other way up, and keep at least two', () => {
    const more = addBoard(base);
    expect(more.boards?.at(-1)?.heart).not.toBe(boards.at(-1)?.heart);
    expect(new Set(more.boards?.map(({ id }) => id)).size).toBe(6);
    const two = { ...base, boards: boards.slice(0, 2) };
    expect(removeBoard(a ?? '')(two)).toBe(two);
    expect(removeBoard(a ?? '')(base).boards).toHaveLength(4);
  });

  it('change one alone, or all alike', () => {
    const one = changeBoard(b ?? '', { species: 'cherry', thicknessMm: 22 })(base);
    expect(one.boards?.map(({ species }) => species)).toEqual([
      'hard-maple',
      'cherry',
      'hard-maple',
      'hard-maple',
      'hard-maple',
    ]);
    const all = likeThisBoard(b ?? '')(one);
    expect(new Set(all.boards?.map((board) => `${board.species} ${board.thicknessMm}`))).toEqual(
      new Set(['cherry 22']),
    );
    expect(all.boards?.map(({ widthMm }) => widthMm)).toEqual(boards.map(({ widthMm }) => widthMm));
  });
});

describe('edits of clamps', () => {
  const clampsOf = (edited: typeof base) => rowOf(edited).clamps;
  const [first] = clampsOf(base);

  it('put a new one in the widest gap on the other side', () => {
    const sparse = withRow(base, {
      clamps: [
        { id: 'x', rackId: 'pipe', xMm: 100, side: 'above' },
        { id: 'y', rackId: 'pipe', xMm: 300, side: 'below' },
      ],
    });
    expect(clampsOf(addClamp(row, 'pipe')(sparse)).at(-1)).toMatchObject({
      rackId: 'pipe',
      xMm: 650,
      side: 'above',
    });
  });

  it('move, ease and take off', () => {
    const id = first?.id ?? '';
    expect(clampsOf(moveClamp(row, id, 85)(base))[0]?.xMm).toBe(85);
    expect(clampsOf(removeClamps(row, [id])(base))).toHaveLength(clampsOf(base).length - 1);
    const eased = easeClamp(row, id, 3200)(base);
    expect(clampsOf(eased)[0]?.mostN).toBe(3200);
    expect(clampsOf(easeClamp(row, id, null)(eased))[0]).not.toHaveProperty('mostN');
  });

  it('make worked-out clamps a person’s own by the first that is touched', () => {
    const bare = withRow(base, { clamps: [] });
    const plan = planBuild(bare, DEMO_SHOP).row;
    const workedOut = plan?.job.clamps ?? [];
    const [one, ...rest] = workedOut;
    expect(workedOut.length).toBeGreaterThan(3);
    const moved = clampsOf(moveClamp(plan, one?.id ?? '', 50)(bare));
    expect(moved).toEqual([{ ...one, xMm: 50 }, ...rest]);
  });
});

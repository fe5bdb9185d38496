import {
  type Board,
  type BuildDocument,
  MOST_BOARDS,
  MOST_CLAMPS,
  type PlacedClamp,
  type ShopDocument,
} from '@lean-clasp/core/formats';
import { type RowPlan, rowOf, withRow } from '@lean-clasp/core/plan';
import type { CutRow } from '@lean-clasp/core/tables';
import { nanoid } from '@reduxjs/toolkit';

/** A pure edit of a build. */
type Edit = (build: BuildDocument) => BuildDocument;

/** Document-local ids may hold letters, digits, dash and underscore only; nanoid keeps to those. */
export const makeId = (): string => nanoid(10);

const boardsOf = ({ boards = [] }: BuildDocument): readonly Board[] => boards;

/** Changes one board. */
export const changeBoard =
  (id: string, change: Partial<Board>): Edit =>
  (build) => ({
    ...build,
    boards: boardsOf(build).map((board) => (board.id === id ? { ...board, ...change } : board)),
  });

/** Puts the boards into a new order; what was noted of lines that no longer exist is dropped. */
export const reorderBoards =
  (from: number, to: number): Edit =>
  (build) => {
    const boards = [...boardsOf(build)];
    const [moved] = boards.splice(from, 1);
    if (moved === undefined) return build;
    boards.splice(to, 0, moved);
    return withLinesLeft({ ...build, boards });
  };

/** One more board at the end, like the last one but the other way up. */
export const addBoard: Edit = (build) => {
  const boards = boardsOf(build);
  const last = boards.at(-1);
  if (last === undefined || boards.length >= MOST_BOARDS) return build;
  const heart = last.heart === 'up' ? 'down' : 'up';
  return { ...build, boards: [...boards, { ...last, id: makeId(), heart }] };
};

/** Boards of a cut list in place of those that are there, each other one turned over; what its list does not say is as it was. */
export const boardsOfList =
  (rows: readonly CutRow[]): Edit =>
  (build) => {
    const [first] = boardsOf(build);
    const pieces = rows.flatMap((row) => Array.from({ length: row.count }, () => row)).slice(0, MOST_BOARDS);
    if (first === undefined || pieces.length < 2) return build;
    const boards = pieces.map(({ species, lengthMm, widthMm, thicknessMm }, i): Board => ({
      ...first,
      id: makeId(),
      heart: i % 2 === 0 ? 'up' : 'down',
      mcPct: null,
      species,
      lengthMm,
      widthMm,
      thicknessMm,
    }));
    return withLinesLeft({ ...build, boards });
  };

/** Takes a board out; a panel keeps at least two. */
export const removeBoard =
  (id: string): Edit =>
  (build) => {
    const boards = boardsOf(build);
    return boards.length <= 2
      ? build
      : withLinesLeft({ ...build, boards: boards.filter((board) => board.id !== id) });
  };

/** Gives every board the wood, thickness and length of one of them. */
export const likeThisBoard =
  (id: string): Edit =>
  (build) => {
    const model = boardsOf(build).find((board) => board.id === id);
    if (model === undefined) return build;
    const { species, thicknessMm, lengthMm } = model;
    return {
      ...build,
      boards: boardsOf(build).map((board) => ({ ...board, species, thicknessMm, lengthMm })),
    };
  };

/** Notes about lines whose two boards still lie beside each other; the others no longer hold. */
function withLinesLeft(build: BuildDocument): BuildDocument {
  const boards = boardsOf(build);
  const lines = new Set(boards.slice(1).map(({ id }, i) => `${boards[i]?.id ?? ''}_${id}`));
  const { order, ...rest } = build;
  const bare = { ...rest, jointNotes: build.jointNotes.filter(({ id }) => lines.has(id)) };
  return order === undefined ? bare : { ...bare, order: withoutJoints(order, lines) };
}

/** An order without the joints that are gone; what is new goes into the last session by itself. */
function withoutJoints(
  order: NonNullable<BuildDocument['order']>,
  left: ReadonlySet<string>,
): NonNullable<BuildDocument['order']> {
  return {
    ...order,
    sessions: order.sessions.map((ids) => ids.filter((id) => left.has(id))).filter((ids) => ids.length > 0),
    pinned: order.pinned.filter((id) => left.has(id)),
  };
}

/**
 * Changes the clamps of a row. While nobody has placed any they are worked out; the first that is touched makes all of them the
 * person's own, where they stand.
 */
const withClamps =
  (row: RowPlan | null, change: (clamps: readonly PlacedClamp[]) => readonly PlacedClamp[]): Edit =>
  (build) => {
    const own = rowOf(build).clamps;
    return withRow(build, { clamps: [...change(own.length > 0 ? own : (row?.job.clamps ?? []))] });
  };

/** Changes one clamp. */
export const changeClamp = (row: RowPlan | null, id: string, change: Partial<PlacedClamp>): Edit =>
  withClamps(row, (clamps) => clamps.map((clamp) => (clamp.id === id ? { ...clamp, ...change } : clamp)));

/** Pulls a clamp no harder than so much; null lets it go as hard as it can. */
export const easeClamp = (row: RowPlan | null, id: string, mostN: number | null): Edit =>
  withClamps(row, (clamps) => clamps.map((clamp) => (clamp.id === id ? eased(clamp, mostN) : clamp)));

/** A clamp pulled no harder than so much; null lets it go as hard as it can. */
export function eased<C extends { mostN?: number }>(clamp: C, mostN: number | null): C {
  const free = { ...clamp };
  delete free.mostN;
  return mostN === null ? free : { ...free, mostN };
}

/** Slides a clamp along the row. */
export const moveClamp = (row: RowPlan | null, id: string, xMm: number): Edit =>
  changeClamp(row, id, { xMm });

/** Takes clamps off. */
export const removeClamps = (row: RowPlan | null, ids: readonly string[]): Edit =>
  withClamps(row, (clamps) => clamps.filter(({ id }) => !ids.includes(id)));

/** One more clamp in the widest gap, on the side that keeps them alternating. */
export const addClamp = (row: RowPlan, rackId: string): Edit =>
  withClamps(row, (clamps) => {
    if (clamps.length >= MOST_CLAMPS) return clamps;
    const sorted = [...clamps].sort((a, b) => a.xMm - b.xMm);
    const places = [0, ...sorted.map(({ xMm }) => xMm), row.panel.lengthMm];
    const widest = places
      .slice(1)
      .map((to, i) => ({ from: places[i] ?? 0, to }))
      .reduce((a, b) => (b.to - b.from > a.to - a.from ? b : a));
    const before = sorted.filter(({ xMm }) => xMm <= widest.from).at(-1);
    const clamp: PlacedClamp = {
      id: makeId(),
      rackId,
      xMm: Math.round((widest.from + widest.to) / 2),
      side: before?.side === 'above' ? 'below' : 'above',
    };
    const after = clamps.findIndex(({ xMm }) => xMm > clamp.xMm);
    return clamps.toSpliced(after === -1 ? clamps.length : after, 0, clamp);
  });

/** Takes a lot of cauls by name; an empty name takes whichever fits. */
export const withCaulLot =
  (caulLot: string): Edit =>
  (build) => {
    const holding = { ...rowOf(build).holding };
    delete holding.caulLot;
    return withRow(build, { holding: caulLot === '' ? holding : { ...holding, caulLot } });
  };

/** The rack lot of which one more clamp is taken by hand. */
export function firstLot({ job }: RowPlan, shop: ShopDocument): string | undefined {
  return job.clamps.at(-1)?.rackId ?? shop.rack[0]?.id;
}

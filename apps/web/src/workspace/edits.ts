import {
  type Board,
  type PanelBuild,
  MOST_BOARDS,
  MOST_CLAMPS,
  type PlacedClamp,
  type ShopDocument,
} from '@lean-clasp/core';
import { nanoid } from '@reduxjs/toolkit';

/** A pure edit of a build. */
type Edit = (build: PanelBuild) => PanelBuild;

/** Document-local ids may hold letters, digits, dash and underscore only; nanoid keeps to those. */
export const makeId = (): string => nanoid(10);

/** Changes one board. */
export const changeBoard =
  (id: string, change: Partial<Board>): Edit =>
  (build) => ({
    ...build,
    boards: build.boards.map((board) => (board.id === id ? { ...board, ...change } : board)),
  });

/** Puts the boards into a new order; dry-fit readings belong to lines that no longer exist and are dropped. */
export const reorderBoards =
  (from: number, to: number): Edit =>
  (build) => {
    const boards = [...build.boards];
    const [moved] = boards.splice(from, 1);
    if (moved === undefined) return build;
    boards.splice(to, 0, moved);
    return { ...build, boards, ...forgottenLines(build) };
  };

/** One more board at the end, like the last one but the other way up. */
export const addBoard: Edit = (build) => {
  const last = build.boards.at(-1);
  if (last === undefined || build.boards.length >= MOST_BOARDS) return build;
  const heart = last.heart === 'up' ? 'down' : 'up';
  return { ...build, boards: [...build.boards, { ...last, id: makeId(), heart }] };
};

/** Takes a board out; a panel keeps at least two. */
export const removeBoard =
  (id: string): Edit =>
  (build) =>
    build.boards.length <= 2
      ? build
      : {
          ...build,
          boards: build.boards.filter((board) => board.id !== id),
          ...forgottenLines(build),
        };

/** Gives every board the wood, thickness and length of one of them. */
export const likeThisBoard =
  (id: string): Edit =>
  (build) => {
    const model = build.boards.find((board) => board.id === id);
    if (model === undefined) return build;
    const { species, thicknessMm, lengthMm } = model;
    return { ...build, boards: build.boards.map((board) => ({ ...board, species, thicknessMm, lengthMm })) };
  };

/** Turns the hearts of the boards, from the first to the last. */
export const turnHearts =
  (hearts: readonly Board['heart'][]): Edit =>
  (build) => ({
    ...build,
    boards: build.boards.map((board, i) => ({ ...board, heart: hearts[i] ?? board.heart })),
  });

/** Writes a feeler reading for a line; null takes it away. */
export const readGap =
  (line: number, gapMm: number | null): Edit =>
  (build) => ({
    ...build,
    dryFit: {
      ...build.dryFit,
      gaps: [
        ...build.dryFit.gaps.filter((gap) => gap.line !== line),
        ...(gapMm === null ? [] : [{ line, gapMm }]),
      ].sort((a, b) => a.line - b.line),
    },
  });

/** Spreads one line in a way of its own; null lets it be spread as the rest. */
export const spreadLine =
  (line: number, own: { readonly method: string; readonly faces: 1 | 2 } | null): Edit =>
  (build) => {
    const others = (build.glue.lines ?? []).filter((each) => each.line !== line);
    const lines = own === null ? others : [...others, { line, ...own }];
    return { ...build, glue: { ...build.glue, lines: lines.sort((a, b) => a.line - b.line) } };
  };

/** What was noted of single lines no longer holds once boards lie otherwise. */
function forgottenLines({ dryFit, glue }: PanelBuild): Pick<PanelBuild, 'dryFit' | 'glue'> {
  const { adhesive, method, faces } = glue;
  return { dryFit: { ...dryFit, gaps: [] }, glue: { adhesive, method, faces } };
}

/** Changes one clamp. */
export const changeClamp =
  (id: string, change: Partial<PlacedClamp>): Edit =>
  (build) => ({
    ...build,
    clamps: build.clamps.map((clamp) => (clamp.id === id ? { ...clamp, ...change } : clamp)),
  });

/** Pulls a clamp no harder than so much; null lets it go as hard as it can. */
export const easeClamp =
  (id: string, mostN: number | null): Edit =>
  (build) => ({
    ...build,
    clamps: build.clamps.map((clamp) => (clamp.id === id ? eased(clamp, mostN) : clamp)),
  });

/** A clamp pulled no harder than so much; null lets it go as hard as it can. */
export function eased<C extends { mostN?: number }>(clamp: C, mostN: number | null): C {
  const free = { ...clamp };
  delete free.mostN;
  return mostN === null ? free : { ...free, mostN };
}

/** Slides a clamp along the panel. */
export const moveClamp = (id: string, xMm: number): Edit => changeClamp(id, { xMm });

/** Takes a clamp off. */
export const removeClamp =
  (id: string): Edit =>
  (build) => ({ ...build, clamps: build.clamps.filter((clamp) => clamp.id !== id) });

/** One more clamp in the widest gap, on the side that keeps them alternating. */
export const addClamp =
  (rackId: string): Edit =>
  (build) => {
    if (build.clamps.length >= MOST_CLAMPS) return build;
    const lengthMm = Math.max(...build.boards.map((board) => board.lengthMm));
    const sorted = [...build.clamps].sort((a, b) => a.xMm - b.xMm);
    const places = [0, ...sorted.map(({ xMm }) => xMm), lengthMm];
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
    const after = build.clamps.findIndex(({ xMm }) => xMm > clamp.xMm);
    const at = after === -1 ? build.clamps.length : after;
    return { ...build, clamps: build.clamps.toSpliced(at, 0, clamp) };
  };

/** Takes a lot of cauls by name; an empty name takes whichever fits. */
export const withCaulLot =
  (caulLot: string): Edit =>
  (build) => {
    const { barsTouch, barClearanceMm, caulPairs, endStops, preSet, heldFlatLater } = build.holding;
    const holding = { barsTouch, barClearanceMm, caulPairs, endStops, preSet, heldFlatLater };
    return { ...build, holding: caulLot === '' ? holding : { ...holding, caulLot } };
  };

/** The first rack lot that spans a panel, for a clamp added by hand. */
export function firstLot(build: PanelBuild, shop: ShopDocument): string | undefined {
  return build.clamps.at(-1)?.rackId ?? shop.rack[0]?.id;
}

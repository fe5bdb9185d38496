import type { None } from './none';

/** Edits that would help, whatever is glued. */
export interface ChangeValues {
  'add-clamps': { count: number; kind: string };
  'use-clamps': { count: number; kind: string; forceN: number };
  'space-evenly': None;
  'use-glue': { adhesive: string; onShelf: string; mixed: string };
  'one-more-pair': { crew: number };
  'wet-both-faces': None;
  'wet-one-face': None;
  'warm-the-wood': { tempC: number };
  'other-hour': { hour: number; tempC: number; rhPct: number };
  'arrange-sessions': { sessions: number };
  'one-more-session': { sessions: number };
  'bars-both-faces': None;
  'add-cauls': { pairs: number };
  'use-blocks': { thicknessMm: number };
  'use-battens': { thicknessMm: number };
  'fix-blocks': { fixing: string };
  'saw-after': None;
  'end-stops': None;
  'leave-long': { trimMm: number };
  'centre-pull': { offsetMm: number };
  'preset-clamps': None;
  'alternate-hearts': None;
  'spread-with': { method: string };
  'hold-in-use': None;
}

/** Edits that help a row. */
export interface RowChangeValues {
  'handles-in-turn': None;
  'squeeze-as-wanted': None;
  'glue-less-across': { line: string; others: number };
  'squeeze-lightly': None;
  'plane-line': { line: string };
  'plane-flat': { mm: number };
  'dry-boards': { mcPct: number };
  'other-cauls': { species: string; widthMm: number; depthMm: number; crownMm: number };
  'fewer-cauls': { pairs: number };
  'borrow-clamps': { forceN: number; kind: string; count: number; openingMm: number };
  'make-battens': { thicknessMm: number; clamps: number };
  'use-easier-glue': { adhesive: string; lowMPa: number };
}

/** Edits that help an assembly. */
export interface PullChangeValues {
  'more-on-pull': { count: number; now: number };
  'pull-worked-out': { line: string };
  'read-diagonals-first': { diagonalMm: number; mostMm: number };
  'sight-first': { mostMm: number };
  'borrow-deep': { count: number; kind: string; depthMm: number };
  'cauls-along': { thicknessMm: number };
  'cauls-across': { thicknessMm: number };
  'blocks-under': { thicknessMm: number };
  'slip-round': None;
  'press-between-platens': None;
  'cut-again': { line: string };
  'shoot-mitres': { errorDeg: number };
  'pull-diagonal': { long: string; pullMm: number };
  'clamp-down': None;
  'veneer-both': None;
  'let-settle': { mcPct: number };
}

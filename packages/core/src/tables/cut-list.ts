import type { Bounds } from '../basics/checks';
import { LIMITS } from '../basics/limits';
import { listSpecies, type OwnWood } from '../materials';
import type { Table } from './column';
import { lengthColumn, nameColumn, numberColumn, wordColumn } from './columns';

/** A line of a cut list: so many pieces of one size. */
export interface CutRow {
  readonly id: string;
  readonly name: string;
  readonly count: number;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly thicknessMm: number;
  readonly species: string;
}

/** Most pieces of one line. */
const PIECES = { min: 1, max: 99, unit: 'pieces' };

/** Sizes that the pieces of a list may have. */
interface CutSizes {
  readonly length: Bounds;
  readonly width: Bounds;
  readonly thickness: Bounds;
}

/** Boards that are laid side by side. */
export const BOARD_SIZES: CutSizes = {
  length: LIMITS.boardLengthMm,
  width: LIMITS.boardWidthMm,
  thickness: LIMITS.boardThicknessMm,
};

/** Panels that are glued up of boards. */
export const PANEL_SIZES: CutSizes = {
  length: LIMITS.boardLengthMm,
  width: { min: 2 * LIMITS.boardWidthMm.min, max: 3000, unit: 'mm' },
  thickness: LIMITS.boardThicknessMm,
};

/** Parts of any kind. */
export const PART_SIZES: CutSizes = {
  length: { min: 5, max: 6000, unit: 'mm' },
  width: { min: 2, max: 3000, unit: 'mm' },
  thickness: { min: 0.5, max: 400, unit: 'mm' },
};

/**
 * A cut list as spreadsheets and other programs write it.
 * @param species taken where a line names none.
 * @param woods of the shop's own, beside the catalogue.
 */
export const cutListTable = (species: string, woods: readonly OwnWood[], sizes: CutSizes): Table<CutRow> => ({
  name: 'a cut list',
  columns: [
    nameColumn('name', {
      head: 'Part',
      also: ['name', 'part name', 'description', 'component', 'piece', 'label', 'item'],
      needed: true,
      most: 60,
    }),
    numberColumn('count', PIECES, {
      head: 'How many',
      also: ['count', 'number', 'qty', 'quantity', 'pieces', 'pcs', 'no', 'nr'],
      whole: true,
    }),
    lengthColumn('lengthMm', sizes.length, {
      head: 'Length',
      also: ['long', 'l', 'finished length', 'final length'],
      needed: true,
    }),
    lengthColumn('widthMm', sizes.width, {
      head: 'Width',
      also: ['wide', 'w', 'finished width', 'final width'],
      needed: true,
    }),
    lengthColumn('thicknessMm', sizes.thickness, {
      head: 'Thickness',
      also: ['thick', 't', 'th', 'finished thickness', 'final thickness', 'height'],
      needed: true,
    }),
    wordColumn('species', [...listSpecies(), ...woods], {
      head: 'Wood',
      also: ['species', 'material', 'timber', 'lumber', 'stock'],
    }),
  ],
  blank: { name: 'Part', count: 1, lengthMm: 600, widthMm: 100, thicknessMm: 20, species },
});

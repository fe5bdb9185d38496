import type { Bounds } from '../basics/checks';
import type { UnitSystem } from '../units';

/** What is wrong with a cell. */
export type CellFault =
  | { readonly code: 'no-such-word'; readonly head: string; readonly text: string; readonly near: string }
  | { readonly code: 'not-readable'; readonly head: string; readonly text: string; readonly like: string }
  | { readonly code: 'out-of-range'; readonly head: string; readonly text: string; readonly bounds: Bounds }
  | { readonly code: 'missing'; readonly head: string };

/** What a cell says of its row beside what others said, or why it cannot. */
export type CellRead<Row> =
  | { readonly ok: true; readonly change: (said: Partial<Row>) => Partial<Row> }
  | { readonly ok: false; readonly fault: CellFault };

/** One column of a table that people paste out of a spreadsheet, and save for one. */
export interface Column<Row> {
  /** What stands over it. */
  readonly head: string;
  /** What else people call it, in lower case. */
  readonly also: readonly string[];
  /** Unit of its plain numbers in a file, such as `mm`; empty where it has none. */
  readonly unit: string;
  /** A row without it is not taken. */
  readonly needed: boolean;
  /** As it stands in a file: plain numbers in the column's unit. */
  readonly print: (row: Row) => string;
  /** @param system by which bare numbers are read. */
  readonly read: (text: string, system: UnitSystem) => CellRead<Row>;
}

/** A table of things alike: what a new row begins as, and its columns in order. */
export interface Table<Row> {
  readonly name: string;
  readonly columns: readonly Column<Row>[];
  readonly blank: Omit<Row, 'id'>;
  /** What follows from what was read, such as the jaws of a kind; what the row says itself stays. */
  readonly completed?: (row: Omit<Row, 'id'>, said: Partial<Row>) => Omit<Row, 'id'>;
}

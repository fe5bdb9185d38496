import type { UnitSystem } from '../units';
import type { CellFault, Column, Table } from './column';

/** A row as it was understood, or what kept it from being. */
export interface ReadRow<Row> {
  /** Its cells as they came. */
  readonly cells: readonly string[];
  /** Null where something is wrong with it. */
  readonly row: Omit<Row, 'id'> | null;
  readonly faults: readonly CellFault[];
}

/** A table as it was understood. */
export interface ReadTable<Row> {
  readonly rows: readonly ReadRow<Row>[];
  /** Heads that name nothing here; what stands under them is left out. */
  readonly unknownHeads: readonly string[];
  /** Whether its first row named its columns; without it they are taken in their order. */
  readonly headed: boolean;
}

/** A head and the unit behind it, such as `Opens to (mm)`. */
const HEAD = /^(.*?)(?:[([]\s*([^)\]]*?)\s*[)\]])?$/s;
const IMPERIAL: readonly string[] = [
  'in',
  'inch',
  'inches',
  '"',
  'lbf',
  'lb',
  'fl oz',
  'floz',
  'oz',
  'psi',
  '°f',
];

const plainHead = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** A column as a pasted table has it. */
interface Found<Row> {
  readonly column: Column<Row> | undefined;
  /** By which bare numbers under it are read; null: as the person reads them. */
  readonly system: UnitSystem | null;
}

function columnUnder<Row>(head: string, { columns }: Table<Row>): Found<Row> {
  const [, name = '', unit = ''] = HEAD.exec(head.trim()) ?? [];
  const asked = plainHead(name);
  const column = columns.find(
    ({ head: own, also }) => plainHead(own) === asked || also.some((each) => plainHead(each) === asked),
  );
  const said = unit.toLowerCase();
  const system =
    said === ''
      ? null
      : IMPERIAL.includes(said)
        ? 'imperial'
        : said === column?.unit.toLowerCase()
          ? 'metric'
          : null;
  return { column, system };
}

/**
 * Reads the rows of a spreadsheet. A first row in which at least half the cells are heads names the columns, in any order; otherwise
 * they are taken as they come here. A row with a fault is told and not taken; empty cells say nothing.
 * @param system by which bare numbers are read where the head gives no unit.
 */
export function readTable<Row>(
  lines: readonly (readonly string[])[],
  table: Table<Row>,
  system: UnitSystem,
): ReadTable<Row> {
  const filled = lines.filter((cells) => cells.some((cell) => cell.trim() !== ''));
  const [first = []] = filled;
  const heads = first.map((head) => columnUnder(head, table));
  const headed = heads.filter(({ column }) => column !== undefined).length * 2 >= Math.max(1, first.length);
  const columns: readonly Found<Row>[] = headed
    ? heads
    : table.columns.map((column) => ({ column, system: null }));
  return {
    rows: (headed ? filled.slice(1) : filled).map((cells) => readRow(cells, columns, table, system)),
    unknownHeads: headed
      ? first.filter((head, i) => head.trim() !== '' && heads[i]?.column === undefined)
      : [],
    headed,
  };
}

function readRow<Row>(
  cells: readonly string[],
  columns: readonly Found<Row>[],
  table: Table<Row>,
  system: UnitSystem,
): ReadRow<Row> {
  const faults: CellFault[] = [];
  const said: Partial<Row> = {};
  const named = new Set<Column<Row>>();
  columns.forEach(({ column, system: own }, i) => {
    const text = cells[i]?.trim() ?? '';
    if (column === undefined || text === '') return;
    const read = column.read(text, own ?? system);
    named.add(column);
    if (read.ok) Object.assign(said, read.change(said));
    else faults.push(read.fault);
  });
  for (const column of table.columns) {
    if (column.needed && !named.has(column)) faults.push({ code: 'missing', head: column.head });
  }
  const row = { ...table.blank, ...said };
  return { cells, row: faults.length > 0 ? null : (table.completed?.(row, said) ?? row), faults };
}

/** Rows for a file: heads with their units, then plain numbers. */
export const printTable = <Row>(rows: readonly Row[], { columns }: Table<Row>): string[][] => [
  columns.map(({ head, unit }) => (unit === '' ? head : `${head} (${unit})`)),
  ...rows.map((row) => columns.map(({ print }) => print(row))),
];

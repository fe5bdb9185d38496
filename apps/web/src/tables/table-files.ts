import { printTable, type ReadTable, readTable, type Table } from '@lean-clasp/core/tables';
import type { UnitSystem } from '@lean-clasp/core/units';
import Papa from 'papaparse';
import { saveFile } from '../parts/save-file';

/** Rows out of a spreadsheet: tabs, commas or semicolons, quoted or not. */
export const readCells = <Row>(text: string, table: Table<Row>, system: UnitSystem): ReadTable<Row> =>
  readTable(Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' }).data, table, system);

/** Saves rows for a spreadsheet; none of its cells is taken for a formula there. */
export function saveTable<Row>(rows: readonly Row[], table: Table<Row>): void {
  saveFile(`${table.name}.csv`, Papa.unparse(printTable(rows, table), { escapeFormulae: true }), 'text/csv');
}

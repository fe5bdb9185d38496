export type { CellFault, Column, Table } from './column';
export { BOARD_SIZES, type CutRow, cutListTable, PANEL_SIZES, PART_SIZES } from './cut-list';
export { printTable, type ReadRow, type ReadTable, readTable } from './read-table';
export {
  BENCHES_TABLE,
  BLOCK_FACES,
  BLOCK_KINDS,
  BLOCKS_TABLE,
  BOTTLES_TABLE,
  caulsTable,
  METHODS_TABLE,
  RACK_TABLE,
  WOODS_TABLE,
} from './shop-tables';

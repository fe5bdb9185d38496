import { BOARD_SIZES, type CutRow, cutListTable, PANEL_SIZES, PART_SIZES } from '@lean-clasp/core/tables';
import { useMemo } from 'react';
import { useOwnWoods } from '../shop/own';
import { TableDialog } from './TableDialog';

const SIZES = { boards: BOARD_SIZES, panels: PANEL_SIZES, parts: PART_SIZES };

/** What is asked of a cut list, and what becomes of it. */
export interface CutListAsked {
  readonly title: string;
  /** What its lines are, which says what sizes they may have. */
  readonly of: keyof typeof SIZES;
  /** Wood of lines that name none. */
  readonly species: string;
  readonly most: number;
  readonly take?: string;
  readonly onTake: (rows: readonly CutRow[]) => void;
  readonly onClose: () => void;
}

/** A cut list out of a spreadsheet or a file. */
export function CutListTable({ of, species, ...rest }: CutListAsked) {
  const woods = useOwnWoods();
  const table = useMemo(() => cutListTable(species, woods, SIZES[of]), [species, woods, of]);
  return <TableDialog table={table} {...rest} />;
}

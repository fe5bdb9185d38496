import type { Table } from '@lean-clasp/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { type ReactNode, useState } from 'react';
import { Section } from '../frame/Page';
import { Sheet, type SheetColumn } from '../parts/Sheet';
import { PasteDialog } from './PasteDialog';
import { saveTable } from './table-files';

/** Several cells, as a spreadsheet puts them on the clipboard. */
const isTable = (text: string) => /\t|\S.*\n.*\S/s.test(text);

/** A stretch of the shop that is a table: sorted by its heads, added to one by one or from a spreadsheet, saved for one. */
export function TableSection<Row extends { readonly id: string }>({
  title,
  table,
  columns,
  rows,
  most,
  actionsPx,
  actions,
  onTake,
  render,
  above,
  children,
}: {
  readonly title: string;
  readonly table: Table<Row>;
  readonly columns: readonly SheetColumn<Row>[];
  readonly rows: readonly Row[];
  /** Rows that the shop holds at most. */
  readonly most: number;
  readonly actionsPx: number;
  readonly actions: ReactNode;
  readonly onTake: (rows: readonly Row[]) => void;
  readonly render: (row: Row) => ReactNode;
  readonly above?: ReactNode;
  /** Below the rows. */
  readonly children?: ReactNode;
}) {
  const [pasted, setPasted] = useState<string | null>(null);
  return (
    <Box
      onPaste={(event) => {
        const text = event.clipboardData.getData('text');
        if (pasted !== null || !isTable(text)) return;
        event.preventDefault();
        setPasted(text);
      }}
    >
      <Section
        title={title}
        aside={
          <>
            {rows.length > 0 && (
              <Button onClick={() => saveTable(rows, table)} aria-label={`Save ${table.name} as CSV`}>
                Save as CSV
              </Button>
            )}
            <Button onClick={() => setPasted('')}>Paste {table.name}</Button>
            {actions}
          </>
        }
      >
        {above}
        <Sheet columns={columns} rows={rows} actionsPx={actionsPx} render={render} />
        {children}
      </Section>
      {pasted !== null && (
        <PasteDialog
          table={table}
          most={most - rows.length}
          begun={pasted}
          onTake={onTake}
          onClose={() => setPasted(null)}
        />
      )}
    </Box>
  );
}

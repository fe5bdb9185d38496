import { SHOP_ROOM, type ShopDocument } from '@lean-clasp/core/formats';
import type { Table } from '@lean-clasp/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { type ReactNode, useState } from 'react';
import { Section } from '../frame/Page';
import { Sheet, type SheetColumn } from '../parts/Sheet';
import { makeId } from '../workspace/edits';
import { saveTable } from '../tables/table-files';
import { TableDialog } from '../tables/TableDialog';
import { type RowOf, type ShopList, useShopList } from './use-shop-list';

/** Several cells, as a spreadsheet puts them on the clipboard. */
const isTable = (text: string) => /\t|\S.*\n.*\S/s.test(text);

/** A stretch of the shop that is a table: sorted by its heads, added to one by one or from a spreadsheet, saved for one. */
export function TableSection<F extends ShopList>({
  title,
  field,
  shop,
  table,
  columns,
  actionsPx,
  add,
  render,
  above,
  children,
}: {
  readonly title: string;
  /** Which list of the shop it is. */
  readonly field: F;
  readonly shop: ShopDocument;
  readonly table: Table<RowOf<F>>;
  readonly columns: readonly SheetColumn<RowOf<F>>[];
  readonly actionsPx: number;
  /** What the button that adds one says. */
  readonly add: string;
  readonly render: (row: RowOf<F>) => ReactNode;
  readonly above?: ReactNode;
  /** Below the rows. */
  readonly children?: ReactNode;
}) {
  const [pasted, setPasted] = useState<string | null>(null);
  const list = useShopList(field);
  const rows = (shop[field] ?? []) as readonly RowOf<F>[];
  return (
    <Box
      onPaste={(event) => {
        const text = event.clipboardData.getData('text');
        // Where several lines are typed, several lines may be pasted.
        if (pasted !== null || event.target instanceof HTMLTextAreaElement || !isTable(text)) return;
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
            <Button onClick={() => list.add(add, [{ ...table.blank, id: makeId() } as RowOf<F>])}>
              {add}
            </Button>
          </>
        }
      >
        {above}
        <Sheet columns={columns} rows={rows} actionsPx={actionsPx} render={render} />
        {children}
      </Section>
      {pasted !== null && (
        <TableDialog
          table={table}
          title={`Paste ${table.name} from a spreadsheet`}
          most={SHOP_ROOM[field] - rows.length}
          begun={pasted}
          onTake={(taken) => list.add(`Paste ${table.name}`, taken)}
          onClose={() => setPasted(null)}
        />
      )}
    </Box>
  );
}

import Box from '@mui/material/Box';
import TableSortLabel from '@mui/material/TableSortLabel';
import useMediaQuery from '@mui/material/useMediaQuery';
import { createContext, type ReactNode, use, useState } from 'react';
import { BareContext } from './bare';

/** A column of a sheet: what stands over it, how wide it is, and by what it sorts. */
export interface SheetColumn<Row> {
  readonly head: string;
  /** Width, as a track of a grid. */
  readonly width: string;
  /** Left out where rows are not told apart by it. */
  readonly by?: (row: Row) => number | string;
}

/** Narrower than this, fields wrap and carry their own labels. */
const SHEET_FROM = '@media (min-width: 1080px)';

/** Tracks of the columns, where rows stand under heads. */
const TracksContext = createContext<string | null>(null);

/**
 * Things alike, a row each under heads that sort them; on a narrow screen their fields wrap and are labelled one by one. Sorting
 * orders what is there now: no row moves away from under somebody who is typing in it.
 */
export function Sheet<Row extends { readonly id: string }>({
  columns,
  rows,
  actionsPx,
  render,
}: {
  readonly columns: readonly SheetColumn<Row>[];
  readonly rows: readonly Row[];
  /** Room at the end of each row for what can be done to it. */
  readonly actionsPx: number;
  /** Draws a row, with a `SheetRow` around its fields, one for each column. */
  readonly render: (row: Row) => ReactNode;
}) {
  const wide = useMediaQuery(SHEET_FROM, { noSsr: true });
  const [sorted, setSorted] = useState<Sorted | null>(null);
  const shown = inOrder(rows, sorted);
  const tracks = [...columns.map(({ width }) => width), `${actionsPx}px`].join(' ');
  if (rows.length === 0) return null;
  return (
    <TracksContext value={wide ? tracks : null}>
      <BareContext value={wide}>
        {wide && (
          <Box sx={{ display: 'grid', gridTemplateColumns: tracks, columnGap: 1, mb: 0.5 }}>
            {columns.map((column) => (
              <Head
                key={column.head}
                column={column}
                sorted={sorted?.head === column.head ? sorted.direction : null}
                onSort={() => setSorted(sortedBy(rows, column, sorted))}
              />
            ))}
          </Box>
        )}
        {shown.map(render)}
      </BareContext>
    </TracksContext>
  );
}

interface Sorted {
  readonly head: string;
  readonly direction: 'asc' | 'desc';
  readonly ids: readonly string[];
}

/** Up at first, then down, then as listed. */
function sortedBy<Row extends { readonly id: string }>(
  rows: readonly Row[],
  { head, by }: SheetColumn<Row>,
  before: Sorted | null,
): Sorted | null {
  if (by === undefined || (before?.head === head && before.direction === 'desc')) return null;
  const direction = before?.head === head ? 'desc' : 'asc';
  const compare = (a: Row, b: Row) => {
    const [x, y] = [by(a), by(b)];
    return typeof x === 'number' && typeof y === 'number' ? x - y : String(x).localeCompare(String(y));
  };
  const ascending = [...rows].sort(compare);
  return {
    head,
    direction,
    ids: (direction === 'asc' ? ascending : ascending.reverse()).map(({ id }) => id),
  };
}

/** As they were sorted; what came since is last. */
function inOrder<Row extends { readonly id: string }>(
  rows: readonly Row[],
  sorted: Sorted | null,
): readonly Row[] {
  if (sorted === null) return rows;
  const place = new Map(sorted.ids.map((id, i) => [id, i]));
  return [...rows].sort((a, b) => (place.get(a.id) ?? Infinity) - (place.get(b.id) ?? Infinity) || 0);
}

function Head<Row>({
  column: { head, by },
  sorted,
  onSort,
}: {
  readonly column: SheetColumn<Row>;
  readonly sorted: 'asc' | 'desc' | null;
  readonly onSort: () => void;
}) {
  const look = { color: 'text.secondary', fontSize: '0.875rem', alignSelf: 'end', lineHeight: 1.2 };
  if (by === undefined) {
    return (
      <Box aria-hidden sx={look}>
        {head}
      </Box>
    );
  }
  return (
    <TableSortLabel
      active={sorted !== null}
      direction={sorted ?? 'asc'}
      onClick={onSort}
      aria-label={`Sort by ${head.toLowerCase()}${sorted === null ? '' : sorted === 'asc' ? ', now upwards' : ', now downwards'}`}
      sx={{ ...look, minHeight: 32, justifyContent: 'flex-start' }}
    >
      {head}
    </TableSortLabel>
  );
}

/** Fields of one row, under their heads or wrapping; what can be done to the row stands at its end. */
export function SheetRow({
  children,
  actions,
}: {
  readonly children: ReactNode;
  readonly actions: ReactNode;
}) {
  const tracks = use(TracksContext);
  return (
    <Box
      sx={
        tracks === null
          ? { display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-start', mb: 2 }
          : { display: 'grid', gridTemplateColumns: tracks, columnGap: 1, alignItems: 'start', mb: 1 }
      }
    >
      {children}
      <Box sx={{ display: 'flex', alignItems: 'center', minHeight: 40 }}>{actions}</Box>
    </Box>
  );
}

/** Fields that carry their own labels, across the cells of several columns. */
export function Cells({ span, children }: { readonly span: number; readonly children: ReactNode }) {
  const wide = use(TracksContext) !== null;
  return (
    <BareContext value={false}>
      {wide ? (
        <Box sx={{ gridColumn: `span ${span}`, display: 'flex', gap: 1.5, pt: 0.75 }}>{children}</Box>
      ) : (
        children
      )}
    </BareContext>
  );
}

/** A cell that this row has nothing to put in. */
export function NoCell() {
  return use(TracksContext) === null ? null : <span />;
}

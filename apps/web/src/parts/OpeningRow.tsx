import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import type { ReactNode } from 'react';
import { FIGURE_FACE } from '../app/theme';

/** Columns of a row that begins with how many alike it stands for. */
export const COUNTED_COLUMNS = '44px minmax(0, 1fr) auto';

/** A row of a list that opens to what can be changed about it. */
export function OpeningRow({
  open,
  label,
  columns,
  cells,
  onToggle,
  children,
}: {
  readonly open: boolean;
  /** What is read out for the row, where that is not what it shows. */
  readonly label?: string;
  /** Grid template of the row. */
  readonly columns: string;
  readonly cells: ReactNode;
  readonly onToggle: () => void;
  /** Under the row, whether it is open or not. */
  readonly children: ReactNode;
}) {
  return (
    <Box component="li" sx={{ borderBottom: 1, borderColor: 'divider' }}>
      <ButtonBase
        aria-expanded={open}
        aria-label={label}
        onClick={onToggle}
        sx={{
          display: 'grid',
          gridTemplateColumns: columns,
          gap: 0.5,
          width: '100%',
          px: 0.5,
          minHeight: 44,
          alignItems: 'center',
          textAlign: 'left',
          fontSize: '0.9375rem',
          fontWeight: open ? 700 : 400,
        }}
      >
        {cells}
      </ButtonBase>
      {children}
    </Box>
  );
}

/** What stands over the columns of such rows. */
export function RowHeads({
  columns,
  heads,
}: {
  readonly columns: string;
  readonly heads: readonly string[];
}) {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: columns,
        px: 0.5,
        gap: 0.5,
        color: 'text.secondary',
        fontSize: '0.875rem',
      }}
      aria-hidden
    >
      {heads.map((head, i) => (
        <Box key={head} component="span" sx={{ textAlign: i > 1 ? 'right' : 'left' }}>
          {head}
        </Box>
      ))}
    </Box>
  );
}

/** The number of a clamp. */
export function RowNumber({ children }: { readonly children: ReactNode }) {
  return (
    <Box component="span" sx={{ fontFamily: FIGURE_FACE, fontWeight: 700 }}>
      {children}
    </Box>
  );
}

/** A figure in a column of its own. */
export function Figure({ bad = false, children }: { readonly bad?: boolean; readonly children: ReactNode }) {
  return (
    <Box
      component="span"
      sx={{
        textAlign: 'right',
        fontFamily: FIGURE_FACE,
        fontSize: '0.875rem',
        color: bad ? 'error.main' : undefined,
        whiteSpace: 'nowrap',
      }}
    >
      {children}
    </Box>
  );
}

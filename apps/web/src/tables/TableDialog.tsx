import type { Table } from '@lean-clasp/core/tables';
import { cellFaultWords } from '@lean-clasp/words';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import MuiTable from '@mui/material/Table';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { useAppSelector } from '../app/store';
import { makeId } from '../workspace/edits';
import { FileButton } from '../parts/FileButton';
import { readCells } from './table-files';

/** Rows shown of what was pasted. */
const SHOWN = 60;

/** Rows of a spreadsheet, pasted or from a file, shown with what is wrong with each before any is taken. */
export function TableDialog<Row extends { readonly id: string }>({
  table,
  title,
  most,
  begun = '',
  take = 'Take',
  onTake,
  onClose,
}: {
  readonly table: Table<Row>;
  readonly title: string;
  /** Rows that there is still room for. */
  readonly most: number;
  /** What was pasted already. */
  readonly begun?: string;
  /** What taking does, on the button before the number of rows. */
  readonly take?: string;
  readonly onTake: (rows: readonly Row[]) => void;
  readonly onClose: () => void;
}) {
  const [text, setText] = useState(begun);
  const [fault, setFault] = useState<string | null>(null);
  const system = useAppSelector((state) => state.preferences.units);
  const { rows, unknownHeads, headed } = useMemo(() => readCells(text, table, system), [text, table, system]);
  const good = rows.flatMap(({ row }) => (row === null ? [] : [row])).slice(0, most);
  const heads = table.columns.map(({ head }) => head).join(', ');
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="paste-title">
      <DialogTitle id="paste-title">{title}</DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 1.5 }}>
          Columns: {heads}. With a line of heads they may stand in any order, and “Length (in)” or “Length
          (mm)” says what bare numbers are.
        </Typography>
        <TextField
          label="Rows"
          multiline
          minRows={4}
          maxRows={10}
          fullWidth
          autoFocus
          value={text}
          onChange={(event) => setText(event.target.value)}
          slotProps={{ inputLabel: { shrink: true }, htmlInput: { spellCheck: false } }}
        />
        <FileButton
          label="Open a file (CSV)"
          accept=".csv,.tsv,.txt,text/csv,text/plain"
          like="the table as CSV"
          onText={(read) => {
            setText(read);
            setFault(null);
          }}
          onFault={setFault}
        />
        {fault !== null && (
          <Alert severity="error" variant="outlined" sx={{ mt: 1.5 }}>
            {fault}
          </Alert>
        )}
        <Box role="status" sx={{ mt: 1.5 }}>
          {rows.length > 0 && (
            <Typography>
              {rows.length} {rows.length === 1 ? 'row' : 'rows'} read
              {headed ? ' under their heads' : ', in the order of the columns'}
              {good.length < rows.length && `; ${rows.length - good.length} cannot be taken`}.
              {unknownHeads.length > 0 && ` Left out: ${unknownHeads.join(', ')}.`}
              {good.length === most && ` There is room for ${most} here.`}
            </Typography>
          )}
        </Box>
        {rows.length > 0 && (
          <MuiTable size="small" aria-label="What was read" sx={{ mt: 1 }}>
            <TableBody>
              {rows.slice(0, SHOWN).map(({ cells, faults }, i) => (
                <TableRow key={i}>
                  <TableCell sx={{ width: 44 }}>{i + 1}</TableCell>
                  <TableCell>{cells.filter((cell) => cell !== '').join(' · ')}</TableCell>
                  <TableCell sx={{ color: faults.length > 0 ? 'error.main' : undefined }}>
                    {faults.length === 0 ? 'good' : faults.map(cellFaultWords).join(' ')}
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </MuiTable>
        )}
        {rows.length > SHOWN && <Typography>{rows.length - SHOWN} more rows are not shown.</Typography>}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Take nothing</Button>
        <Button
          variant="contained"
          disabled={good.length === 0}
          onClick={() => {
            onTake(good.map((row) => ({ ...row, id: makeId() }) as unknown as Row));
            onClose();
          }}
        >
          {take} {good.length} {good.length === 1 ? 'row' : 'rows'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';

const SHORTCUTS: readonly (readonly [keys: string, what: string])[] = [
  ['?', 'this list'],
  ['Ctrl Z', 'take the last edit back'],
  ['Ctrl Shift Z', 'do it again'],
  ['Alt 1 … Alt 7', 'the seven steps of a build'],
  ['← →', 'move the chosen clamp 5 mm; with Shift 1 mm'],
  ['Delete', 'take the chosen clamp off'],
  ['Space, Enter', 'at the bench: done, next'],
  ['Backspace', 'at the bench: back'],
  ['M', 'at the bench: sound and voice off or on'],
];

/** The list of shortcuts, called by `?`. */
export function ShortcutHelp() {
  const [open, setOpen] = useState(false);
  useHotkeys('shift+slash, ?', () => setOpen(true), { useKey: true });
  return (
    <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="shortcut-title">
      <DialogTitle id="shortcut-title">Keys</DialogTitle>
      <DialogContent>
        <Table size="small">
          <TableBody>
            {SHORTCUTS.map(([keys, what]) => (
              <TableRow key={keys}>
                <TableCell component="th" scope="row" sx={{ fontWeight: 700, whiteSpace: 'nowrap' }}>
                  {keys}
                </TableCell>
                <TableCell>{what}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </DialogContent>
      <DialogActions>
        <Button onClick={() => setOpen(false)}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

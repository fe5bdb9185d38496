import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';
import { ShowRound } from '../tour/ShowRound';

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

/** The way round, terms of the trade, and keys. */
export function HelpDialog({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} aria-labelledby="help-title">
      <DialogTitle id="help-title">Help</DialogTitle>
      <DialogContent>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mb: 2 }}>
          <ShowRound onStart={onClose} />
          <Button variant="outlined" component={RouterLink} to="/glossary" onClick={onClose}>
            Terms of the trade
          </Button>
        </Box>
        <Typography variant="h3">Keys</Typography>
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
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

import { type FuseReading, troubleOptions } from '@lean-clasp/core/bench';
import { says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useFormat } from '../quantities/use-format';

/** What still helps with the minutes that are left. */
export function Trouble({
  open,
  readings,
  onClose,
  onNote,
  onAbandon,
}: {
  readonly open: boolean;
  readonly readings: readonly FuseReading[];
  readonly onClose: () => void;
  readonly onNote: () => void;
  readonly onAbandon: () => void;
}) {
  const f = useFormat();
  return (
    <Dialog open={open} onClose={onClose} aria-labelledby="trouble-title" maxWidth="md" fullWidth>
      <DialogTitle id="trouble-title" sx={{ fontSize: '1.75rem' }}>
        Something went wrong
      </DialogTitle>
      <DialogContent>
        <Box component="ul" sx={{ fontSize: '1.375rem', pl: 3, m: 0, display: 'grid', gap: 1.5 }}>
          {troubleOptions(readings).map((finding) => (
            <li key={finding.code}>{says(finding, f)}</li>
          ))}
        </Box>
      </DialogContent>
      <DialogActions sx={{ flexWrap: 'wrap', gap: 1, p: 2 }}>
        <Button
          size="large"
          variant="outlined"
          color="error"
          sx={{ minHeight: 72, fontSize: '1.125rem' }}
          onClick={() => {
            onAbandon();
            onClose();
          }}
        >
          Give this glue-up up
        </Button>
        <Button
          size="large"
          variant="contained"
          sx={{ minHeight: 72, fontSize: '1.125rem' }}
          autoFocus
          onClick={() => {
            onNote();
            onClose();
          }}
        >
          Note it and go on
        </Button>
      </DialogActions>
    </Dialog>
  );
}

import type { PlacingStage } from '@lean-clasp/core/placing';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import type { Search } from '../planner/use-search';

const STAGES: Readonly<Record<PlacingStage, string>> = {
  searching: 'Trying places',
  checking: 'Pressing the best set',
  'looking-further': 'The rack falls short: looking at what would do',
  done: 'Done',
};

/** Starts and stops a placing of clamps, and tells how far it is. */
export function PlacingBar({
  search: { step, working, failure, start, stop },
  label,
  hint,
  children,
}: {
  readonly search: Search<{ readonly stage: PlacingStage; readonly clamps: number }>;
  readonly label: string;
  /** What it will do, while it does not. */
  readonly hint: string;
  /** Further buttons beside it. */
  readonly children?: ReactNode;
}) {
  return (
    <>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button variant="contained" onClick={start} disabled={working}>
          {label}
        </Button>
        {working && <Button onClick={stop}>Stop</Button>}
        {children}
        <Typography variant="body2" color="text.secondary" sx={{ flex: 1, minWidth: 180 }}>
          {working
            ? `${STAGES[step?.stage ?? 'searching']} …${step !== null && step.clamps > 0 ? ` ${step.clamps} clamps` : ''}`
            : hint}
        </Typography>
      </Box>
      {working && <LinearProgress aria-label="Placing clamps" sx={{ mt: 1 }} />}
      {failure !== null && (
        <Alert severity="error" variant="outlined" sx={{ mt: 1 }}>
          {failure}
        </Alert>
      )}
    </>
  );
}

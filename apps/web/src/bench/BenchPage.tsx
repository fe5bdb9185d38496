import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import { useParams } from 'react-router';
import { readRun } from '@lean-clasp/core/runs';
import { Loading } from '../frame/Loading';
import { useTitle } from '../frame/Page';
import { Bench } from './Bench';
import { Clamped } from './Clamped';
import { useKit, useRun } from './use-run';

/** Bench mode: one run, full screen. */
export function BenchPage() {
  const { runId = '' } = useParams();
  const { run, failure } = useRun(runId);
  const kit = useKit(run);
  const state = run === undefined ? undefined : readRun(run).state;
  useTitle(run === undefined ? 'Bench' : `${run.buildName}, at the bench`);
  return (
    <Box component="main" sx={{ height: '100dvh', bgcolor: 'background.default', overflow: 'auto' }}>
      {failure !== null && (
        <Alert severity="error" variant="outlined">
          {failure}
        </Alert>
      )}
      {failure === null && run !== undefined && state !== 'running' && <Clamped run={run} kit={kit} />}
      {failure === null && run !== undefined && state === 'running' && kit !== null && (
        <Bench key={run.id} run={run} kit={kit} />
      )}
      {failure === null && (run === undefined || (state === 'running' && kit === null)) && (
        <Loading what="Laying out" />
      )}
    </Box>
  );
}

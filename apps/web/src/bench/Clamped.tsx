import type { RunSummary } from '@lean-clasp/core/runs';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { useAppDispatch } from '../app/store';
import { instantWords, releaseOf } from './release';
import { noteEvent } from './run-sync';
import { useNow } from '../parts/use-now';

/** So long after the last step one may still have pressed too early, ms. */
const BACK_WITHIN_MS = 3_600_000;

/** After the last step: leave it alone, and until when. */
export function Clamped({
  run,
  lastOperation,
}: {
  readonly run: RunSummary;
  /** Step to which one may go back; left out where the script is not at hand. */
  readonly lastOperation: string | undefined;
}) {
  const dispatch = useAppDispatch();
  const now = useNow(false);
  const { clampsOffMs, machineMs } = releaseOf(run);
  const abandoned = run.state === 'abandoned';
  return (
    <Box sx={{ p: 4, maxWidth: 900 }}>
      <Typography sx={{ fontSize: '1.375rem', color: 'text.secondary' }}>{run.buildName}</Typography>
      <Box component="h1" sx={{ m: 0, mb: 2, fontSize: '3.25rem', lineHeight: 1.15 }}>
        {abandoned ? 'Given up' : 'Clamped. Leave it now.'}
      </Box>
      <Box sx={{ fontSize: '1.5rem', display: 'grid', gap: 1, mb: 4 }}>
        {abandoned ? (
          <Box>
            Wipe the faces clean while the glue is wet. The log keeps what happened; pace is not learned from
            it.
          </Box>
        ) : (
          <>
            {clampsOffMs !== null && (
              <Box>
                Clamps off: <strong>{instantWords(clampsOffMs, now)}</strong>
              </Box>
            )}
            {machineMs !== null && (
              <Box>
                May meet a plane: <strong>{instantWords(machineMs, now)}</strong>
              </Box>
            )}
            <Box sx={{ fontSize: '1.25rem', color: 'text.secondary' }}>
              Scrape the squeeze-out when it is rubbery, if it is not to be planed anyway.
            </Box>
          </>
        )}
      </Box>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
        <Button
          component={Link}
          to={`/logbook/${run.id}`}
          variant="contained"
          color="secondary"
          sx={{ minHeight: 72, fontSize: '1.375rem', px: 4 }}
        >
          Write down how it came out
        </Button>
        <Button
          component={Link}
          to={`/builds/${run.buildId}/record`}
          sx={{ minHeight: 72, fontSize: '1.125rem' }}
        >
          Back to the build
        </Button>
        {lastOperation !== undefined && now - (run.clampedAtMs ?? now) < BACK_WITHIN_MS && (
          <Button
            onClick={() => dispatch(noteEvent(run.id, { kind: 'back', operation: lastOperation }))}
            sx={{ minHeight: 72, fontSize: '1.125rem' }}
          >
            {abandoned ? 'Not given up: go on' : 'Not done yet: back to the last step'}
          </Button>
        )}
      </Box>
    </Box>
  );
}

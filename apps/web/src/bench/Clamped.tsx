import type { RunDocument } from '@lean-clasp/core/formats';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { instantWords, releaseOf } from './release';
import { useNow } from '../parts/use-now';

/** After the last step: leave it alone, and until when. */
export function Clamped({ run }: { readonly run: RunDocument }) {
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
      </Box>
    </Box>
  );
}

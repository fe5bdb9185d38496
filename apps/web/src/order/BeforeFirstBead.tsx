import type { GlueStep } from '@lean-clasp/core/adhesives';
import { leadMin } from '@lean-clasp/core/choice';
import { STEP_WORDS } from '@lean-clasp/words';
import Typography from '@mui/material/Typography';
import { waitWords } from '../glue/wait-words';

/** What has to begin before the first bead, longest wait first; dates count it in. */
export function BeforeFirstBead({ steps }: { readonly steps: readonly GlueStep[] }) {
  if (steps.length === 0) return null;
  const byWait = [...steps].sort((a, b) => b.waitMin.likely - a.waitMin.likely);
  return (
    <Typography sx={{ mb: 1 }}>
      Before the first bead:{' '}
      {byWait.map(({ kind, waitMin }) => `${STEP_WORDS[kind]}, ${waitWords(waitMin)}`).join('. ')}. Begin{' '}
      {Math.round(leadMin(steps))} min ahead.
    </Typography>
  );
}

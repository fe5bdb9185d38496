import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { FallbackProps } from 'react-error-boundary';

/** What is shown instead of a screen that failed. Edits are safe: each is kept as it is made. */
export function PageFault({ error }: FallbackProps) {
  return (
    <Box sx={{ p: 4, maxWidth: 700 }}>
      <Alert severity="error" variant="outlined">
        <strong>This screen stopped working.</strong> Nothing you typed is lost: every edit was kept as it was
        made. Load the page again; if it stops at the same place, the words below say where.
        <Box component="pre" sx={{ whiteSpace: 'pre-wrap', mt: 2 }}>
          {error instanceof Error ? error.message : String(error)}
        </Box>
      </Alert>
      <Button variant="contained" sx={{ mt: 2 }} onClick={() => location.reload()}>
        Load again
      </Button>
    </Box>
  );
}

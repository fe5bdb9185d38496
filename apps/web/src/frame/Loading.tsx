import Box from '@mui/material/Box';
import CircularProgress from '@mui/material/CircularProgress';

/** Shown while a screen or its data comes. */
export function Loading({ what = 'Opening' }: { readonly what?: string }) {
  return (
    <Box role="status" sx={{ display: 'flex', alignItems: 'center', gap: 2, p: 4, color: 'text.secondary' }}>
      <CircularProgress size={20} aria-hidden />
      {what} …
    </Box>
  );
}

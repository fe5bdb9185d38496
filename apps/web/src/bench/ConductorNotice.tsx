import Box from '@mui/material/Box';
import Button from '@mui/material/Button';

/** Said on a screen that follows: another one decides for all, until this takes over. */
export function ConductorNotice({ onTakeOver }: { readonly onTakeOver: () => void }) {
  return (
    <Box
      role="note"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 2,
        px: 3,
        py: 1,
        fontSize: '1.25rem',
        borderBottom: 1,
        borderColor: 'divider',
        flexShrink: 0,
      }}
    >
      <Box sx={{ flex: 1 }}>
        Another screen conducts. Tick your own steps here; what is changed for all is decided there.
      </Box>
      <Button variant="outlined" onClick={onTakeOver} sx={{ minHeight: 72, px: 3, fontSize: '1.125rem' }}>
        Take over
      </Button>
    </Box>
  );
}

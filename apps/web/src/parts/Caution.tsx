import WarningIcon from '@mui/icons-material/WarningAmberOutlined';
import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** A danger said where the step is, in plain words. */
export function Caution({ children }: { readonly children: ReactNode }) {
  return (
    <Box
      role="note"
      sx={(theme) => ({
        display: 'flex',
        gap: 1.5,
        my: 1.5,
        p: 1.25,
        borderLeft: `4px solid ${theme.palette.tokens.glue}`,
        bgcolor: 'background.paper',
        fontSize: '0.9375rem',
      })}
    >
      <WarningIcon sx={{ color: 'warning.main', flexShrink: 0 }} />
      <Box>{children}</Box>
    </Box>
  );
}

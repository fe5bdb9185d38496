import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** Fields side by side, wrapping where there is no room. */
export function FieldRow({ children }: { readonly children: ReactNode }) {
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-start', mb: 2 }}>
      {children}
    </Box>
  );
}

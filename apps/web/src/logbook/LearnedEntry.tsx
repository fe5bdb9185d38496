import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** One thing that is known of this bench, with what can be done about it. */
export function LearnedEntry({
  name,
  actions,
  children,
}: {
  readonly name: string;
  readonly actions: ReactNode;
  readonly children: ReactNode;
}) {
  return (
    <Box component="article" aria-label={name} sx={{ borderBottom: 1, borderColor: 'divider', py: 1.5 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography sx={{ fontWeight: 700, flex: '1 1 300px' }}>{name}</Typography>
        <Box sx={{ display: 'flex', gap: 1 }}>{actions}</Box>
      </Box>
      {children}
    </Box>
  );
}

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { type ReactNode, useEffect } from 'react';

/** Sets the window's title while a screen is on show. */
export function useTitle(title: string): void {
  useEffect(() => {
    document.title = `${title} – Lean Clasp`;
  }, [title]);
}

/** A screen with a heading, a line under it and room for actions at the right. */
export function Page({
  title,
  intro,
  actions,
  children,
}: {
  readonly title: string;
  readonly intro?: ReactNode;
  readonly actions?: ReactNode;
  readonly children: ReactNode;
}) {
  useTitle(title);
  return (
    <Box sx={{ p: { xs: 2, md: 4 }, maxWidth: 1240 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'flex-start', mb: 3 }}>
        <Box sx={{ flex: '1 1 320px' }}>
          <Typography variant="h1">{title}</Typography>
          {intro !== undefined && (
            <Typography color="text.secondary" sx={{ mt: 0.5, maxWidth: 760 }}>
              {intro}
            </Typography>
          )}
        </Box>
        {actions}
      </Box>
      {children}
    </Box>
  );
}

/** A titled stretch of a screen, set off by a rule instead of a box. */
export function Section({
  title,
  children,
  aside,
}: {
  readonly title: string;
  readonly children: ReactNode;
  readonly aside?: ReactNode;
}) {
  return (
    <Box component="section" aria-label={title} sx={{ mb: 4 }}>
      <Box
        sx={{
          display: 'flex',
          alignItems: 'center',
          flexWrap: { xs: 'wrap', md: 'nowrap' },
          columnGap: 2,
          whiteSpace: 'nowrap',
          borderBottom: 1,
          borderColor: 'divider',
          mb: 1.5,
          pb: 0.75,
          minHeight: 44,
        }}
      >
        <Typography variant="h2" sx={{ flex: 1, whiteSpace: 'normal' }}>
          {title}
        </Typography>
        {aside}
      </Box>
      {children}
    </Box>
  );
}

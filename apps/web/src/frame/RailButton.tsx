import ButtonBase from '@mui/material/ButtonBase';
import type { ReactNode } from 'react';

/** How whatever stands in the rail is laid out. */
export const railItem = {
  display: 'flex',
  flexDirection: 'column',
  alignItems: 'center',
  justifyContent: 'center',
  gap: { xs: 0.25, sm: 0.5 },
  minHeight: { xs: 56, sm: 64 },
  width: '100%',
  fontSize: '0.875rem',
  fontFamily: 'inherit',
  textDecoration: 'none',
  // The bead along the edge where the rail meets the screen.
  borderStyle: 'solid',
  borderColor: 'transparent',
  borderWidth: { xs: '3px 0 0 0', sm: '0 0 0 4px' },
  pr: { sm: '4px' },
} as const;

/** Something to press at the foot of the rail. */
export function RailButton({
  label,
  onClick,
  children,
}: {
  readonly label: string;
  readonly onClick: () => void;
  readonly children: ReactNode;
}) {
  return (
    <ButtonBase aria-label={label} onClick={onClick} sx={railItem}>
      {children}
    </ButtonBase>
  );
}

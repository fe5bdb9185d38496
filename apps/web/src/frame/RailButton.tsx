import ButtonBase from '@mui/material/ButtonBase';
import type { ReactNode } from 'react';

/** How whatever stands in the rail is laid out. */
export const railItem = {
  display: 'flex',
  flexDirection: 'column',
  alignItems: 'center',
  justifyContent: 'center',
  gap: 0.5,
  minHeight: 64,
  width: '100%',
  fontSize: '0.875rem',
  fontFamily: 'inherit',
  textDecoration: 'none',
  borderLeft: '4px solid transparent',
  pr: '4px',
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

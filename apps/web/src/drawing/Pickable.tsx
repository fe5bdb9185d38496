import { useTheme } from '@mui/material/styles';
import type { KeyboardEvent, ReactNode, SVGProps } from 'react';
import { isSelected, type Selection, useSelection } from './selection';

/** A part of the drawing that can be reached, read out and selected by keyboard, mouse and finger. */
export function Pickable({
  what,
  label,
  children,
  tabStop = true,
  onKeyDown,
  ...rest
}: {
  readonly what: Selection;
  readonly label: string;
  readonly children: ReactNode;
  /** False where arrow keys lead to it from its neighbours instead of the tab key. */
  readonly tabStop?: boolean;
} & Omit<SVGProps<SVGGElement>, 'onClick'>) {
  const { selected, select } = useSelection();
  const { tokens } = useTheme().palette;
  const chosen = isSelected(selected, what.kind, what.id);
  const toggle = () => select(chosen ? null : what);
  return (
    <g
      {...rest}
      role="button"
      tabIndex={tabStop ? 0 : -1}
      aria-pressed={chosen}
      aria-label={label}
      data-part={`${what.kind}-${what.id}`}
      className="pickable"
      style={{ cursor: 'pointer', outlineColor: tokens.glue, ...rest.style }}
      onClick={toggle}
      onKeyDown={(event: KeyboardEvent<SVGGElement>) => {
        if (event.key === 'Enter' || event.key === ' ') {
          event.preventDefault();
          toggle();
        }
        onKeyDown?.(event);
      }}
    >
      {children}
    </g>
  );
}

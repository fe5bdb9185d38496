import { LIMITS } from '@lean-clasp/core/basics';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { SheetRow } from '../parts/Sheet';
import { NumberField } from '../quantities/fields';

/** Fields of one lot of equals in a sheet, and the way to be rid of it. */
export function LotGroup({
  name,
  remove,
  onRemove,
  actions,
  after,
  children,
}: {
  /** What is read out for the lot. */
  readonly name: string;
  /** What the button to remove it is called. */
  readonly remove: string;
  readonly onRemove: () => void;
  /** What else can be done to it. */
  readonly actions?: ReactNode;
  readonly after?: ReactNode;
  readonly children: ReactNode;
}) {
  return (
    <Box sx={{ borderBottom: 1, borderColor: 'divider', mb: 1 }} role="group" aria-label={name}>
      <SheetRow
        actions={
          <>
            {actions}
            <Button color="error" aria-label={remove} onClick={onRemove}>
              Remove
            </Button>
          </>
        }
      >
        {children}
      </SheetRow>
      {after}
    </Box>
  );
}

/** How many there are in a lot. */
export function LotCount({
  label = 'How many',
  count,
  width = 110,
  onChange,
}: {
  readonly label?: string;
  readonly count: number;
  readonly width?: number;
  readonly onChange: (count: number) => void;
}) {
  return (
    <NumberField
      label={label}
      whole
      value={count}
      bounds={LIMITS.clampCount}
      onChange={(next) => next !== null && onChange(next)}
      width={width}
    />
  );
}

import type { Bounds } from '@lean-clasp/core/basics';
import TextField from '@mui/material/TextField';
import { useAppSelector } from '../app/store';
import { useDraft } from './use-draft';
import { formatFor } from '@lean-clasp/words';

import { type List, type ListQuantity, type ListShape, type ListStyle, printList, readList } from './list';

/** Several numbers in one field, in the person's unit, one row of readings to a line. */
export function ListField({
  label,
  value,
  shape,
  quantity,
  unit = '',
  bounds,
  most,
  hint,
  width = 372,
  onChange,
}: {
  readonly label: string;
  readonly value: unknown;
  readonly shape: ListShape;
  readonly quantity: ListQuantity;
  /** Unit of plain numbers. */
  readonly unit?: string;
  /** What each number must lie between. */
  readonly bounds?: Bounds;
  /** Most numbers. */
  readonly most?: number;
  readonly hint?: string;
  readonly width?: number;
  readonly onChange: (value: List) => void;
}) {
  const system = useAppSelector((state) => state.preferences.units);
  const style = { shape, quantity, system };
  const printed = printList(value, style);
  // Another unit prints otherwise, and so replaces what was typed too.
  const { text, type, leave } = useDraft(printed);
  const problem = complaint(readList(text, style), { ...style, bounds, most });
  const shownUnit = quantity === 'plain' ? unit : system === 'metric' ? 'mm' : 'in';
  return (
    <TextField
      label={`${label} (${shownUnit})`}
      value={text}
      error={problem !== null}
      helperText={problem === null ? hint : `${problem} The last good list is kept.`}
      onChange={(event) => {
        const list = readList(event.target.value, style);
        const good = list !== null && complaint(list, { ...style, bounds, most }) === null;
        type(event.target.value, good ? printList(list, style) : printed);
        if (good) onChange(list);
      }}
      onBlur={() => {
        if (problem === null) leave();
      }}
      multiline={shape.kind === 'rows'}
      minRows={shape.kind === 'rows' ? 4 : undefined}
      size="small"
      sx={{ width }}
      slotProps={{ inputLabel: { shrink: true }, htmlInput: { spellCheck: false, autoComplete: 'off' } }}
    />
  );
}

/** What is wrong with a list, or null. */
function complaint(
  list: List | null,
  {
    shape,
    quantity,
    system,
    bounds,
    most,
  }: ListStyle & { bounds: Bounds | undefined; most: number | undefined },
): string | null {
  if (list === null) {
    return shape.kind === 'numbers'
      ? 'Not readable. Type it like 12, 9.5, 12.'
      : `Not readable. Type ${shape.keys.length} numbers to a line, such as 0, 600, 0.3.`;
  }
  if (most !== undefined && list.length > most) return `At most ${most} numbers.`;
  if (bounds === undefined || list.every((each) => typeof each !== 'number' || inside(each, bounds)))
    return null;
  const print = quantity === 'length' ? formatFor(system).fine : String;
  return `Each must lie between ${print(bounds.min)} and ${print(bounds.max)}.`;
}

const inside = (value: number, { min, max }: Bounds) => value >= min && value <= max;

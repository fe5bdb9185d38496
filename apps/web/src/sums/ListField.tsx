import TextField from '@mui/material/TextField';
import { useState } from 'react';

/** What a list is made of: numbers, or rows of named numbers. */
export type ListShape =
  { readonly kind: 'numbers' } | { readonly kind: 'rows'; readonly keys: readonly string[] };

type Row = Readonly<Record<string, number>>;

function print(value: unknown, shape: ListShape): string {
  if (!Array.isArray(value)) return '';
  return shape.kind === 'numbers'
    ? value.join(', ')
    : (value as Row[]).map((row) => shape.keys.map((key) => row[key]).join(', ')).join('\n');
}

const NUMBER = /^[-−+]?\d+(?:\.\d+)?$/;

function readNumbers(text: string): number[] | null {
  const parts = text.split(/[,;\s]+/).filter((part) => part !== '');
  return parts.every((part) => NUMBER.test(part))
    ? parts.map((part) => Number(part.replace('−', '-')))
    : null;
}

/** The list that a text stands for; null when it cannot be read. */
export function readList(text: string, shape: ListShape): readonly (number | Row)[] | null {
  if (shape.kind === 'numbers') return readNumbers(text);
  const rows = text
    .split('\n')
    .filter((line) => line.trim() !== '')
    .map(readNumbers);
  const whole = rows.every((row) => row?.length === shape.keys.length);
  return whole
    ? rows.map((row) => Object.fromEntries(shape.keys.map((key, i) => [key, row?.[i] ?? 0])))
    : null;
}

/** Several numbers in one field, in core units, one row of readings to a line. */
export function ListField({
  label,
  value,
  shape,
  unit,
  onChange,
}: {
  readonly label: string;
  readonly value: unknown;
  readonly shape: ListShape;
  readonly unit: string;
  readonly onChange: (value: readonly (number | Row)[]) => void;
}) {
  const [text, setText] = useState(() => print(value, shape));
  const unreadable = readList(text, shape) === null;
  const form =
    shape.kind === 'numbers' ? '12, 9.5, 12' : `${shape.keys.length} numbers to a line, such as 0, 600, 0.3`;
  return (
    <TextField
      label={`${label} (${unit})`}
      value={text}
      error={unreadable}
      helperText={unreadable ? `Not readable. Type it like ${form}. The last good list is kept.` : undefined}
      onChange={(event) => {
        setText(event.target.value);
        const list = readList(event.target.value, shape);
        if (list !== null) onChange(list);
      }}
      multiline={shape.kind === 'rows'}
      minRows={shape.kind === 'rows' ? 4 : undefined}
      size="small"
      sx={{ width: 372 }}
      slotProps={{ inputLabel: { shrink: true }, htmlInput: { spellCheck: false, autoComplete: 'off' } }}
    />
  );
}

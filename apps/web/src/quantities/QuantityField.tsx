import { type Bounds, type ParsedQuantity } from '@lean-clasp/core';
import TextField from '@mui/material/TextField';
import { useState } from 'react';

interface Draft {
  readonly text: string;
  /** Value that the text was typed over; another value means somebody else changed it. */
  readonly over: number | null;
}

/** A field for one quantity. Keeps what was typed until it can be read, and says why it cannot. */
export function QuantityField({
  label,
  value,
  bounds,
  print,
  read,
  onChange,
  optional = false,
  hint,
  width,
}: {
  readonly label: string;
  readonly value: number | null;
  readonly bounds: Bounds;
  readonly print: (value: number) => string;
  readonly read: (text: string) => ParsedQuantity;
  readonly onChange: (value: number | null) => void;
  /** Whether the field may be left empty. */
  readonly optional?: boolean;
  readonly hint?: string | undefined;
  readonly width?: number | string;
}) {
  const [draft, setDraft] = useState<Draft | null>(null);
  const shown = draft ?? { text: value === null ? '' : print(value), over: value };
  const problem = draft === null ? null : complaint(draft.text, { bounds, print, read, optional });

  const type = (text: string) => {
    const empty = text.trim() === '' && optional;
    const parsed = read(text);
    const inRange = parsed.ok && parsed.value >= bounds.min && parsed.value <= bounds.max;
    const next = empty ? null : inRange ? parsed.value : value;
    setDraft({ text, over: next });
    if (next !== value) onChange(next);
  };

  // A value changed from outside (undo, a fix) replaces what was typed.
  if (draft !== null && draft.over !== value) setDraft(null);

  return (
    <TextField
      label={label}
      value={shown.text}
      size="small"
      error={problem !== null}
      helperText={problem ?? hint ?? undefined}
      onChange={(event) => type(event.target.value)}
      onBlur={() => {
        if (problem === null) setDraft(null);
      }}
      sx={{ width: width ?? 150 }}
      slotProps={{ htmlInput: { autoComplete: 'off', spellCheck: false }, inputLabel: { shrink: true } }}
    />
  );
}

function complaint(
  text: string,
  {
    bounds,
    print,
    read,
    optional,
  }: {
    readonly bounds: Bounds;
    readonly print: (value: number) => string;
    readonly read: (text: string) => ParsedQuantity;
    readonly optional: boolean;
  },
): string | null {
  if (text.trim() === '')
    return optional ? null : `Needs a value from ${print(bounds.min)} to ${print(bounds.max)}.`;
  const parsed = read(text);
  if (!parsed.ok) return `Not readable. Type it like ${parsed.examples}.`;
  if (parsed.value < bounds.min || parsed.value > bounds.max) {
    return `Must be from ${print(bounds.min)} to ${print(bounds.max)}. The last good value is kept.`;
  }
  return null;
}

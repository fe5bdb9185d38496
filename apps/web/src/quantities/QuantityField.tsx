import type { Bounds } from '@lean-clasp/core/basics';
import type { ParsedQuantity } from '@lean-clasp/core/units';
import TextField from '@mui/material/TextField';
import { memo, useState } from 'react';
import { useLabelled } from '../parts/bare';
import { useSteady } from '../parts/use-steady';

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
    <Entry
      label={label}
      text={shown.text}
      wrong={problem !== null}
      help={problem ?? hint}
      width={width ?? 150}
      onType={useSteady(type)}
      onLeave={useSteady(() => {
        if (problem === null) setDraft(null);
      })}
    />
  );
}

/** The field on the screen; drawn again only when what it shows has changed. */
const Entry = memo(function Entry({
  label,
  text,
  wrong,
  help,
  width,
  onType,
  onLeave,
}: {
  readonly label: string;
  readonly text: string;
  readonly wrong: boolean;
  readonly help: string | undefined;
  readonly width: number | string;
  readonly onType: (text: string) => void;
  readonly onLeave: () => void;
}) {
  const named = useLabelled(label);
  // Under a head there is room for what is wrong; what is usual stands in the empty field.
  const hint = named.bare && !wrong ? ((help ?? '').replace(/^empty: /, '').split(',')[0] ?? '') : '';
  return (
    <TextField
      label={named.label}
      value={text}
      size="small"
      error={wrong}
      helperText={named.bare && !wrong ? undefined : help}
      placeholder={hint}
      title={hint === '' ? undefined : hint}
      onChange={(event) => onType(event.target.value)}
      onBlur={onLeave}
      sx={{ width: named.bare ? '100%' : width }}
      slotProps={{
        htmlInput: { autoComplete: 'off', spellCheck: false, ...named.aria },
        inputLabel: { shrink: true },
      }}
    />
  );
});

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

import TextField from '@mui/material/TextField';
import { useState } from 'react';

/** A structured value as the text that scripts use; what cannot be read stays in the field with a sentence. */
export function JsonField({
  label,
  value,
  optional,
  onChange,
}: {
  readonly label: string;
  readonly value: unknown;
  readonly optional: boolean;
  readonly onChange: (value: unknown) => void;
}) {
  const printed = value === undefined ? '' : JSON.stringify(value, null, 1);
  const [draft, setDraft] = useState<string | null>(null);
  const text = draft ?? printed;
  const read = readJson(text, optional);
  return (
    <TextField
      label={`${label} (as data)`}
      value={text}
      error={read === null}
      helperText={
        read === null
          ? 'This is not complete yet: braces, brackets and quotes must come in pairs. The last good value is kept.'
          : undefined
      }
      onChange={(event) => {
        setDraft(event.target.value);
        const next = readJson(event.target.value, optional);
        if (next !== null) onChange(next.value);
      }}
      onBlur={() => {
        if (read !== null) setDraft(null);
      }}
      multiline
      minRows={2}
      maxRows={8}
      sx={{ width: 372 }}
      slotProps={{
        inputLabel: { shrink: true },
        htmlInput: { spellCheck: false, style: { fontFamily: 'var(--figure-face, monospace)' } },
      }}
    />
  );
}

function readJson(text: string, optional: boolean): { readonly value: unknown } | null {
  if (text.trim() === '' && optional) return { value: undefined };
  try {
    return { value: JSON.parse(text) as unknown };
  } catch {
    return null;
  }
}

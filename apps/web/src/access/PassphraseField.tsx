import VisibilityIcon from '@mui/icons-material/VisibilityOutlined';
import VisibilityOffIcon from '@mui/icons-material/VisibilityOffOutlined';
import IconButton from '@mui/material/IconButton';
import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import { useState } from 'react';

const MOST_CHARACTERS = 200;

/** A passphrase, hidden unless somebody wants to see what they type. */
export function PassphraseField({
  label = 'Passphrase',
  value,
  problem,
  complete,
  hint,
  onChange,
}: {
  readonly label?: string;
  readonly value: string;
  readonly problem: string | null;
  /** What a browser's own keeper of passwords is told. */
  readonly complete: 'current-password' | 'new-password';
  readonly hint?: string;
  readonly onChange: (text: string) => void;
}) {
  const [shown, setShown] = useState(false);
  return (
    <TextField
      label={label}
      type={shown ? 'text' : 'password'}
      value={value}
      error={problem !== null}
      helperText={problem ?? hint}
      onChange={(event) => onChange(event.target.value.slice(0, MOST_CHARACTERS))}
      sx={{ width: 380, maxWidth: '100%' }}
      slotProps={{
        inputLabel: { shrink: true },
        htmlInput: { autoComplete: complete, spellCheck: false, autoCapitalize: 'none' },
        input: {
          endAdornment: (
            <InputAdornment position="end">
              <IconButton
                aria-label={shown ? `Hide the ${label.toLowerCase()}` : `Show the ${label.toLowerCase()}`}
                onClick={() => setShown(!shown)}
                edge="end"
              >
                {shown ? <VisibilityOffIcon /> : <VisibilityIcon />}
              </IconButton>
            </InputAdornment>
          ),
        },
      }}
    />
  );
}

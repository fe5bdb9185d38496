import TextField from '@mui/material/TextField';
import { useLabelled } from './bare';

const MOST_CHARACTERS = 60;

/** What somebody calls a thing; never empty. */
export function NameField({
  value,
  width,
  onChange,
}: {
  readonly value: string;
  readonly width: number;
  readonly onChange: (name: string) => void;
}) {
  const named = useLabelled('Name');
  return (
    <TextField
      label={named.label}
      size="small"
      value={value}
      onChange={(event) =>
        event.target.value !== '' && onChange(event.target.value.slice(0, MOST_CHARACTERS))
      }
      sx={{ width: named.bare ? '100%' : width }}
      slotProps={{ inputLabel: { shrink: true }, htmlInput: named.aria }}
    />
  );
}

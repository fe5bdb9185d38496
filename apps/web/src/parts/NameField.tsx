import TextField from '@mui/material/TextField';

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
  return (
    <TextField
      label="Name"
      size="small"
      value={value}
      onChange={(event) =>
        event.target.value !== '' && onChange(event.target.value.slice(0, MOST_CHARACTERS))
      }
      sx={{ width }}
      slotProps={{ inputLabel: { shrink: true } }}
    />
  );
}

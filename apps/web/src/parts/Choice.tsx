import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';

/** One of a few words from a list. */
export function Choice<V extends string>({
  label,
  value,
  options,
  onChange,
  width = 200,
}: {
  readonly label: string;
  readonly value: V;
  readonly options: readonly { readonly value: V; readonly name: string }[];
  readonly onChange: (value: V) => void;
  readonly width?: number | string;
}) {
  return (
    <TextField
      select
      size="small"
      label={label}
      value={value}
      onChange={(event) => onChange(event.target.value as V)}
      sx={{ width }}
      slotProps={{ inputLabel: { shrink: true }, select: { 'aria-label': label } as object }}
    >
      {options.map((option) => (
        <MenuItem key={option.value} value={option.value}>
          {option.name}
        </MenuItem>
      ))}
    </TextField>
  );
}

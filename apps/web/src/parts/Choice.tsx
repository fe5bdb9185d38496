import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { memo } from 'react';
import { useLabelled } from './bare';
import { useSteady } from './use-steady';

interface ChoiceProps<V extends string> {
  readonly label: string;
  readonly value: V;
  readonly options: readonly { readonly value: V; readonly name: string }[];
  readonly onChange: (value: V) => void;
  readonly width?: number | string;
}

/** One of a few words from a list. */
export function Choice<V extends string>({ label, value, options, onChange, width = 200 }: ChoiceProps<V>) {
  const pick = useSteady((picked: string) => {
    const option = options.find((each) => each.value === picked);
    if (option !== undefined) onChange(option.value);
  });
  return <Picker label={label} value={value} options={options} onChange={pick} width={width} />;
}

/** The list on the screen; drawn again only when what it shows has changed. */
const Picker = memo(function Picker({ label, value, options, onChange, width }: ChoiceProps<string>) {
  const named = useLabelled(label);
  return (
    <TextField
      select
      size="small"
      label={named.label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      sx={{ width: named.bare ? '100%' : width }}
      slotProps={{ inputLabel: { shrink: true }, select: { 'aria-label': label } as object }}
    >
      {options.map((option) => (
        <MenuItem key={option.value} value={option.value}>
          {option.name}
        </MenuItem>
      ))}
    </TextField>
  );
});

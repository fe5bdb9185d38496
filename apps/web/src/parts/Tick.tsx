import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { memo } from 'react';
import { useLabelled } from './bare';
import { useSteady } from './use-steady';

interface TickProps {
  readonly label: string;
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
}

/** Yes or no, with the whole line as its target. */
export function Tick({ label, checked, onChange }: TickProps) {
  return <TickBox label={label} checked={checked} onChange={useSteady(onChange)} />;
}

/** The box on the screen; drawn again only when what it shows has changed. */
const TickBox = memo(function TickBox({ label, checked, onChange }: TickProps) {
  const named = useLabelled(label);
  if (named.bare) {
    return (
      <Checkbox
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
        slotProps={{ input: named.aria }}
        sx={{ justifySelf: 'start' }}
      />
    );
  }
  return (
    <FormControlLabel
      sx={{ minHeight: 44, mr: 2 }}
      control={<Checkbox checked={checked} onChange={(event) => onChange(event.target.checked)} />}
      label={label}
    />
  );
});

import { formatClock } from '@lean-clasp/core/units';
import Alert from '@mui/material/Alert';
import type { ClockChange } from './use-clock-watch';

const MS_PER_MIN = 60_000;

/** Says that the clock of this device was set, or that it slept, and what that does to the fuses. */
export function ClockNotice({ change }: { readonly change: ClockChange | null }) {
  if (change === null) return null;
  const by = formatClock(Math.abs(change.byMs) / MS_PER_MIN);
  const way = change.byMs > 0 ? 'forward' : 'back';
  return (
    <Alert severity="warning" variant="outlined" role="status" sx={{ fontSize: '1.125rem' }}>
      {change.how === 'slept'
        ? `This device slept for ${by}. The fuses burned on meanwhile, as glue does.`
        : `The clock of this device was set ${way} by ${by}. Fuses go on as before: they do not go by it. The log keeps it.`}
    </Alert>
  );
}

import type { Outlook, Way } from '@lean-clasp/core/bench';
import { formatClock } from '@lean-clasp/core/units';
import { says } from '@lean-clasp/words';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useFormat } from '../quantities/use-format';

/** How the worst fuse comes out. */
export function outlookWords({ spareMin, joint }: Outlook): string {
  if (spareMin === null) return 'no fuse burns any more';
  return spareMin >= 0
    ? `${formatClock(spareMin)} to spare${joint === null || joint === '' ? '' : ` on ${joint}`}`
    : `${joint ?? ''} ${formatClock(-spareMin)} too late`;
}

/** Said when going on as planned would miss a window: what to do instead, and how it comes out. */
export function WhatNow({
  way,
  onTake,
}: {
  readonly way: Way;
  /** Null where another screen decides. */
  readonly onTake: (() => void) | null;
}) {
  const f = useFormat();
  return (
    <Alert
      severity={way.keeps ? 'warning' : 'error'}
      variant="outlined"
      sx={{ mx: 3, mt: 2, fontSize: '1.375rem', alignItems: 'center', flexShrink: 0 }}
      action={
        onTake !== null &&
        way.events.length > 0 && (
          <Button
            color="inherit"
            variant="outlined"
            onClick={onTake}
            sx={{ minHeight: 72, fontSize: '1.25rem', px: 3 }}
          >
            Do that
          </Button>
        )
      }
    >
      <strong>{says(way.what, f)}</strong> {outlookWords(way.outlook)}
    </Alert>
  );
}

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { mayNotify } from './use-release-notices';

/** Ways to be told when clamps may come off: on this device, and in a calendar. */
export function TellMe({ runId, button }: { readonly runId: string; readonly button: object }) {
  const [allowed, setAllowed] = useState(mayNotify());
  return (
    <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
      {allowed === 'default' && (
        <Button onClick={() => void Notification.requestPermission().then(setAllowed)} sx={button}>
          Tell me on this device
        </Button>
      )}
      <Button component="a" href={`/api/runs/${runId}/calendar.ics`} download="clamps-off.ics" sx={button}>
        Into my calendar
      </Button>
      {allowed === 'granted' && (
        <Box sx={{ fontSize: '1.125rem' }}>
          This device tells when clamps may come off, while a page is open.
        </Box>
      )}
      {allowed === 'denied' && (
        <Box sx={{ fontSize: '1.125rem' }}>This browser is set not to tell; the calendar does.</Box>
      )}
    </Box>
  );
}

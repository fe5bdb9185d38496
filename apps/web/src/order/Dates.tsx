import { readWallTime } from '@lean-clasp/core/calendar';
import { datesOf, type DatedSessionOfBuild, type Plan } from '@lean-clasp/core/plan';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useMemo, useState } from 'react';
import { Section } from '../frame/Page';
import { saveCalendar } from './save-calendar';
import { dayAndTime, timeOf } from './wall-words';

/** When each session could start, when its clamps come off, and what must start by when to cure overnight. */
export function Dates({ plan }: { readonly plan: Plan }) {
  const [from, setFrom] = useState(() => dayjs().format('YYYY-MM-DDTHH:mm'));
  const dates = useMemo(() => {
    try {
      return datesOf(plan, readWallTime(from, 'from'));
    } catch {
      // A date half typed: the field says so.
      return null;
    }
  }, [plan, from]);
  if ('order' in plan && plan.order?.impossible) return null;
  return (
    <Section title="Dates">
      <TextField
        label="From"
        type="datetime-local"
        size="small"
        value={from}
        error={dates === null}
        helperText={dates === null ? 'A day and a time, such as 25 November 2026, 08:30.' : undefined}
        onChange={(event) => setFrom(event.target.value)}
        slotProps={{ inputLabel: { shrink: true } }}
        sx={{ mb: 1 }}
      />
      {dates !== null && dates.noPlace.length > 0 && (
        <Typography color="error">
          No day has enough hours, hands, benches or clamps for one of the sessions. Shorter sessions or the
          rack in Shop would change that.
        </Typography>
      )}
      {dates !== null && dates.sessions.length > 0 && (
        <>
          <Table size="small" aria-label="Dates of the sessions">
            <TableHead>
              <TableRow>
                <TableCell>session</TableCell>
                <TableCell>start</TableCell>
                <TableCell>clamps off</TableCell>
                <TableCell>to the plane</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {dates.sessions.map((dated) => (
                <TableRow key={dated.session}>
                  <TableCell>{dated.session + 1}</TableCell>
                  <TableCell>{dayAndTime(dated.start)}</TableCell>
                  <TableCell>{dayAndTime(dated.clampsOff)}</TableCell>
                  <TableCell>{dated.machineAt === null ? '' : dayAndTime(dated.machineAt)}</TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
          <LastOfDay dated={dates.sessions.at(-1)} />
          <Button
            variant="outlined"
            sx={{ mt: 1 }}
            onClick={() => void saveCalendar(plan.build.name, dates.sessions)}
          >
            Save as calendar file (.ics)
          </Button>
        </>
      )}
    </Section>
  );
}

/** The latest start that still leaves time for all hands-on work, so that the clamps stay on overnight. */
function LastOfDay({ dated }: { readonly dated: DatedSessionOfBuild | undefined }) {
  if (dated?.latestThatDay == null) return null;
  return (
    <Typography variant="body2" sx={{ mt: 1 }}>
      Started by {timeOf(dated.latestThatDay)} that day, session {dated.session + 1} still has its clamps on
      before the shop closes and cures overnight.
    </Typography>
  );
}

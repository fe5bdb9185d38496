import { type Drill, debrief, type Handled, type Outcome } from '@lean-clasp/core/bench';
import { formatClock } from '@lean-clasp/core/units';
import { MISHAP_WORDS, says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useMemo } from 'react';
import { outlookWords } from '../../../../bench/WhatNow';
import { useFormat } from '../../../../quantities/use-format';
import { StateMark } from '../../../../verdicts/state-mark';

const big = { minHeight: 72, fontSize: '1.25rem', px: 3 } as const;

/** What it came to: each answer with what it cost, and what would have been best. */
export function DebriefView({
  drill,
  onAgain,
  onAnother,
  onLeave,
}: {
  readonly drill: Drill;
  readonly onAgain: () => void;
  readonly onAnother: () => void;
  readonly onLeave: () => void;
}) {
  const { handled, own, best, plannedMin, leftOut, tookMin } = useMemo(() => debrief(drill), [drill]);
  const kept = (own.spareMin ?? 0) >= 0;
  return (
    <Box sx={{ p: 4, maxWidth: 1100 }}>
      <Box component="h1" sx={{ m: 0, mb: 2, fontSize: '2.75rem', lineHeight: 1.15 }}>
        <StateMark state={kept ? 'holds' : 'fails'} /> {kept ? 'Closed in time' : 'Not in time'}:{' '}
        {outcomeWords(own)}
      </Box>
      <Box component="ul" sx={{ fontSize: '1.25rem', pl: 3, mb: 3 }}>
        <li>Took {formatClock(tookMin)}.</li>
        {leftOut.length > 0 && <li>Left for another session: {leftOut.join(', ')}.</li>}
        <li>Every mishap answered at once by what was best then: {outcomeWords(best)}.</li>
        {plannedMin !== null && <li>By the plan, without mishaps: {spareWords(plannedMin)}.</li>}
      </Box>
      <Table aria-label="Mishaps and answers" sx={{ mb: 3, '& td, & th': { fontSize: '1.0625rem' } }}>
        <TableHead>
          <TableRow>
            <TableCell>at</TableCell>
            <TableCell>what</TableCell>
            <TableCell>you</TableCell>
            <TableCell align="right">thought</TableCell>
            <TableCell>best would have been</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {handled.map((each) => (
            <HandledRow key={each.operation} handled={each} />
          ))}
        </TableBody>
      </Table>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
        <Button variant="contained" color="secondary" onClick={onAgain} sx={big}>
          The same again
        </Button>
        <Button variant="outlined" onClick={onAnother} sx={big}>
          Another
        </Button>
        <Button onClick={onLeave} sx={big}>
          Back to Rehearse
        </Button>
      </Box>
    </Box>
  );
}

function HandledRow({ handled }: { readonly handled: Handled }) {
  const { mishap, sinceMin, thoughtMin, chosen, best } = handled;
  const f = useFormat();
  const same = chosen.answer === best.answer;
  return (
    <TableRow>
      <TableCell>{formatClock(sinceMin)}</TableCell>
      <TableCell component="th" scope="row">
        {MISHAP_WORDS[mishap]}
      </TableCell>
      <TableCell>
        {says(chosen.what, f)} <Box sx={{ color: 'text.secondary' }}>{outlookWords(chosen.outlook)}</Box>
      </TableCell>
      <TableCell align="right">{formatClock(thoughtMin)}</TableCell>
      <TableCell>
        {same ? 'that, at once' : says(best.what, f)}{' '}
        <Box sx={{ color: 'text.secondary' }}>{outlookWords(best.outlook)}</Box>
      </TableCell>
    </TableRow>
  );
}

const spareWords = (min: number): string =>
  min >= 0 ? `${formatClock(min)} to spare` : `${formatClock(-min)} too late`;

const outcomeWords = ({ spareMin, joint }: Outcome): string =>
  spareMin === null ? 'no window to miss' : `${spareWords(spareMin)}${joint === null ? '' : ` on ${joint}`}`;

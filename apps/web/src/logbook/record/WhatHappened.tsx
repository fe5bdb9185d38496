import { MISHAPS } from '@lean-clasp/core/bench';
import type { CheckCode } from '@lean-clasp/core/findings';
import type { RunDocument, RunEvent } from '@lean-clasp/core/formats';
import { inOrder } from '@lean-clasp/core/runs';
import { formatClock } from '@lean-clasp/core/units';
import { checkName, MISHAP_WORDS } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { FIGURE_FACE } from '../../app/theme';
import type { BenchKit } from '../../bench/bench-kit';

const MS_PER_MIN = 60_000;

/** What did not go by the plan, and when: minutes from the first bead. */
export function WhatHappened({ run, kit }: { readonly run: RunDocument; readonly kit: BenchKit | null }) {
  const labels = new Map(kit?.script.fuses.map(({ joint, label }) => [joint, label]));
  const lines = inOrder(run.events).flatMap((event) => {
    const { kind, payload = {}, joint = '' } = event;
    const words = TELLINGS[kind]?.(payload, labels.get(joint) ?? 'a joint') ?? null;
    return words === null ? [] : [{ ...event, words }];
  });
  if (lines.length === 0) return <Typography>Nothing out of the ordinary was noted.</Typography>;
  return (
    <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {lines.map(({ id, atMs, words }) => (
        <Box component="li" key={id} sx={{ display: 'flex', gap: 2, py: 0.5 }}>
          <Box sx={{ width: 72, textAlign: 'right', fontFamily: FIGURE_FACE }}>
            {formatClock((atMs - run.startedAtMs) / MS_PER_MIN)}
          </Box>
          <Box>{words}</Box>
        </Box>
      ))}
    </Box>
  );
}

/** What happened, in words; a reading that was as wanted says so. */
export const markWords = ({ kind, payload = {} }: Pick<RunEvent, 'kind' | 'payload'>): string =>
  TELLINGS[kind]?.(payload, 'a joint') ??
  (payload.reading === undefined
    ? 'Another order was taken'
    : `${checkName(payload.reading.check as CheckCode)}: as wanted`);

type Telling = (payload: NonNullable<RunEvent['payload']>, joint: string) => string | null;

/** Events that are worth telling; the many that went by the plan are not here. */
const TELLINGS: Readonly<Partial<Record<RunEvent['kind'], Telling>>> = {
  mishap: ({ mishap }) => {
    const what = MISHAPS.find((each) => each === mishap?.what);
    return what === undefined ? 'Something went wrong' : MISHAP_WORDS[what];
  },
  'fresh-bead': (_, joint) => `${joint}: pulled apart, a fresh bead`,
  'left-out': (_, joint) => `${joint}: left for another session`,
  'helper-in': () => 'One more pair of hands',
  'helper-out': () => 'A helper went',
  'wait-over': () => 'A wait was cut short',
  'taken-over': () => 'Another device took over',
  'clock-set': () => 'The clock of a device was set',
  abandon: () => 'Given up',
  reading: ({ reading }) =>
    reading === undefined || reading.accepted
      ? null
      : `${checkName(reading.check as CheckCode)}: not as wanted`,
};

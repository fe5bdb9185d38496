import { type Judged, judgeReading, type Subject } from '@lean-clasp/core/bench';
import type { CheckCode } from '@lean-clasp/core/findings';
import type { RunDocument } from '@lean-clasp/core/formats';
import { says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import { useFormat } from '../quantities/use-format';
import { StateMark } from '../verdicts/state-mark';
import type { BenchKit } from './bench-kit';
import { type Reading, ReadingPad } from './ReadingPad';
import type { Noted } from './run-sync';

/** Readings of the one operation that is on show, as they were taken; the last is judged last. */
const takenAt = (events: RunDocument['events'], operation: string): Reading[] =>
  events.flatMap((event) =>
    event.kind === 'reading' && event.operation === operation && event.payload?.reading !== undefined
      ? [event.payload.reading]
      : [],
  );

/** What a check asks for, a big pad to answer, and what to do about it; read again until it will do. */
export function Readings({
  run,
  kit,
  check,
  operation,
  onNote,
}: {
  readonly run: RunDocument;
  readonly kit: BenchKit;
  readonly check: CheckCode;
  readonly operation: string;
  readonly onNote: (what: Noted) => void;
}) {
  const subject = subjectOf(kit, operation);
  const taken = takenAt(run.events, operation);
  const last = taken.at(-1);
  const judged = last === undefined ? null : judgeReading(check, last.values, subject);
  return (
    <ReadingPad
      check={check}
      subject={subject}
      told={judged !== null && <Verdict judged={judged} times={taken.length} />}
      onTell={(reading) => onNote({ kind: 'reading', operation, payload: { reading } })}
    />
  );
}

/** What is being read at an operation, and what it is held to. */
export function subjectOf({ script, readings }: BenchKit, operation: string): Subject {
  const { template = '', flatMm = 0, squareMm = 0 } = readings ?? {};
  const own = script.operations.find(({ id }) => id === operation)?.joints ?? [];
  const joints = script.fuses.filter(({ joint }) => own.includes(joint)).map(({ label }) => label);
  return { template, joints: [...new Set(joints)], within: { flatMm, squareMm } };
}

/** What the last reading came to. */
function Verdict({ judged, times }: { readonly judged: Judged; readonly times: number }) {
  const f = useFormat();
  return (
    <Box
      role="status"
      sx={(theme) => ({
        borderLeft: 6,
        pl: 2,
        fontSize: '1.5rem',
        borderColor: judged.accepted ? theme.palette.tokens.holds : theme.palette.tokens.fails,
      })}
    >
      {judged.says.map((each) => (
        <Box key={each.code + JSON.stringify(each.values)}>
          <StateMark state={judged.accepted ? 'holds' : 'fails'} /> {says(each, f)}
        </Box>
      ))}
      <Box sx={{ fontSize: '1.0625rem', color: 'text.secondary' }}>
        {times === 1 ? 'first reading' : `reading ${times}`}
      </Box>
    </Box>
  );
}

import { type Judged, judgeReading, offBy, type Subject } from '@lean-clasp/core/bench';
import type { CheckCode } from '@lean-clasp/core/findings';
import type { RunDocument } from '@lean-clasp/core/formats';
import { correctionFigure } from '@lean-clasp/core/drawing';
import { says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { type ReactNode, useState } from 'react';
import { FigureView } from '../drawing/FigureView';
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
  grabbed,
  onNote,
}: {
  readonly run: RunDocument;
  readonly kit: BenchKit;
  readonly check: CheckCode;
  readonly operation: string;
  /** Time is up: what has grabbed is not moved any more. */
  readonly grabbed: boolean;
  readonly onNote: (what: Noted) => void;
}) {
  const subject = subjectOf(kit, operation);
  const taken = takenAt(run.events, operation);
  const last = taken.at(-1);
  const [reading, setReading] = useState(false);
  const judged = last === undefined ? null : judgeReading(check, last.values, subject);
  const trend = taken.flatMap(({ values }) => offBy(check, values, subject) ?? []);
  if (judged !== null && !reading) {
    return (
      <Verdict
        judged={judged}
        times={taken.length}
        trend={trend}
        inDegrees={check === 'angle'}
        grabbed={grabbed}
      >
        <Button
          variant={judged.accepted ? 'text' : 'contained'}
          onClick={() => setReading(true)}
          sx={{ minHeight: 72, fontSize: '1.375rem', px: 3 }}
        >
          Read again
        </Button>
      </Verdict>
    );
  }
  return (
    <ReadingPad
      check={check}
      subject={subject}
      onTell={(told) => {
        onNote({ kind: 'reading', operation, payload: { reading: told } });
        setReading(false);
      }}
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

/** What the last reading came to, on a drawing where one helps, and how the readings went. */
function Verdict({
  judged,
  times,
  trend,
  inDegrees,
  grabbed,
  children,
}: {
  readonly judged: Judged;
  readonly times: number;
  readonly trend: readonly number[];
  readonly inDegrees: boolean;
  readonly grabbed: boolean;
  readonly children: ReactNode;
}) {
  const f = useFormat();
  const figure = judged.accepted || grabbed ? null : firstFigure(judged);
  return (
    <Box sx={{ flex: 1, minHeight: 0, overflow: 'auto', display: 'flex', gap: 3, flexWrap: 'wrap' }}>
      <Box
        role="status"
        sx={(theme) => ({
          flex: '1 1 380px',
          alignSelf: 'start',
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
        {!judged.accepted && grabbed && (
          <Box>
            <strong>
              Its time is over: it has grabbed. Leave it where it is, and write down what was read.
            </strong>
          </Box>
        )}
        <Box sx={{ fontSize: '1.0625rem', color: 'text.secondary' }}>
          {trend.length > 1
            ? `off by ${trend.map((each) => (inDegrees ? `${each}°` : f.fine(each))).join(' → ')}${trendWords(trend)}`
            : times === 1
              ? 'first reading'
              : `reading ${times}`}
        </Box>
        <Box sx={{ mt: 1.5 }}>{children}</Box>
      </Box>
      {figure !== null && (
        <FigureView
          figure={figure}
          size={{ width: 360, height: 200 }}
          room={{ x: 40, y: 22 }}
          fontSize={18}
          weight={1.6}
          testId="correction"
        />
      )}
    </Box>
  );
}

const firstFigure = ({ says: told }: Judged) =>
  told.map(correctionFigure).find((figure) => figure !== null) ?? null;

/** Whether it gets better from the reading before to the last. */
function trendWords(trend: readonly number[]): string {
  const [before = 0, last = 0] = trend.slice(-2);
  if (last < before) return ', getting better';
  return last > before ? ', getting worse: undo the last move' : ', unchanged';
}

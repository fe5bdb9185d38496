import { asked, fieldsOf, judgeReading, stepsOfSession, type Subject } from '@lean-clasp/core/bench';
import type { CheckCode } from '@lean-clasp/core/findings';
import type { RunDocument } from '@lean-clasp/core/formats';
import { readAfterwards } from '@lean-clasp/core/runs';
import { checkName, fieldWords } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useAppDispatch } from '../../app/store';
import type { BenchKit } from '../../bench/bench-kit';
import { type Reading, ReadingPad } from '../../bench/ReadingPad';
import { subjectOf } from '../../bench/Readings';
import { noteEvent } from '../../bench/run-sync';
import { type Format, useFormat } from '../../quantities/use-format';
import { StateMark } from '../../verdicts/state-mark';

/** What was read at the bench, read again now that nothing holds it. */
export function LaterReadings({ run, kit }: { readonly run: RunDocument; readonly kit: BenchKit }) {
  const dispatch = useAppDispatch();
  const f = useFormat();
  const [reading, setReading] = useState<CheckCode | null>(null);
  const { readings } = readAfterwards(run);
  const checks = stepsOfSession(kit.script).flatMap((step) => {
    const check = asked(step);
    // Squeeze-out is marked joint by joint.
    return check === null || check === 'squeeze-out' ? [] : [{ check, subject: subjectOf(kit, step.id) }];
  });
  if (checks.length === 0 || kit.readings === undefined) return null;
  return (
    <>
      <Typography sx={{ mb: 1 }}>
        With the clamps off: wood springs, and what they held by force shows now.
      </Typography>
      {checks.map(({ check, subject }) => {
        const taken = readings.get(check);
        const accepted = taken !== undefined && judgeReading(check, taken.values, subject).accepted;
        return (
          <Box key={check} sx={{ borderBottom: 1, borderColor: 'divider', py: 0.5 }}>
            <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
              <Box sx={{ flex: 1, minWidth: 220 }}>
                <strong>{checkName(check)}</strong>
                {taken !== undefined && (
                  <>
                    : <StateMark state={accepted ? 'holds' : 'fails'} />{' '}
                    {accepted ? 'as wanted' : 'not as wanted'}, {valueWords(taken, subject, f)}
                  </>
                )}
              </Box>
              <Button onClick={() => setReading(reading === check ? null : check)} sx={{ minHeight: 44 }}>
                {reading === check ? 'Close' : taken === undefined ? 'Read' : 'Read again'}
              </Button>
            </Box>
            {reading === check && (
              <ReadingPad
                check={check}
                subject={subject}
                onTell={(told) => {
                  dispatch(noteEvent(run.id, { kind: 'reading', payload: { reading: told } }));
                  setReading(null);
                }}
              />
            )}
          </Box>
        );
      })}
    </>
  );
}

/** Values of a reading, each by its name. */
const valueWords = ({ check, values }: Reading, subject: Subject, f: Format): string =>
  fieldsOf(check as CheckCode, subject)
    .flatMap(({ id, ask }) => {
      const value = values[id];
      if (value === undefined) return [];
      const said = typeof value === 'string' ? value : ask === 'angle' ? `${value}°` : f.fine(value);
      return [`${fieldWords(id)} ${said}`];
    })
    .join(', ');

import { RECHECK_FINDINGS, RECHECKS, type RunDocument } from '@lean-clasp/core/formats';
import { nextRecheck, readAfterwards, summaryOf } from '@lean-clasp/core/runs';
import { RECHECK_FINDING_WORDS, RECHECK_NAMES } from '@lean-clasp/words';
import Typography from '@mui/material/Typography';
import { useAppDispatch } from '../../app/store';
import { instantWords } from '../../bench/release';
import { noteEvent } from '../../bench/run-sync';
import { Choice } from '../../parts/Choice';
import { FieldRow } from '../../parts/FieldRow';
import { useNow } from '../../parts/use-now';

/** Later looks: what was found, and when the next is due. */
export function Rechecks({ run }: { readonly run: RunDocument }) {
  const dispatch = useAppDispatch();
  const now = useNow(false);
  const { rechecks } = readAfterwards(run);
  const { clampedAtMs, rechecks: done = {} } = summaryOf(run);
  const next = nextRecheck(clampedAtMs, done, now);
  return (
    <>
      <Typography sx={{ mb: 1.5 }}>
        {next === null
          ? 'No further look is due.'
          : `To be looked at ${RECHECK_NAMES[next.due]}: ${instantWords(next.atMs, now)}. Today reminds of it.`}
      </Typography>
      <FieldRow>
        {RECHECKS.map((due) => (
          <Choice
            key={due}
            label={`Found ${RECHECK_NAMES[due]}`}
            value={rechecks.get(due)?.found ?? ''}
            options={[
              ...(rechecks.has(due) ? [] : [{ value: '' as const, name: 'not looked yet' }]),
              ...RECHECK_FINDINGS.map((value) => ({ value, name: RECHECK_FINDING_WORDS[value] })),
            ]}
            onChange={(found) => {
              if (found !== '') {
                dispatch(noteEvent(run.id, { kind: 'note', payload: { recheck: { due, found } } }));
              }
            }}
            width={260}
          />
        ))}
      </FieldRow>
    </>
  );
}

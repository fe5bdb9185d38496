import type { ScriptOperation } from '@lean-clasp/core/bench';
import { formatClock } from '@lean-clasp/core/units';
import { detailWords, says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import { useFormat } from '../quantities/use-format';
import { handWords } from '../timeline/hands';

/** What to do now, large; while it is waited for, how long still. */
export function Instruction({
  showing,
  waitMin,
  others,
}: {
  readonly showing: ScriptOperation | null;
  readonly waitMin: number | null;
  /** What every pair of hands is at; the others are told beside it. */
  readonly others: readonly (ScriptOperation | null)[];
}) {
  const f = useFormat();
  const beside = others.filter((each) => each !== null && each.id !== showing?.id);
  const whose = others.length > 1 && showing !== null ? `${handWords(showing.hands)}: ` : '';
  const words = showing === null ? 'Hands free: wait for the others' : says(showing.instruction, f);
  return (
    <>
      <Box
        component="h1"
        aria-live="assertive"
        sx={{ m: 0, fontSize: { xs: '1.875rem', sm: '2.75rem', md: '3.5rem' }, lineHeight: 1.15 }}
      >
        {whose !== '' && (
          <Box component="span" sx={{ color: 'text.secondary', fontWeight: 400 }}>
            {whose}
          </Box>
        )}
        {waitMin === null ? words : `Wait: ${words.charAt(0).toLowerCase()}${words.slice(1)}`}
      </Box>
      {waitMin !== null && (
        <Box role="status" sx={{ fontSize: '2.5rem', fontWeight: 700 }}>
          in {formatClock(waitMin)}
        </Box>
      )}
      <Box sx={{ fontSize: { xs: '1.25rem', sm: '1.625rem' }, mb: 1 }}>
        {showing !== null && detailWords(showing.instruction, f)}
      </Box>
      {beside.map(
        (each) =>
          each !== null && (
            <Box key={each.id} sx={{ fontSize: { xs: '1.125rem', sm: '1.375rem' }, mb: 1 }}>
              <strong>{handWords(each.hands)}:</strong> {says(each.instruction, f)}
            </Box>
          ),
      )}
    </>
  );
}

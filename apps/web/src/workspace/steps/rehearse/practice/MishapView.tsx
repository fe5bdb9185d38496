import type { Answer, Drill } from '@lean-clasp/core/bench';
import { formatClock } from '@lean-clasp/core/units';
import { MISHAP_WORDS, says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useHotkeys } from 'react-hotkeys-hook';
import { useFormat } from '../../../../quantities/use-format';

/** What went wrong, and what one may do; how each would come out is for the debrief. */
export function MishapView({
  pending,
  atMin,
  onAnswer,
}: {
  readonly pending: NonNullable<Drill['pending']>;
  readonly atMin: number;
  readonly onAnswer: (answer: Answer) => void;
}) {
  const f = useFormat();
  // In the order of their words, which tells nothing of how they come out.
  const answers = pending.answers
    .map((answer) => ({ answer, words: says(answer.what, f) }))
    .sort((a, b) => a.words.localeCompare(b.words));
  useHotkeys('1,2,3,4,5,6,7,8,9', ({ key }) => {
    const chosen = answers[Number(key) - 1];
    if (chosen !== undefined) onAnswer(chosen.answer);
  });
  return (
    <Box role="alertdialog" aria-label={MISHAP_WORDS[pending.mishap]}>
      <Box component="h1" aria-live="assertive" sx={{ m: 0, fontSize: '3rem', lineHeight: 1.15 }}>
        {MISHAP_WORDS[pending.mishap]}
      </Box>
      <Box role="timer" sx={{ fontSize: '1.5rem', mb: 2 }}>
        {formatClock(atMin - pending.sinceMin)} gone while you think
      </Box>
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { sm: '1fr 1fr' } }}>
        {answers.map(({ answer, words }, i) => (
          <Button
            key={answer.answer}
            variant="outlined"
            onClick={() => onAnswer(answer)}
            sx={{ minHeight: 72, fontSize: '1.25rem', justifyContent: 'flex-start', textAlign: 'left' }}
          >
            {i + 1}. {words}
          </Button>
        ))}
      </Box>
    </Box>
  );
}

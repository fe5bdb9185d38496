import type { VerdictState } from '@lean-clasp/core/verdicts';
import Box from '@mui/material/Box';
import type { Tokens } from '../app/tokens';

/** Shape and word of a state, so that colour never stands alone. */
const MARKS: Readonly<Record<VerdictState, { readonly shape: string; readonly word: string }>> = {
  holds: { shape: '●', word: 'holds' },
  close: { shape: '◆', word: 'close' },
  fails: { shape: '▲', word: 'fails' },
};

/** The word for a state. */
export const stateWord = (state: VerdictState): string => MARKS[state].word;

/** Colour of a state in a theme. */
export const stateColour = (state: VerdictState, tokens: Tokens): string => tokens[state];

/** The shape of a state, in its colour. */
export function StateMark({ state }: { readonly state: VerdictState }) {
  return (
    <Box
      component="span"
      role="img"
      aria-label={MARKS[state].word}
      sx={(theme) => ({ color: stateColour(state, theme.palette.tokens), fontSize: '1em' })}
    >
      {MARKS[state].shape}
    </Box>
  );
}

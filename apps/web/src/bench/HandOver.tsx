import type { ScriptOperation } from '@lean-clasp/core/bench';
import { says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import { useFormat } from '../quantities/use-format';
import { handWords } from '../timeline/hands';
import { useSpoken } from './use-cues';

/** How many steps ahead a hand-over is called. */
const AHEAD = 2;

/** The next step that needs somebody else beside, or after, those on this screen; null while none is near. */
export function nextHandOver(
  showing: ScriptOperation | null,
  upcoming: readonly ScriptOperation[],
): ScriptOperation | null {
  if (showing === null) return upcoming.find(({ hands }) => hands.length > 1) ?? null;
  const near = upcoming.slice(0, AHEAD);
  return (
    near.find(
      ({ hands, after }) =>
        (hands.length > 1 && showing.hands.length === 1) ||
        (after.includes(showing.id) && !hands.some((hand) => showing.hands.includes(hand))),
    ) ?? null
  );
}

/** Calls the next hand-over before it comes, so that the other can put down what is in hand. */
export function HandOver({ next }: { readonly next: ScriptOperation | null }) {
  const f = useFormat();
  const words =
    next === null
      ? ''
      : next.hands.length > 1
        ? `Soon together: ${says(next.instruction, f)}`
        : `Soon over to ${handWords(next.hands)}: ${says(next.instruction, f)}`;
  useSpoken(words);
  return words === '' ? null : (
    <Box role="note" sx={{ fontSize: '1.25rem', color: 'text.secondary', mb: 1 }}>
      {words}
    </Box>
  );
}

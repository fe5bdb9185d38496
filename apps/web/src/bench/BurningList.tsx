import type { FuseReading, ScriptOperation } from '@lean-clasp/core/bench';
import { formatClock } from '@lean-clasp/core/units';
import { says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import { FIGURE_FACE } from '../app/theme';
import { useFormat } from '../quantities/use-format';
import { FuseLine } from '../timeline/FuseLine';
import { handWords } from '../timeline/hands';

/** Longest label that stands beside its bar, such as "A–B". */
const MOST_LETTERS = 4;

/** What comes next, and every fuse that burns. */
export function BurningList({
  readings,
  upcoming,
  people,
}: {
  readonly readings: readonly FuseReading[];
  readonly upcoming: readonly ScriptOperation[];
  /** With more than one pair of hands it is told whose turn it is. */
  readonly people: number;
}) {
  const f = useFormat();
  const burning = readings.filter(({ leftMin }) => leftMin !== null);
  return (
    <Box
      component="section"
      aria-label="Next and burning"
      sx={{
        width: { md: 400 },
        flexShrink: 0,
        p: { xs: 2, sm: 3 },
        borderLeft: { md: 2 },
        borderColor: { md: 'divider' },
        fontSize: { xs: '1.125rem', sm: '1.25rem' },
        display: 'flex',
        flexDirection: { xs: 'column-reverse', sm: 'row', md: 'column' },
        gap: { xs: 2, sm: 3 },
        overflow: { sm: 'auto' },
      }}
    >
      <Box sx={{ flex: { sm: 1, md: 'none' } }}>
        <Heading>then</Heading>
        {upcoming.length === 0 && <Box>that is all</Box>}
        {upcoming.map(({ id, instruction, hands }) => (
          <Box key={id} sx={{ py: 1, borderBottom: 1, borderColor: 'divider' }}>
            {people > 1 && <Box sx={{ color: 'text.secondary' }}>{handWords(hands)}</Box>}
            {says(instruction, f)}
          </Box>
        ))}
      </Box>
      <Box sx={{ flex: { sm: 1, md: 'none' } }}>
        <Heading>burning</Heading>
        {burning.length === 0 && <Box>nothing</Box>}
        {burning.map(({ fuse, leftMin, burnt }) => (
          <Box
            key={fuse.joint}
            sx={{
              display: 'flex',
              flexWrap: 'wrap',
              alignItems: 'center',
              columnGap: 1.5,
              fontFamily: FIGURE_FACE,
              py: 0.25,
            }}
          >
            {/* Letters stand beside their bar, names above it. */}
            <Box sx={{ width: fuse.label.length > MOST_LETTERS ? '100%' : 52 }}>{fuse.label}</Box>
            <Box sx={{ flex: 1 }}>
              <FuseLine share={1 - burnt} height={12} />
            </Box>
            <Box sx={{ width: 68, textAlign: 'right' }}>{formatClock(leftMin ?? 0)}</Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function Heading({ children }: { readonly children: string }) {
  return (
    <Box component="h2" sx={{ m: 0, mb: 0.5, fontSize: '1.25rem', color: 'text.secondary' }}>
      {children}
    </Box>
  );
}

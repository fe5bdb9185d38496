import type { FuseReading } from '@lean-clasp/core/bench';
import { formatClock } from '@lean-clasp/core/units';
import Box from '@mui/material/Box';
import { FuseLine } from '../timeline/FuseLine';

/** The fuse with the least time left, large enough to be read from two metres. */
export function ShortestFuse({
  reading,
  lateMin,
  spareMin,
  elapsedMin,
}: {
  readonly reading: FuseReading | undefined;
  /** Minutes behind the plan; negative when ahead. */
  readonly lateMin: number;
  /** What the worst fuse is left with if all goes on by the plan; null where none burns any more. */
  readonly spareMin: number | null;
  readonly elapsedMin: number;
}) {
  const left = reading?.leftMin ?? null;
  const out = left !== null && left <= 0;
  return (
    <Box
      component="section"
      aria-label="Shortest fuse"
      sx={{
        px: { xs: 2, sm: 3 },
        pt: 1.5,
        pb: { xs: 1, sm: 2 },
        borderBottom: 2,
        borderColor: 'divider',
        flexShrink: 0,
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', columnGap: 4, flexWrap: 'wrap' }}>
        <Box
          role="timer"
          aria-label={left === null ? 'No fuse burning' : `${formatClock(left)} left`}
          sx={(theme) => ({
            fontSize: { xs: '3.75rem', sm: '5rem', md: '6.5rem' },
            fontWeight: 800,
            lineHeight: 1,
            color: out ? theme.palette.tokens.fails : theme.palette.tokens.glueText,
          })}
        >
          {left === null ? formatClock(elapsedMin) : formatClock(left)}
        </Box>
        <Box sx={{ fontSize: { xs: '1.125rem', sm: '1.5rem' } }}>
          <Box>{fuseWords(reading)}</Box>
          <Box sx={{ fontSize: { xs: '1rem', sm: '1.25rem' }, color: 'text.secondary' }}>
            {[spareWords(spareMin), paceWords(lateMin)].filter((words) => words !== '').join(' · ')}
          </Box>
        </Box>
      </Box>
      <Box sx={{ mt: 1.5 }}>
        <FuseLine share={1 - (reading?.burnt ?? 1)} late={out} height={18} />
      </Box>
    </Box>
  );
}

function fuseWords(reading: FuseReading | undefined) {
  if (reading?.leftMin == null) return <>since the start; no joint is burning</>;
  const { state, fuse, leftMin } = reading;
  const what = state === 'open' ? 'must be closed' : 'must be under full pressure';
  return leftMin <= 0 ? (
    <>
      over: <strong>{fuse.label}</strong> {what}
    </>
  ) : (
    <>
      until <strong>{fuse.label}</strong> {what}
    </>
  );
}

function spareWords(spareMin: number | null): string {
  if (spareMin === null) return '';
  return spareMin >= 0
    ? `finishes with ${formatClock(spareMin)} to spare`
    : `would finish ${formatClock(-spareMin)} too late`;
}

/** Half a minute either way is on plan. */
const ON_PLAN_MIN = 0.5;

function paceWords(lateMin: number): string {
  if (Math.abs(lateMin) < ON_PLAN_MIN) return 'on plan';
  return lateMin > 0 ? `running ${formatClock(lateMin)} late` : `${formatClock(-lateMin)} ahead of plan`;
}

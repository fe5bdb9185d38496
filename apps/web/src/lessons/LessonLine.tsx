import type { LessonSaid } from '@lean-clasp/core/formats';
import { lessonFinding } from '@lean-clasp/core/lessons';
import { detailWords, says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import { useFormat } from '../quantities/use-format';

/** A lesson where it bears: what to do, and what it was learned by; large, at the bench, only the first. */
export function LessonLine({
  lesson,
  large = false,
}: {
  readonly lesson: LessonSaid;
  readonly large?: boolean;
}) {
  const f = useFormat();
  const finding = lessonFinding(lesson);
  return (
    <Box
      role="note"
      sx={{
        borderLeft: 4,
        borderColor: 'warning.main',
        pl: 1.5,
        py: 0.5,
        mb: 1,
        fontSize: large ? '1.375rem' : '1rem',
      }}
    >
      {says(finding, f)}
      {!large && (
        <Box component="span" sx={{ color: 'text.secondary', display: 'block', fontSize: '0.9375rem' }}>
          {detailWords(finding, f)}
        </Box>
      )}
    </Box>
  );
}

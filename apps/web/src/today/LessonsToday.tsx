import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';
import { Section } from '../frame/Page';
import { LessonLine } from '../lessons/LessonLine';
import type { Soon } from './use-before-long';

/** Lessons shown; the rest stand at their builds. */
const SHOWN = 3;

/** Lessons that bear on what is glued next, each with the builds it bears on. */
export function LessonsToday({ soon }: { readonly soon: readonly Soon[] }) {
  const ids = [...new Set(soon.flatMap(({ lessons }) => lessons.map(({ lesson }) => lesson)))];
  if (ids.length === 0) return null;
  return (
    <Section title="Lessons that bear">
      {ids.slice(0, SHOWN).map((id) => {
        const bearing = soon.filter(({ lessons }) => lessons.some(({ lesson }) => lesson === id));
        const said = bearing[0]?.lessons.find(({ lesson }) => lesson === id);
        const builds = new Map(bearing.map(({ session }) => [session.build, session.name]));
        return (
          <Box key={id} sx={{ mb: 1.5 }}>
            {said !== undefined && <LessonLine lesson={said} />}
            For{' '}
            {[...builds].map(([build, name], i) => (
              <span key={build}>
                {i > 0 && ', '}
                <Link component={RouterLink} to={`/builds/${build}/fit`}>
                  {name}
                </Link>
              </span>
            ))}
          </Box>
        );
      })}
      {ids.length > SHOWN && (
        <Typography sx={{ mt: 1 }}>{ids.length - SHOWN} more stand at their builds.</Typography>
      )}
    </Section>
  );
}

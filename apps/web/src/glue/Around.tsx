import { cleanUpOf, type GlueJob, stepsBefore } from '@lean-clasp/core/choice';
import { kindOf } from '@lean-clasp/core/kinds';
import type { GlueOption } from '@lean-clasp/core/plan';
import { CLEAN_UP_WORDS, STEP_WORDS } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import { Section } from '../frame/Page';
import { waitWords } from './wait-words';
import { useOpenBuild } from '../workspace/open-build';

/** What the chosen glue asks for before the real coat, and how its squeeze-out comes off. */
export function Around({ option, job }: { readonly option: GlueOption; readonly job: GlueJob }) {
  const { build } = useOpenBuild();
  const steps = stepsBefore(option.adhesive, job);
  const cleanUp = cleanUpOf(
    option.adhesive,
    option.window,
    job,
    kindOf(build.template)?.squeezeOut ?? 'open',
  );
  if (steps.length === 0 && cleanUp === null) return null;
  return (
    <Section title="Before and after">
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {steps.map(({ kind, waitMin }) => (
          <li key={kind}>
            {STEP_WORDS[kind]}: {waitWords(waitMin)}.
          </li>
        ))}
        {cleanUp !== null && (
          <li>
            {CLEAN_UP_WORDS[cleanUp.method]}:{' '}
            {cleanUp.atMin.high <= 5 ? 'at once' : `${waitWords(cleanUp.atMin)} after clamping`}.
          </li>
        )}
      </Box>
    </Section>
  );
}

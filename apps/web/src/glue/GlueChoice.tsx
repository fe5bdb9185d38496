import type { GlueComparison, GlueOption } from '@lean-clasp/core/plan';
import { CHANGE_WORDS, planSays, hazardWords, reasonWords, inSentence } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Suspense } from 'react';
import { Loading } from '../frame/Loading';
import { Section } from '../frame/Page';
import { Caution } from '../parts/Caution';
import { readIn } from '../parts/read-in';
import { useGlueComparison } from '../planner/use-glue-comparison';
import { type Format, useFormat } from '../quantities/use-format';
import { Around } from './Around';
import { GlueRow } from './GlueRow';
import { Matters } from './Matters';
import { OwnLabel } from './OwnLabel';

const GlueCharts = readIn(() => import('./GlueCharts').then((m) => m.GlueCharts));

/** Which glue for this job: what matters here, families with their reasons, what would change the order. */
export function GlueChoice() {
  const comparison = useGlueComparison();
  const f = useFormat();
  const chosen = comparison?.options.find((option) => option.chosen);
  return (
    <>
      <Section title="Which glue">
        {comparison !== null && <InShort comparison={comparison} f={f} />}
        <Matters />
        {comparison === null ? (
          <Loading what="Planning with each glue" />
        ) : (
          <Box
            component="ul"
            aria-label="Glues, best for this job first"
            sx={{ listStyle: 'none', p: 0, m: 0 }}
          >
            {comparison.options.map((option) => (
              <GlueRow key={option.adhesive.id} option={option} />
            ))}
          </Box>
        )}
        {chosen !== undefined && (
          <>
            <OwnLabel adhesive={chosen.adhesive.id} />
            <Caution>{hazardWords(chosen.adhesive.hazards)}</Caution>
          </>
        )}
        <Typography variant="body2" color="text.secondary">
          Times are ranges typical of labels of each family, moved to today’s air; planning uses the short
          end. What reasons weigh is judgement. The label on your bottle wins: type it in above.
        </Typography>
      </Section>
      {comparison !== null && comparison.changes.length > 0 && (
        <Section title="What would change the order">
          <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
            {comparison.changes.map(({ code, adhesive }) => (
              <li key={code}>
                {CHANGE_WORDS[code]}: {adhesive.name}.
              </li>
            ))}
          </Box>
        </Section>
      )}
      {chosen !== undefined && comparison !== null && <Around option={chosen} job={comparison.job} />}
      {chosen !== undefined && comparison !== null && (
        <Suspense fallback={<Loading />}>
          <GlueCharts option={chosen} job={comparison.job} />
        </Suspense>
      )}
    </>
  );
}

/** The best choice and what decides, beside what is chosen now. */
function InShort({ comparison, f }: { readonly comparison: GlueComparison; readonly f: Format }) {
  const [best] = comparison.options;
  const now = comparison.options.find(({ chosen }) => chosen);
  if (best === undefined || best.refusals.length > 0) {
    return <Typography sx={{ mb: 1.5 }}>No glue of the catalogue does this job as it stands.</Typography>;
  }
  return (
    <Typography sx={{ mb: 1.5 }}>
      {now?.adhesive.id === best.adhesive.id ? 'Chosen, and best here: ' : 'Best here: '}
      <strong>{best.adhesive.name}</strong>
      {decidingWords(comparison, f)}
    </Typography>
  );
}

function decidingWords({ deciding, options }: GlueComparison, f: Format): string {
  const second = options[1];
  if (deciding === null || second === undefined) return '.';
  return deciding.of === 'first'
    ? ` – ${reasonWords(deciding.reason, f)}.`
    : `; next, ${inSentence(second.adhesive.name)}: ${againstWords(second, deciding.reason.code, f)}.`;
}

function againstWords(option: GlueOption, code: string, f: Format): string {
  const refusal = option.refusals.find((each) => each.code === code);
  if (refusal !== undefined) return planSays(refusal, f);
  const reason = option.reasons.find((each) => each.code === code);
  return reason === undefined ? '' : reasonWords(reason, f);
}

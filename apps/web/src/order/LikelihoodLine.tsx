import type { LikelyChange } from '@lean-clasp/core/fixes';
import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import type { Likelihood } from '@lean-clasp/core/plan';
import { formatCount } from '@lean-clasp/core/units';
import { planSays } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useFormat } from '../quantities/use-format';
import { useOpenBuild } from '../workspace/open-build';
import { useLikelihood } from './use-likelihood';

/** How likely the plan keeps every window, from simulated runs, and what would change that. */
export function LikelihoodLine({
  build,
  shop,
}: {
  readonly build: BuildDocument;
  readonly shop: ShopDocument;
}) {
  const { likelihood, changes, working } = useLikelihood(build, shop);
  if (likelihood === null) return null;
  const { low, high, weakest, runs } = likelihood;
  return (
    <>
      <Typography>
        <strong>{percent(likelihood.share)} % likely</strong> to keep every window ({percent(low)} to{' '}
        {percent(high)} % over {formatCount(runs)} simulated runs)
        {weakest === null
          ? '.'
          : `; ${weakest.label} fails first, in ${percent(weakest.share)} % of them.`}{' '}
        <Typography component="span" variant="body2" color="text.secondary">
          Estimated: each move varies by a quarter, the windows by a fifth.
        </Typography>
      </Typography>
      <WhatWouldChange before={likelihood} changes={changes} working={working} />
    </>
  );
}

/** Less than this is chance. */
const NOTHING = 0.01;
/** Changes shown at most. */
const MOST_CHANGES = 6;

function WhatWouldChange({
  before,
  changes,
  working,
}: {
  readonly before: Likelihood;
  readonly changes: readonly LikelyChange[];
  readonly working: boolean;
}) {
  const { edit } = useOpenBuild();
  const f = useFormat();
  const told = changes
    .filter(({ likelihood }) => Math.abs(likelihood.share - before.share) > NOTHING)
    .sort((a, b) => b.likelihood.share - a.likelihood.share)
    .slice(0, MOST_CHANGES);
  if (told.length === 0 && !working) return null;
  return (
    <Box component="details" sx={{ mt: 1, '& summary': { minHeight: 44, py: 1, cursor: 'pointer' } }}>
      <summary>What would change that{working ? ' …' : ''}</summary>
      <Box
        component="ul"
        aria-label="What would change the likelihood"
        sx={{ listStyle: 'none', p: 0, m: 0 }}
      >
        {told.map(({ change, build, likelihood }) => {
          const words = planSays(change, f);
          return (
            <Box
              component="li"
              key={words}
              sx={{ display: 'flex', alignItems: 'center', gap: 2, borderBottom: 1, borderColor: 'divider' }}
            >
              <Box sx={{ flex: 1 }}>{words}</Box>
              <Box sx={{ whiteSpace: 'nowrap' }}>
                {percent(before.share)} → <strong>{percent(likelihood.share)} %</strong>
              </Box>
              <Button onClick={() => edit(words, () => build)} aria-label={`Do it: ${words}`}>
                Do it
              </Button>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

/** Whole percents; near certainty and near nothing it says more. */
function percent(share: number): string {
  if (share > 0 && share < 0.005) return (100 * share).toFixed(2);
  return (100 * share).toFixed(share > 0.99 && share < 1 ? 1 : 0);
}

import type { AssemblyBuild, Likelihood, ShopDocument } from '@lean-clasp/core';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { arranger } from '../planner/workers';

/** How likely the plan keeps every window, from simulated runs. */
export function LikelihoodLine({
  build,
  shop,
}: {
  readonly build: AssemblyBuild;
  readonly shop: ShopDocument;
}) {
  const [likelihood, setLikelihood] = useState<Likelihood | null>(null);
  useEffect(() => {
    let overtaken = false;
    arranger()
      .likelihood(build, shop)
      .then(
        (answer) => {
          if (!overtaken) setLikelihood(answer);
        },
        // What is wrong with the build, the plan tells.
        () => undefined,
      );
    return () => {
      overtaken = true;
    };
  }, [build, shop]);
  if (likelihood === null) return null;
  const { share, low, high, weakest, runs } = likelihood;
  const percent = (value: number) => `${(100 * value).toFixed(value > 0.99 && value < 1 ? 1 : 0)}`;
  return (
    <Typography title={`${runs} simulated runs: each move varies by a quarter, the windows by a fifth`}>
      <strong>{percent(share)} % likely</strong> to keep every window ({percent(low)} to {percent(high)} %
      over {runs.toLocaleString('en-GB')} simulated runs)
      {weakest === null
        ? '.'
        : `; ${weakest.label} fails first, in ${percent(weakest.share)} % of them.`}{' '}
      <Typography component="span" variant="body2" color="text.secondary">
        Estimated: each move varies by a quarter, the windows by a fifth.
      </Typography>
    </Typography>
  );
}

import type { ClampPlace } from '@lean-clasp/core/plan';
import Box from '@mui/material/Box';
import { useCallback } from 'react';
import { Loading } from '../frame/Loading';
import { usePlan } from '../planner/plan-context';
import { slideOnPull } from '../squeeze/pull-edits';
import { useOpenBuild } from '../workspace/open-build';
import type { StepId } from '../workspace/steps-list';
import { AssemblySheet } from './AssemblySheet';

/** The drawing of the assembly on show, always in view, dressed for the step. */
export function AssemblyArea({ step }: { readonly step: StepId }) {
  const { build, edit } = useOpenBuild();
  const { plan } = usePlan();
  const pulls = plan?.squeeze?.pulls;
  const onSlide = useCallback(
    (number: number, place: ClampPlace) => {
      const pull = pulls?.find(({ clamps }) => clamps.some((clamp) => clamp.number === number));
      if (pull !== undefined) edit(`Clamp ${number} slid`, slideOnPull(pull, number, place));
    },
    [pulls, edit],
  );
  return (
    <Box sx={{ minWidth: 0, minHeight: 0, overflow: 'hidden' }}>
      {plan === null ? (
        <Loading what="Drawing" />
      ) : (
        <AssemblySheet
          plan={plan}
          title={build.name}
          ordered={step === 'order'}
          squeezed={step === 'squeeze'}
          onSlide={onSlide}
        />
      )}
    </Box>
  );
}

import Box from '@mui/material/Box';
import { Loading } from '../frame/Loading';
import { usePlan } from '../planner/plan-context';
import { useOpenBuild } from '../workspace/open-build';
import type { StepId } from '../workspace/steps-list';
import { AssemblySheet } from './AssemblySheet';

/** The drawing of the assembly on show, always in view, dressed for the step. */
export function AssemblyArea({ step }: { readonly step: StepId }) {
  const { build } = useOpenBuild();
  const { plan } = usePlan();
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
        />
      )}
    </Box>
  );
}

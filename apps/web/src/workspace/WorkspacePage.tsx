import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import { memo, Suspense } from 'react';
import { useParams } from 'react-router';
import { SyncNotice } from '../documents/SyncNotice';
import { useUndoKeys } from '../documents/use-undo-keys';
import { SelectionProvider } from '../drawing/selection';
import { Loading } from '../frame/Loading';
import { useTitle } from '../frame/Page';
import { usePlan } from '../planner/plan-context';
import { VerdictStrip } from '../verdicts/VerdictStrip';
import { useOpenBuild } from './open-build';
import { OpenedBuild } from './OpenedBuild';
import { STEP_PANELS } from './step-panels';
import { isStepId, STEPS, type StepId } from './steps-list';
import { StepNav } from './StepNav';
import { WorkspaceHeader } from './WorkspaceHeader';
import { WorkspaceDrawing } from './WorkspaceDrawing';

/** A build at one of its seven steps: the drawing, what the step asks, and the verdicts. */
export function WorkspacePage() {
  const { buildId = '', step } = useParams();
  return (
    <OpenedBuild id={buildId} failedTitle="Not to be had">
      <SelectionProvider>
        <Workspace step={isStepId(step) ? step : 'fit'} />
      </SelectionProvider>
    </OpenedBuild>
  );
}

/** Drawing and step beside each other; sessions side by side take more room than a list. */
const BESIDE = 'minmax(0, 1fr) 440px';
const SESSIONS_WIDE = 'minmax(0, 5fr) minmax(440px, 7fr)';

/** Drawn again for another step only; whatever shows the build or its plan follows those by itself. */
const Workspace = memo(function Workspace({ step }: { readonly step: StepId }) {
  const name = STEPS.find(({ id }) => id === step)?.name ?? '';
  const Panel = STEP_PANELS[step];
  return (
    <Box
      sx={{
        display: 'flex',
        flexDirection: 'column',
        height: { sm: '100%' },
        // On a telephone all of it scrolls as one, over the verdicts at its foot.
        minHeight: { xs: '100%', sm: 0 },
      }}
    >
      <WorkspaceHeader />
      <StepNav step={step} />
      <Notices step={name} />
      <Box
        className="print-grid"
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', md: step === 'order' ? SESSIONS_WIDE : BESIDE },
          gridTemplateRows: {
            xs: '300px auto',
            sm: 'minmax(300px, 46%) minmax(0, 1fr)',
            md: 'minmax(0, 1fr)',
          },
        }}
      >
        <WorkspaceDrawing step={step} />
        <Box
          component="section"
          aria-label={name}
          className="no-print"
          sx={{
            overflow: { sm: 'auto' },
            minWidth: 0,
            bgcolor: 'background.paper',
            borderLeft: { md: 1 },
            borderTop: { xs: 1, md: 0 },
            borderColor: { xs: 'divider', md: 'divider' },
            p: 2,
          }}
        >
          <Suspense fallback={<Loading />}>
            <Panel />
          </Suspense>
        </Box>
      </Box>
      <VerdictStrip />
    </Box>
  );
});

/** What has to be told above the drawing; also sets the window's title and listens for undo. */
function Notices({ step }: { readonly step: string }) {
  const { id, build } = useOpenBuild();
  const { failure } = usePlan();
  useTitle(`${build.name}, ${step}`);
  useUndoKeys(id);
  return (
    <>
      <SyncNotice id={id} />
      {failure !== null && (
        <Alert severity="error" variant="outlined">
          {failure}
        </Alert>
      )}
    </>
  );
}

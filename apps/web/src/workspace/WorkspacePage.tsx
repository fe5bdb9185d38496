import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import { memo, Suspense } from 'react';
import { useParams } from 'react-router';
import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import { SyncNotice } from '../documents/SyncNotice';
import { useUndoKeys } from '../documents/use-undo-keys';
import { useDocument } from '../documents/use-document';
import { SelectionProvider } from '../drawing/selection';
import { Loading } from '../frame/Loading';
import { Page, useTitle } from '../frame/Page';
import { PlanProvider, usePlan } from '../planner/plan-context';
import { useShopNow } from '../air/use-shop-now';
import { SHOP_ID } from '../shop/shop-id';
import { VerdictStrip } from '../verdicts/VerdictStrip';
import { OpenBuildProvider, useOpenBuild } from './open-build';
import { STEP_PANELS } from './step-panels';
import { isStepId, STEPS, type StepId } from './steps-list';
import { StepNav } from './StepNav';
import { WorkspaceHeader } from './WorkspaceHeader';
import { WorkspaceDrawing } from './WorkspaceDrawing';

/** A build at one of its seven steps: the drawing, what the step asks, and the verdicts. */
export function WorkspacePage() {
  const { buildId = '', step } = useParams();
  const build = useDocument('builds', buildId);
  const shop = useDocument('shops', SHOP_ID);
  const shopNow = useShopNow(shop.kind === 'open' ? (shop.body as ShopDocument) : null);
  const failed = [build, shop].find((state) => state.kind === 'failed');
  if (failed?.kind === 'failed') {
    return (
      <Page title="Not to be had">
        <Alert severity="error" variant="outlined">
          {failed.message}
        </Alert>
      </Page>
    );
  }
  if (build.kind !== 'open' || shopNow === null) return <Loading what="Opening the build" />;
  const body = build.body as BuildDocument;
  return (
    <OpenBuildProvider key={buildId} id={buildId} build={body} shop={shopNow}>
      <PlanProvider build={body} shop={shopNow}>
        <SelectionProvider>
          <Workspace step={isStepId(step) ? step : 'fit'} />
        </SelectionProvider>
      </PlanProvider>
    </OpenBuildProvider>
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
    <Box sx={{ display: 'flex', flexDirection: 'column', height: '100%' }}>
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
          gridTemplateRows: { xs: 'minmax(300px, 46%) minmax(0, 1fr)', md: 'minmax(0, 1fr)' },
        }}
      >
        <WorkspaceDrawing step={step} />
        <Box
          component="section"
          aria-label={name}
          className="no-print"
          sx={{
            overflow: 'auto',
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

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import { lazy, Suspense } from 'react';
import { useParams } from 'react-router';
import type { BuildDocument, ShopDocument } from '@lean-clasp/core';
import { SyncNotice } from '../documents/SyncNotice';
import { useDocument } from '../documents/use-document';
import { SelectionProvider } from '../drawing/selection';
import { Loading } from '../frame/Loading';
import { Page, useTitle } from '../frame/Page';
import { PlanProvider, usePlan } from '../planner/plan-context';
import { SHOP_ID } from '../shop/shop-id';
import { VerdictStrip } from '../verdicts/VerdictStrip';
import { OpenBuildProvider, useOpenBuild } from './open-build';
import { isStepId, STEPS, type StepId } from './steps-list';
import { StepNav } from './StepNav';
import { useUndoKeys } from './use-undo-keys';
import { WorkspaceHeader } from './WorkspaceHeader';
import { WorkspaceDrawing } from './WorkspaceDrawing';

const PANELS: Readonly<Record<StepId, React.ComponentType>> = {
  fit: lazy(() => import('./steps/FitStep').then((m) => ({ default: m.FitStep }))),
  glue: lazy(() => import('./steps/GlueStep').then((m) => ({ default: m.GlueStep }))),
  order: lazy(() => import('./steps/OrderStep').then((m) => ({ default: m.OrderStep }))),
  squeeze: lazy(() => import('./steps/SqueezeStep').then((m) => ({ default: m.SqueezeStep }))),
  rehearse: lazy(() => import('./steps/RehearseStep').then((m) => ({ default: m.RehearseStep }))),
  'glue-up': lazy(() => import('./steps/GlueUpStep').then((m) => ({ default: m.GlueUpStep }))),
  record: lazy(() => import('./steps/RecordStep').then((m) => ({ default: m.RecordStep }))),
};

/** A build at one of its seven steps: the drawing, what the step asks, and the verdicts. */
export function WorkspacePage() {
  const { buildId = '', step } = useParams();
  const build = useDocument('builds', buildId);
  const shop = useDocument('shops', SHOP_ID);
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
  if (build.kind !== 'open' || shop.kind !== 'open') return <Loading what="Opening the build" />;
  const body = build.document.body as BuildDocument;
  const shopBody = shop.document.body as ShopDocument;
  return (
    <OpenBuildProvider key={buildId} id={buildId} build={body} shop={shopBody}>
      <PlanProvider build={body} shop={shopBody}>
        <SelectionProvider>
          <Workspace step={isStepId(step) ? step : 'fit'} notice={<SyncNotice document={build.document} />} />
        </SelectionProvider>
      </PlanProvider>
    </OpenBuildProvider>
  );
}

function Workspace({ step, notice }: { readonly step: StepId; readonly notice: React.ReactNode }) {
  const { build } = useOpenBuild();
  const { failure } = usePlan();
  const name = STEPS.find(({ id }) => id === step)?.name ?? '';
  useTitle(`${build.name}, ${name}`);
  useUndoKeys();
  const Panel = PANELS[step];
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', height: '100%' }}>
      <WorkspaceHeader />
      <StepNav step={step} />
      {notice}
      {failure !== null && (
        <Alert severity="error" variant="outlined">
          {failure}
        </Alert>
      )}
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) 440px' },
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
}

import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import type { RowPlan } from '@lean-clasp/core/plan';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { Link as RouterLink, useParams } from 'react-router';
import { useShopNow } from '../air/use-shop-now';
import { useDocument } from '../documents/use-document';
import { Loading } from '../frame/Loading';
import { Page } from '../frame/Page';
import { PlanProvider, usePlan } from '../planner/plan-context';
import { SHOP_ID } from '../shop/shop-id';
import { CaulTemplate } from './CaulTemplate';
import { ClampStrip } from './ClampStrip';

const SHEETS = {
  caul: { title: 'Crown of the cauls, full size', Sheet: CaulTemplate },
  strip: { title: 'Clamp strip, full size', Sheet: ClampStrip },
} as const;

/** Something to print at full size and take to the bench. */
export function PrintPage() {
  const { buildId = '', what = '' } = useParams();
  const build = useDocument('builds', buildId);
  const shop = useDocument('shops', SHOP_ID);
  const shopNow = useShopNow(shop.kind === 'open' ? (shop.body as ShopDocument) : null);
  const sheet = what === 'strip' ? SHEETS.strip : SHEETS.caul;
  const failed = [build, shop].find((state) => state.kind === 'failed');
  if (failed?.kind === 'failed') {
    return (
      <Page title={sheet.title}>
        <Alert severity="error" variant="outlined">
          {failed.message}
        </Alert>
      </Page>
    );
  }
  if (build.kind !== 'open' || shopNow === null) return <Loading what="Opening the build" />;
  const body = build.body as BuildDocument;
  return (
    <Page
      title={sheet.title}
      intro={`${body.name}. Print at 100 %, without fitting to the page; then hold a rule against the check line.`}
      actions={
        <span className="no-print">
          <Button component={RouterLink} to={`/builds/${buildId}/squeeze`}>
            Back to Squeeze
          </Button>{' '}
          <Button variant="contained" onClick={() => window.print()}>
            Print
          </Button>
        </span>
      }
    >
      <PlanProvider build={body} shop={shopNow}>
        <PlannedRow>{(row) => <sheet.Sheet row={row} />}</PlannedRow>
      </PlanProvider>
    </Page>
  );
}

function PlannedRow({ children }: { readonly children: (row: RowPlan) => React.ReactNode }) {
  const { plan } = usePlan();
  if (plan === null) return <Loading />;
  return plan.row === null ? (
    <Alert severity="info" variant="outlined">
      Only boards that lie side by side have cauls and a clamp strip.
    </Alert>
  ) : (
    children(plan.row)
  );
}

import { type BuildDocument, isPanel, type Plan, type ShopDocument } from '@lean-clasp/core';
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
  if (!isPanel(body)) {
    return (
      <Page title={sheet.title}>
        <Alert severity="info" variant="outlined">
          Only panels have cauls and a clamp strip.
        </Alert>
      </Page>
    );
  }
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
        <Planned>{(plan) => <sheet.Sheet plan={plan} />}</Planned>
      </PlanProvider>
    </Page>
  );
}

function Planned({ children }: { readonly children: (plan: Plan) => React.ReactNode }) {
  const { plan } = usePlan();
  return plan === null ? <Loading /> : children(plan);
}

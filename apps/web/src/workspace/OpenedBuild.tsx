import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import Alert from '@mui/material/Alert';
import type { ReactNode } from 'react';
import { useShopNow } from '../air/use-shop-now';
import { useDocument } from '../documents/use-document';
import { Loading } from '../frame/Loading';
import { Page } from '../frame/Page';
import { PlanProvider } from '../planner/plan-context';
import { SHOP_ID } from '../shop/shop-id';
import { OpenBuildProvider } from './open-build';

interface OpenedBuildProps {
  readonly id: string;
  /** Title of the page where the build or the shop is not to be had. */
  readonly failedTitle: string;
  readonly children: ReactNode;
}

/** Opens a build with the shop as its air is now, and plans it for what is inside. */
export function OpenedBuild({ id, failedTitle, children }: OpenedBuildProps) {
  const build = useDocument('builds', id);
  const shop = useDocument('shops', SHOP_ID);
  const shopNow = useShopNow(shop.kind === 'open' ? (shop.body as ShopDocument) : null);
  const failed = [build, shop].find((state) => state.kind === 'failed');
  if (failed?.kind === 'failed') {
    return (
      <Page title={failedTitle}>
        <Alert severity="error" variant="outlined">
          {failed.message}
        </Alert>
      </Page>
    );
  }
  if (build.kind !== 'open' || shopNow === null) return <Loading what="Opening the build" />;
  const body = build.body as BuildDocument;
  return (
    <OpenBuildProvider key={id} id={id} build={body} shop={shopNow}>
      <PlanProvider build={body} shop={shopNow}>
        {children}
      </PlanProvider>
    </OpenBuildProvider>
  );
}

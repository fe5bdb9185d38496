import type { ShopDocument } from '@lean-clasp/core/formats';
import Typography from '@mui/material/Typography';
import { useDeferredValue } from 'react';
import { SyncNotice } from '../documents/SyncNotice';
import { useDocument } from '../documents/use-document';
import { Loading } from '../frame/Loading';
import { Page } from '../frame/Page';
import { AirSection } from './AirSection';
import { CaulsSection } from './CaulsSection';
import { HoursSection } from './HoursSection';
import { NetworkSection } from './NetworkSection';
import { OwnSection } from './OwnSection';
import { PeopleSection } from './PeopleSection';
import { RackSection } from './RackSection';
import { ShelfSection } from './ShelfSection';
import { SHOP_ID } from './shop-id';

/** The shop: what it has and how it is. Every plan reads it. */
export function ShopPage() {
  const state = useDocument('shops', SHOP_ID);
  if (state.kind === 'opening') return <Loading what="Opening the shop" />;
  if (state.kind === 'failed') {
    return (
      <Page title="Shop">
        <Typography color="error">{state.message}</Typography>
      </Page>
    );
  }
  const shop = state.body as ShopDocument;
  return (
    <Page title={shop.name} intro="Clamps, glue, air and hands. Every plan reads this; every edit is kept.">
      <SyncNotice id={SHOP_ID} />
      <RackSection shop={shop} />
      <BelowTheRack shop={shop} />
    </Page>
  );
}

/** What is further down comes once the top of the page stands, and gives way to whatever is done there. */
function BelowTheRack({ shop }: { readonly shop: ShopDocument }) {
  const stands = useDeferredValue(true, false);
  if (!stands) return null;
  return (
    <>
      <CaulsSection shop={shop} />
      <ShelfSection shop={shop} />
      <OwnSection shop={shop} />
      <AirSection shop={shop} />
      <HoursSection shop={shop} />
      <PeopleSection shop={shop} />
      <NetworkSection />
    </>
  );
}

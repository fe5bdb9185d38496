import type { ShopDocument } from '@lean-clasp/core/formats';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { SyncNotice } from '../documents/SyncNotice';
import { HistoryButtons, SavedWord } from '../documents/HistoryButtons';
import { useDocument } from '../documents/use-document';
import { useUndoKeys } from '../documents/use-undo-keys';
import { Loading } from '../frame/Loading';
import { Page } from '../frame/Page';
import { InTurn } from '../parts/InTurn';
import { AirSection } from './AirSection';
import { ArchiveSection } from './ArchiveSection';
import { BenchesSection } from './BenchesSection';
import { BlocksSection, CaulsSection } from './CaulsSection';
import { HoursSection } from './HoursSection';
import { NetworkSection } from './NetworkSection';
import { SpreadersSection, WoodsSection } from './OwnSection';
import { PeopleSection } from './PeopleSection';
import { RackSection } from './RackSection';
import { ShelfSection } from './ShelfSection';
import { SHOP_ID } from './shop-id';

/** The shop: what it has and how it is. Every plan reads it. */
export function ShopPage() {
  const state = useDocument('shops', SHOP_ID);
  useUndoKeys(SHOP_ID);
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
    <Page
      title={shop.name}
      intro="Clamps, glue, air and hands. Every plan reads this; every edit is kept."
      actions={
        <Box sx={{ display: 'flex', alignItems: 'center' }}>
          <SavedWord id={SHOP_ID} />
          <HistoryButtons id={SHOP_ID} />
        </Box>
      }
    >
      <SyncNotice id={SHOP_ID} />
      <InTurn>
        <RackSection shop={shop} />
        <InTurn>
          <CaulsSection shop={shop} />
          <BlocksSection shop={shop} />
          <ShelfSection shop={shop} />
          <WoodsSection shop={shop} />
          <SpreadersSection shop={shop} />
          <AirSection shop={shop} />
          <BenchesSection shop={shop} />
          <HoursSection shop={shop} />
          <PeopleSection shop={shop} />
          <NetworkSection />
          <ArchiveSection name={shop.name} />
        </InTurn>
      </InTurn>
    </Page>
  );
}

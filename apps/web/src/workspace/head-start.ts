import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import type { AppThunk } from '../app/store';
import { openDocument } from '../documents/sync';
import { askPlan } from '../planner/workers';
import { SHOP_ID } from '../shop/shop-id';

/** Opens a build and the shop, and has it planned, while the screen that will show it is still on its way. */
export function headStart(buildId: string): AppThunk<Promise<void>> {
  return async (dispatch, getState) => {
    await Promise.all([dispatch(openDocument('builds', buildId)), dispatch(openDocument('shops', SHOP_ID))]);
    const { open } = getState().documents;
    const build = open[buildId]?.body as BuildDocument | undefined;
    const shop = open[SHOP_ID]?.body as ShopDocument | undefined;
    // Where a sensor is followed, plans are for the air that it will say.
    if (build !== undefined && shop !== undefined && shop.sensor?.follow !== true) await askPlan(build, shop);
  };
}

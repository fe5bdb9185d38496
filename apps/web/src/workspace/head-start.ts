import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import type { AppThunk } from '../app/store';
import { openDocument } from '../documents/sync';
import { askFirst } from '../planner/workers';
import { SHOP_ID } from '../shop/shop-id';

/** Opens a build and the shop and plans it, while the screen that will show it is still on its way. */
export function headStart(buildId: string): AppThunk<Promise<void>> {
  return async (dispatch, getState) => {
    await Promise.all([dispatch(openDocument('builds', buildId)), dispatch(openDocument('shops', SHOP_ID))]);
    const { open } = getState().documents;
    const build = open[buildId]?.body as BuildDocument | undefined;
    const shop = open[SHOP_ID]?.body as ShopDocument | undefined;
    // Where a sensor is followed, plans are for the air that it will say.
    if (build === undefined || shop === undefined || shop.sensor?.follow === true) return;
    // What is wrong with it is told by the screen.
    await askFirst(build, shop).catch(() => undefined);
  };
}

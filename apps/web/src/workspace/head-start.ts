import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import type { AppThunk } from '../app/store';
import { openDocument } from '../documents/sync';
import { askFirst } from '../planner/workers';
import { SHOP_ID } from '../shop/shop-id';
import { partAhead } from './part-loaders';
import { STEP_PARTS } from './step-parts';

/** Opens a build and the shop, plans it and reads in what its step will show, while the screen itself is still on its way. */
export function headStart(buildId: string, step: string | undefined): AppThunk<Promise<void>> {
  return async (dispatch, getState) => {
    await Promise.all([dispatch(openDocument('builds', buildId)), dispatch(openDocument('shops', SHOP_ID))]);
    const { open } = getState().documents;
    const build = open[buildId]?.body as BuildDocument | undefined;
    const shop = open[SHOP_ID]?.body as ShopDocument | undefined;
    if (build === undefined || shop === undefined) return;
    const part = partAhead(step, build);
    await Promise.all([
      part === undefined ? undefined : STEP_PARTS[part].ahead(),
      // Where a sensor is followed, plans are for the air that it will say. What is wrong with it is told by the screen.
      shop.sensor?.follow === true ? undefined : askFirst(build, shop).catch(() => undefined),
    ]);
  };
}

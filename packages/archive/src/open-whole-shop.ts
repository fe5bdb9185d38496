import {
  BUILD_VERSION,
  type BuildDocument,
  BuildDocumentSchema,
  type ShopDocument,
  ShopDocumentSchema,
} from '@lean-clasp/core/formats';
import { documentStore, openDatabase, pictureStore, runStore } from '@lean-clasp/store';
import type { Validator } from '@lean-clasp/validation';
import type { WholeShop } from './whole-shop';

/** The shop's document; there is one shop to a folder. */
const SHOP_ID = 'shop';

/** Everything of a data folder, to be closed after use. */
export async function openWholeShop(
  folder: string,
  validator: Validator,
  now: () => number = Date.now,
): Promise<{ readonly whole: WholeShop; readonly close: () => Promise<void> }> {
  const db = await openDatabase(folder);
  return {
    whole: {
      shopId: SHOP_ID,
      shops: documentStore<ShopDocument>(db, {
        kind: 'shop',
        check: (body) => validator.check(ShopDocumentSchema, body),
        now,
        version: null,
      }),
      builds: documentStore<BuildDocument>(db, {
        kind: 'build',
        check: (body) => validator.check(BuildDocumentSchema, body),
        now,
        version: BUILD_VERSION,
      }),
      runs: runStore(db, now),
      pictures: pictureStore(folder),
    },
    close: () => db.destroy(),
  };
}

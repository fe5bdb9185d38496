import { readFile } from 'node:fs/promises';
import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import { readAfterwards } from '@lean-clasp/core/runs';
import type { DocumentStore, PictureStore, RunStore } from '@lean-clasp/store';
import type { Archive, ArchivedBuild, ArchivedPicture } from './archive';

/** Where a shop keeps everything. */
export interface WholeShop {
  readonly shopId: string;
  readonly shops: DocumentStore<ShopDocument>;
  readonly builds: DocumentStore<BuildDocument>;
  readonly runs: RunStore;
  readonly pictures: PictureStore;
}

/** Lines of a list that are read at once. */
const AT_ONCE = 200;

/** Everything of a shop, the bin left out. */
export async function gatherArchive({ shopId, shops, builds, runs, pictures }: WholeShop): Promise<Archive> {
  const shop = await shops.find(shopId);
  if (shop === undefined) throw new Error('the shop document is missing');
  const archive = {
    shop: shop.body,
    builds: [] as ArchivedBuild[],
    runs: [] as Archive['runs'][number][],
    pictures: [] as ArchivedPicture[],
  };
  for (let after: string | null | undefined; after !== null;) {
    const page = await builds.page({ limit: AT_ONCE, after: after ?? undefined });
    for (const { id } of page.documents) {
      const found = await builds.find(id);
      if (found !== undefined) archive.builds.push({ id, body: found.body });
    }
    after = page.next;
  }
  for (let after: string | null | undefined; after !== null;) {
    const page = await runs.page({ limit: AT_ONCE, after: after ?? undefined });
    for (const { id } of page.runs) {
      const run = await runs.find(id);
      if (run === undefined) continue;
      archive.runs.push(run);
      for (const picture of readAfterwards(run).pictures) {
        const path = pictures.find(id, picture.id);
        if (path !== undefined)
          archive.pictures.push({ run: id, id: picture.id, bytes: await readFile(path) });
      }
    }
    after = page.next;
  }
  const byId = (a: { readonly id: string }, b: { readonly id: string }) => (a.id < b.id ? -1 : 1);
  return { ...archive, builds: archive.builds.sort(byId), runs: archive.runs.sort(byId) };
}

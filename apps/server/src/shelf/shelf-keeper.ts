import type { Bottle, RunDocument, ShopDocument } from '@lean-clasp/core/formats';
import { glueUsedMl, poured } from '@lean-clasp/core/shelf';
import type { DocumentEdit, DocumentStore } from '@lean-clasp/store';
import type { Logger } from 'pino';
import type { Operation } from 'rfc6902';

/** Takes off the shelf what a glue-up has used. */
export type ShelfKeeper = (run: RunDocument) => Promise<void>;

/** How often it is tried over an edit that came between. */
const TRIES = 5;

/**
 * Notes each ended run's glue on the shelf, once: the edit is named by its run, so that events that come twice, or a step that was
 * taken back, pour nothing again. A shelf that cannot be written never keeps a run from being kept.
 */
export function shelfKeeper(shops: DocumentStore<ShopDocument>, shopId: string, logger: Logger): ShelfKeeper {
  const note = async (run: RunDocument, ml: number): Promise<void> => {
    for (let i = 0; i < TRIES; i += 1) {
      const shop = await shops.find(shopId);
      if (shop === undefined) return;
      const edit = pouring(run, shop.body.bottles, ml);
      if (edit.patch.length === 0) return;
      if ((await shops.edit(shopId, shop.revision, edit)).kind !== 'stale') return;
    }
  };
  return async (run) => {
    const ml = glueUsedMl(run);
    if (ml === null || ml === 0) return;
    await note(run, ml).catch((error: unknown) =>
      logger.error({ err: error }, 'the shelf was not brought up to date'),
    );
  };
}

/** The edit by which bottles hold less. */
function pouring(
  { id, buildName, promise }: RunDocument,
  bottles: readonly Bottle[],
  ml: number,
): DocumentEdit {
  const after = poured(bottles, promise.adhesive, ml);
  const changes = bottles.flatMap((bottle, i) => {
    const remainingMl = after[i]?.remainingMl ?? bottle.remainingMl;
    return remainingMl === bottle.remainingMl ? [] : [{ i, bottle, remainingMl }];
  });
  const steps = (value: (change: (typeof changes)[number]) => number): Operation[] =>
    changes.flatMap((change): Operation[] => [
      { op: 'test', path: `/bottles/${change.i}/id`, value: change.bottle.id },
      { op: 'replace', path: `/bottles/${change.i}/remainingMl`, value: value(change) },
    ]);
  return {
    id: `used-${id}`,
    kind: 'edit',
    label: `Glue used: ${buildName}`,
    group: `used-${id}`,
    patch: steps(({ remainingMl }) => remainingMl),
    inverse: steps(({ bottle }) => bottle.remainingMl),
  };
}

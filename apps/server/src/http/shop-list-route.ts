import { InputError } from '@lean-clasp/core/basics';
import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import type { DocumentStore } from '@lean-clasp/store';
import { type Request, Router } from 'express';
import type { WorkPool } from '../work/pool';
import { whenGone } from './calc-routes';
import { httpError, onlyMethods } from './errors';
import { textOf } from './paging';

/** So many builds at most go on one list. */
const MOST_BUILDS = 20;
const PAPERS = ['a4', 'letter'] as const;
const UNITS = ['metric', 'imperial'] as const;

/** What the route needs. */
interface ShopListDeps {
  readonly builds: Pick<DocumentStore<BuildDocument>, 'find' | 'page'>;
  readonly shops: Pick<DocumentStore<ShopDocument>, 'find'>;
  readonly shopId: string;
  readonly glued: (ids: readonly string[]) => Promise<ReadonlySet<string>>;
  readonly pool: WorkPool;
}

/** What several builds want bought, borrowed and made, as a file. */
export function shopListRoute({ builds, shops, shopId, glued, pool }: ShopListDeps): Router {
  const router = Router();

  /** The last worked on of those that wait. */
  const waiting = async (): Promise<string[]> => {
    const { documents } = await builds.page({ limit: 5 * MOST_BUILDS });
    const ids = documents.map(({ id }) => id);
    const done = await glued(ids);
    return ids.filter((id) => !done.has(id)).slice(0, MOST_BUILDS);
  };

  router.get('/shop-list', async (request, response) => {
    const asked = idsOf(request);
    const found = await Promise.all((asked ?? (await waiting())).map((id) => builds.find(id)));
    if (found.includes(undefined))
      throw httpError(404, 'not-found', 'There is no such build.', 'ids of builds');
    const shop = (await shops.find(shopId))?.body;
    const ask = { paper: one(request, 'paper', PAPERS), units: one(request, 'units', UNITS) };
    const file = await pool.file(
      { kind: 'shop-list', ask, builds: found.map((each) => each?.body), shop },
      whenGone(response),
    );
    response.attachment('shop-list.pdf').type(file.type).send(Buffer.from(file.bytes));
  });

  router.all('/shop-list', onlyMethods('GET'));
  return router;
}

function idsOf({ query }: Request): string[] | null {
  if (query.build === undefined) return null;
  const ids = [query.build].flat().flatMap((id) => textOf(id) ?? []);
  if (ids.length <= MOST_BUILDS) return ids;
  throw new InputError(
    'out-of-range',
    'build',
    `${ids.length} builds are too many for one list.`,
    `at most ${MOST_BUILDS}`,
  );
}

function one<Word extends string>(
  { query }: Request,
  field: string,
  words: readonly [Word, ...Word[]],
): Word {
  const text = textOf(query[field]) ?? words[0];
  const found = words.find((word) => word === text);
  if (found === undefined)
    throw new InputError('inconsistent', field, `There is no ${field} "${text}".`, words.join(', '));
  return found;
}

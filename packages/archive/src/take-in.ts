import { InputError } from '@lean-clasp/core/basics';
import type { ShopDocument } from '@lean-clasp/core/formats';
import type { DocumentStore } from '@lean-clasp/store';
import { createPatch } from 'rfc6902';
import { type Archive, type ArchiveFault, PATHS } from './archive';
import type { WholeShop } from './whole-shop';

/** How an archive is taken in: added to what is there, or put in its place. */
export type TakeInMode = 'merge' | 'replace';

/** What comes, or would come, of taking an archive in. */
export interface TakeIn {
  readonly builds: {
    readonly fresh: number;
    readonly same: number;
    readonly changed: number;
    readonly binned: number;
  };
  readonly runs: { readonly fresh: number; readonly known: number };
  readonly pictures: number;
  readonly shop: 'same' | 'added-to' | 'replaced' | 'kept';
  readonly faults: readonly ArchiveFault[];
}

const isSame = (one: unknown, other: unknown): boolean => JSON.stringify(one) === JSON.stringify(other);

/**
 * Takes an archive in. Merging adds what is not there: a build that is there otherwise stays as it is and comes in a second time under
 * another id; runs join by what happened in them; the shop gets lots, bottles and woods that it has not. Replacing puts the shop and
 * builds in place of what is there, as edits that can be undone, and the other builds into the bin; nothing is taken out of the log.
 * @param only whether it is only looked at.
 */
export async function takeIn(
  archive: Archive,
  whole: WholeShop,
  {
    mode,
    only = false,
    makeId,
  }: { readonly mode: TakeInMode; readonly only?: boolean; readonly makeId: () => string },
): Promise<TakeIn> {
  const builds = { fresh: 0, same: 0, changed: 0, binned: 0 };
  const runs = { fresh: 0, known: 0 };
  const faults: ArchiveFault[] = [];
  let pictures = 0;
  for (const { id, body } of archive.builds) {
    const there = await whole.builds.find(id);
    if (there === undefined) {
      builds.fresh += 1;
      // One of that id may lie in the bin.
      if (!only) await whole.builds.create((await whole.builds.knows(id)) ? makeId() : id, body);
    } else if (isSame(there.body, body)) builds.same += 1;
    else {
      builds.changed += 1;
      if (only) continue;
      if (mode === 'replace') await replaceBody(whole.builds, id, body);
      else await whole.builds.create(makeId(), { ...body, name: `${body.name} (read in)`.slice(0, 120) });
    }
  }
  if (mode === 'replace') builds.binned = await binOthers(archive, whole, only);
  for (const run of archive.runs) {
    const known = await whole.runs.knows(run.id);
    if (known) runs.known += 1;
    else runs.fresh += 1;
    if (only) continue;
    const { events, ...head } = run;
    try {
      await whole.runs.begin(head);
      await whole.runs.add(run.id, events);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      faults.push({ path: PATHS.run.of(run.id), says: error.message });
    }
  }
  for (const { run, id, bytes } of archive.pictures) {
    if (whole.pictures.find(run, id) !== undefined) continue;
    pictures += 1;
    if (only) continue;
    try {
      await whole.pictures.add(run, id, Buffer.from(bytes));
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      faults.push({ path: PATHS.picture.of(run, id), says: error.message });
    }
  }
  return { builds, runs, pictures, shop: await takeShop(archive.shop, whole, mode, only), faults };
}

async function binOthers(archive: Archive, { builds }: WholeShop, only: boolean): Promise<number> {
  const wanted = new Set(archive.builds.map(({ id }) => id));
  const others: string[] = [];
  for (let after: string | null | undefined; after !== null;) {
    const page = await builds.page({ limit: 200, after: after ?? undefined });
    others.push(...page.documents.map(({ id }) => id).filter((id) => !wanted.has(id)));
    after = page.next;
  }
  if (!only) for (const id of others) await builds.remove(id);
  return others.length;
}

async function takeShop(
  shop: ShopDocument,
  { shopId, shops }: WholeShop,
  mode: TakeInMode,
  only: boolean,
): Promise<TakeIn['shop']> {
  const there = await shops.find(shopId);
  if (there === undefined) {
    if (!only) await shops.create(shopId, shop);
    return 'replaced';
  }
  if (isSame(there.body, shop)) return 'same';
  const wanted = mode === 'replace' ? shop : addedTo(there.body, shop);
  if (isSame(there.body, wanted)) return 'kept';
  if (!only) await replaceBody(shops, shopId, wanted);
  return mode === 'replace' ? 'replaced' : 'added-to';
}

/** Lists of a shop whose rows have ids. */
const LISTS = ['rack', 'cauls', 'blocks', 'bottles', 'woods', 'methods', 'benches'] as const;

/** A shop with the lots, bottles, woods and spreaders of another that it has not. */
function addedTo(mine: ShopDocument, theirs: ShopDocument): ShopDocument {
  const more = LISTS.flatMap((list) => {
    const own: readonly { readonly id: string }[] = mine[list] ?? [];
    const known = new Set(own.map(({ id }) => id));
    const fresh = (theirs[list] ?? []).filter(({ id }) => !known.has(id));
    return fresh.length === 0 ? [] : [[list, [...own, ...fresh]] as const];
  });
  return { ...mine, ...Object.fromEntries(more) };
}

/** Puts another body in place of a document's, as one edit that can be undone. */
async function replaceBody<Body>(store: DocumentStore<Body>, id: string, body: Body): Promise<void> {
  for (;;) {
    const there = await store.find(id);
    if (there === undefined) return;
    const outcome = await store.edit(id, there.revision, {
      id: null,
      kind: 'edit',
      label: 'Read in',
      group: 'read-in',
      patch: createPatch(there.body, body),
      inverse: createPatch(body, there.body),
    });
    if (outcome.kind !== 'stale') return;
  }
}

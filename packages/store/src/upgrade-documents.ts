import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { RunDocument } from '@lean-clasp/core/formats';
import { summaryOf } from '@lean-clasp/core/runs';
import { sql } from 'kysely';
import type { Database } from './database';
import { DATABASE_FILE } from './folder';

/** A document that could not be brought up to date, and why. It stays as it is. */
export interface LeftBehind {
  readonly id: string;
  readonly why: string;
}

/** What came of bringing documents up to date. */
export interface UpgradeOutcome {
  readonly upgraded: number;
  readonly leftBehind: readonly LeftBehind[];
  /** The copy of the database from before; null where nothing had to be upgraded, or it lives in memory only. */
  readonly copy: string | null;
}

/** Label under which undo stops. */
const UPGRADE_LABEL = 'Brought up to date';

/**
 * Brings stored builds to the newest version: a copy of the database first, then all of them in one transaction, each with an entry in
 * its log at which undo stops, since edits from before name fields that are gone.
 * @param upgrade gives the document as it is now, checked; throws for one that cannot be.
 */
export async function upgradeBuilds(
  db: Database,
  folder: string,
  {
    version,
    upgrade,
    now,
  }: { readonly version: number; readonly upgrade: (body: unknown) => unknown; readonly now: () => number },
): Promise<UpgradeOutcome> {
  const rows = await db.selectFrom('documents').selectAll().where('kind', '=', 'build').execute();
  const old = rows.filter(({ body }) => versionOf(body) !== version);
  if (old.length === 0) return { upgraded: 0, leftBehind: [], copy: null };
  const copy = folder === ':memory:' ? null : await copyBefore(db, folder, version);
  const leftBehind: LeftBehind[] = [];
  await db.transaction().execute(async (trx) => {
    for (const row of old) {
      let body: unknown;
      try {
        body = upgrade(JSON.parse(row.body));
      } catch (error) {
        leftBehind.push({ id: row.id, why: error instanceof Error ? error.message : String(error) });
        continue;
      }
      const revision = row.revision + 1;
      await trx
        .updateTable('documents')
        .set({ body: JSON.stringify(body), revision })
        .where('id', '=', row.id)
        .execute();
      await trx
        .insertInto('document_edits')
        .values({
          document_id: row.id,
          revision,
          kind: 'upgrade',
          label: UPGRADE_LABEL,
          group_key: '',
          patch: '[]',
          inverse: '[]',
          at_ms: now(),
        })
        .execute();
    }
  });
  return { upgraded: old.length - leftBehind.length, leftBehind, copy };
}

/**
 * Brings runs to the newest version: what was frozen, what happened and what lists show, each in its place. A copy of the database
 * comes first; one that cannot be read stays as it is, and out of the lists.
 * @param upgrade gives the run as it is now, checked; throws for one that cannot be.
 */
export async function upgradeRuns(
  db: Database,
  folder: string,
  { version, upgrade }: { readonly version: number; readonly upgrade: (body: unknown) => RunDocument },
): Promise<UpgradeOutcome> {
  const old = await db.selectFrom('runs').selectAll().where('summary', '=', '').execute();
  const fresh = old.filter(({ body }) => versionOf(body) !== version);
  if (fresh.length === 0) return { upgraded: 0, leftBehind: [], copy: null };
  const copy = folder === ':memory:' ? null : await copyBefore(db, folder, `runs-${version}`);
  const leftBehind: LeftBehind[] = [];
  await db.transaction().execute(async (trx) => {
    for (const row of fresh) {
      let run: RunDocument;
      try {
        run = upgrade(JSON.parse(row.body));
      } catch (error) {
        leftBehind.push({ id: row.id, why: error instanceof Error ? error.message : String(error) });
        continue;
      }
      const { events, ...head } = run;
      const summary = summaryOf(run);
      await trx
        .updateTable('runs')
        .set({ body: JSON.stringify(head), summary: JSON.stringify(summary), state: summary.state })
        .where('id', '=', row.id)
        .execute();
      for (const event of events) {
        await trx
          .insertInto('run_events')
          .values({
            run_id: row.id,
            device: event.device,
            seq: event.seq,
            at_ms: event.atMs,
            body: JSON.stringify(event),
          })
          .execute();
      }
    }
  });
  return { upgraded: fresh.length - leftBehind.length, leftBehind, copy };
}

function versionOf(body: string): unknown {
  try {
    return (JSON.parse(body) as { version?: unknown }).version;
  } catch {
    return undefined;
  }
}

/** Copies the whole database beside itself; a copy that is there already is left alone. */
async function copyBefore(db: Database, folder: string, version: number | string): Promise<string> {
  const path = join(folder, DATABASE_FILE.replace('.sqlite', `.before-${version}.sqlite`));
  if (!existsSync(path)) await sql`VACUUM INTO ${path}`.execute(db);
  return path;
}

import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { RunDocument } from '@lean-clasp/core/formats';
import { summaryOf } from '@lean-clasp/core/runs';
import { sql } from 'kysely';
import type { Database } from './database';
import { DATABASE_FILE } from './folder';
import { eventRow } from './runs';

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

interface Stored {
  readonly id: string;
  readonly body: string;
}

/** How rows of one table are brought up to date. */
interface Upgrading<Row extends Stored, Document> {
  readonly rows: readonly Row[];
  readonly version: number;
  /** What the copy from before is called after. */
  readonly copyAs: string;
  /** Gives the document as it is now, checked; throws for one that cannot be. */
  readonly upgrade: (body: unknown) => Document;
  readonly write: (trx: Database, row: Row, document: Document) => Promise<void>;
}

/** Upgrades what is of another version: a copy of the database first, then all of them in one transaction. */
async function upgradeRows<Row extends Stored, Document>(
  db: Database,
  folder: string,
  { rows, version, copyAs, upgrade, write }: Upgrading<Row, Document>,
): Promise<UpgradeOutcome> {
  const old = rows.filter(({ body }) => versionOf(body) !== version);
  if (old.length === 0) return { upgraded: 0, leftBehind: [], copy: null };
  const copy = folder === ':memory:' ? null : await copyBefore(db, folder, copyAs);
  const leftBehind: LeftBehind[] = [];
  await db.transaction().execute(async (trx) => {
    for (const row of old) {
      let document: Document;
      try {
        document = upgrade(JSON.parse(row.body));
      } catch (error) {
        leftBehind.push({ id: row.id, why: error instanceof Error ? error.message : String(error) });
        continue;
      }
      await write(trx, row, document);
    }
  });
  return { upgraded: old.length - leftBehind.length, leftBehind, copy };
}

/**
 * Brings stored builds to the newest version, each with an entry in its log at which undo stops, since edits from before name fields
 * that are gone.
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
  return upgradeRows(db, folder, {
    rows: await db.selectFrom('documents').selectAll().where('kind', '=', 'build').execute(),
    version,
    copyAs: String(version),
    upgrade,
    write: async (trx, row, body) => {
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
    },
  });
}

/**
 * Brings runs to the newest version: what was frozen, what happened and what lists show, each in its place. One that cannot be read
 * stays as it is, and out of the lists.
 */
export async function upgradeRuns(
  db: Database,
  folder: string,
  { version, upgrade }: { readonly version: number; readonly upgrade: (body: unknown) => RunDocument },
): Promise<UpgradeOutcome> {
  return upgradeRows(db, folder, {
    rows: await db.selectFrom('runs').selectAll().where('summary', '=', '').execute(),
    version,
    copyAs: `runs-${version}`,
    upgrade,
    write: async (trx, row, run) => {
      const { events, ...head } = run;
      const summary = summaryOf(run);
      await trx
        .updateTable('runs')
        .set({ body: JSON.stringify(head), summary: JSON.stringify(summary), state: summary.state })
        .where('id', '=', row.id)
        .execute();
      for (const event of events) {
        await trx.insertInto('run_events').values(eventRow(row.id, event)).execute();
      }
    },
  });
}

function versionOf(body: string): unknown {
  try {
    return (JSON.parse(body) as { version?: unknown }).version;
  } catch {
    return undefined;
  }
}

/** Copies the whole database beside itself; a copy that is there already is left alone. */
async function copyBefore(db: Database, folder: string, what: string): Promise<string> {
  const path = join(folder, DATABASE_FILE.replace('.sqlite', `.before-${what}.sqlite`));
  if (!existsSync(path)) await sql`VACUUM INTO ${path}`.execute(db);
  return path;
}

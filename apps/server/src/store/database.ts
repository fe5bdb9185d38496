import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import { Kysely, Migrator } from 'kysely';
import { immediateDialect } from './immediate';
import { migrationProvider } from './migrations';
import type { Tables } from './tables';

/** An open database with its schema up to date. */
export type Database = Kysely<Tables>;

/** The database's file in its folder. */
export const DATABASE_FILE = 'lean-clasp.sqlite';

/** How long a writer waits for another before giving up. */
const BUSY_TIMEOUT_MS = 5000;

/**
 * Opens (and creates) the database in a folder and brings its schema up to date.
 * @param folder path, or `:memory:` for a throwaway database.
 */
export async function openDatabase(folder: string): Promise<Database> {
  if (folder !== ':memory:') mkdirSync(folder, { recursive: true });
  const sqlite = new SQLite(folder === ':memory:' ? folder : join(folder, DATABASE_FILE));
  sqlite.pragma('journal_mode = WAL');
  sqlite.pragma('foreign_keys = ON');
  sqlite.pragma(`busy_timeout = ${BUSY_TIMEOUT_MS}`);
  const db = new Kysely<Tables>({ dialect: immediateDialect(sqlite) });
  const { error } = await new Migrator({ db, provider: migrationProvider }).migrateToLatest();
  if (error !== undefined) {
    await db.destroy();
    throw error instanceof Error ? error : new Error('The database could not be brought up to date.');
  }
  return db;
}

import { existsSync, renameSync, rmSync, statSync } from 'node:fs';
import SQLite, { type Database as Sqlite } from 'better-sqlite3';
import { Kysely, Migrator } from 'kysely';
import { checkPages, databasePath, inWords, prepareFolder, StorageError } from './folder';
import { immediateDialect } from './immediate';
import { migrationProvider } from './migrations';
import type { Tables } from './tables';

/** An open database with its schema up to date. */
export type Database = Kysely<Tables>;

/** How long a writer waits for another before giving up. */
const BUSY_TIMEOUT_MS = 5000;
/** Marks a file as one of this program's ("LCLP"). */
const APPLICATION_ID = 0x4c434c50;

/**
 * Opens (and creates) the database in a folder and brings its schema up to date; a copy comes before, and takes its place again
 * should that fail.
 * @param folder path, or `:memory:` for a throwaway database.
 * @throws StorageError naming the file and what helps.
 */
export async function openDatabase(folder: string): Promise<Database> {
  const inMemory = folder === ':memory:';
  if (!inMemory) prepareFolder(folder);
  const path = inMemory ? folder : databasePath(folder);
  const stored = !inMemory && existsSync(path) && statSync(path).size > 0;
  let sqlite: Sqlite | undefined;
  try {
    sqlite = new SQLite(path);
    if (stored) checkOurs(sqlite, path);
    sqlite.pragma('journal_mode = WAL');
    sqlite.pragma('foreign_keys = ON');
    sqlite.pragma(`busy_timeout = ${BUSY_TIMEOUT_MS}`);
    sqlite.pragma(`application_id = ${APPLICATION_ID}`);
  } catch (error) {
    sqlite?.close();
    throw inWords(error, path);
  }
  const db = new Kysely<Tables>({ dialect: immediateDialect(sqlite) });
  const migrator = new Migrator({ db, provider: migrationProvider });
  const waiting = (await migrator.getMigrations()).filter(({ executedAt }) => executedAt === undefined);
  const copy = stored && waiting.length > 0 ? `${path}.before-${waiting[0]?.name ?? ''}` : null;
  if (copy !== null && !existsSync(copy)) sqlite.prepare('VACUUM INTO ?').run(copy);
  const { error } = await migrator.migrateToLatest();
  if (error === undefined) return db;
  await db.destroy();
  if (copy !== null) putBack(copy, path);
  throw error instanceof Error && /corrupted migrations/.test(error.message)
    ? new StorageError(
        'newer',
        path,
        `${path} was written by a later version of this program. It is left as it is.`,
        'Start that version, or name another folder with --data.',
      )
    : inWords(error, path);
}

/** Whether a file is a sound database of this program: one of before has no mark, and is known by its tables. */
function checkOurs(sqlite: Sqlite, path: string): void {
  checkPages(sqlite);
  const tables = sqlite.prepare("select name from sqlite_master where type = 'table'").pluck().all();
  const marked = sqlite.pragma('application_id', { simple: true }) === APPLICATION_ID;
  if (marked || tables.length === 0 || tables.includes('kysely_migration')) return;
  throw new StorageError(
    'foreign',
    path,
    `${path} belongs to another program. It is left as it is.`,
    'Name another folder with --data.',
  );
}

/** The database as it was before, in place of one that could not be brought up to date. */
function putBack(copy: string, path: string): void {
  for (const beside of ['-wal', '-shm']) rmSync(path + beside, { force: true });
  renameSync(copy, path);
}

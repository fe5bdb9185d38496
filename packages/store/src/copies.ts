import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { basename, join } from 'node:path';
import SQLite from 'better-sqlite3';
import { checkPages, databasePath, inWords, lockFolder, prepareFolder, StorageError } from './folder';

const COPIES = 'copies';
const NAME = /^lean-clasp-(\d{4})-(\d{2})-(\d{2})T(\d{2})(\d{2})(\d{2})\.sqlite$/;
const DAY_MS = 86_400_000;

/** Copies that are kept: the newest of each of the last days, weeks and months. */
const KEPT = { days: 7, weeks: 5, months: 12 } as const;

/** Name of a copy made at an instant; UTC, so that names sort by age. */
export const copyName = (atMs: number): string =>
  `lean-clasp-${new Date(atMs).toISOString().slice(0, 19).replaceAll(':', '')}.sqlite`;

/** When a copy was made, by its name; null for files of other names. */
export function copiedAtMs(name: string): number | null {
  const [, year, month, day, hour, minute, second] = NAME.exec(name) ?? [];
  return year === undefined
    ? null
    : Date.UTC(Number(year), Number(month) - 1, Number(day), Number(hour), Number(minute), Number(second));
}

/** Names of copies that are no longer kept: of each day, week and month the newest stays as long as it is among the last few. */
export function outdatedCopies(names: readonly string[]): string[] {
  const dated = names
    .flatMap((name) => {
      const atMs = copiedAtMs(name);
      return atMs === null ? [] : [{ name, atMs }];
    })
    .sort((a, b) => b.atMs - a.atMs);
  const keep = new Set<string>(dated.slice(0, 1).map(({ name }) => name));
  const newestOf = (period: (atMs: number) => number | string, count: number) => {
    const seen = new Set<number | string>();
    for (const { name, atMs } of dated) {
      const of = period(atMs);
      if (seen.has(of)) continue;
      seen.add(of);
      if (seen.size <= count) keep.add(name);
    }
  };
  newestOf((atMs) => Math.floor(atMs / DAY_MS), KEPT.days);
  newestOf((atMs) => Math.floor((atMs / DAY_MS + 3) / 7), KEPT.weeks);
  newestOf((atMs) => new Date(atMs).toISOString().slice(0, 7), KEPT.months);
  return dated.filter(({ name }) => !keep.has(name)).map(({ name }) => name);
}

/**
 * Copies the database of a folder, also while a server uses it: what the copy holds is one consistent moment.
 * @param to file; left out: a dated one in the folder "copies".
 * @returns the copy's path.
 * @throws StorageError where there is nothing to copy, or no room.
 */
export async function backUp(folder: string, nowMs: number, to?: string): Promise<string> {
  const from = databasePath(folder);
  if (!existsSync(from)) {
    throw new StorageError('gone', from, `There is no database at ${from}.`, 'Name its folder with --data.');
  }
  const path = to ?? join(folder, COPIES, copyName(nowMs));
  const half = `${path}.half`;
  try {
    if (to === undefined) mkdirSync(join(folder, COPIES), { recursive: true });
    const db = new SQLite(from, { readonly: true, fileMustExist: true });
    try {
      await db.backup(half);
    } finally {
      db.close();
    }
    // A copy that was cut off never looks like one.
    renameSync(half, path);
  } catch (error) {
    rmSync(half, { force: true });
    throw inWords(error, path);
  }
  return path;
}

/** Makes a copy where the last is older than a day, and lets old ones go. Returns the new one's path; null where none was due. */
export async function copyWhenDue(folder: string, nowMs: number): Promise<string | null> {
  const names = copyNames(folder);
  const lastMs = Math.max(...names.map((name) => copiedAtMs(name) ?? 0), 0);
  if (nowMs - lastMs < DAY_MS) return null;
  const path = await backUp(folder, nowMs);
  for (const name of outdatedCopies([...names, basename(path)])) {
    rmSync(join(folder, COPIES, name), { force: true });
  }
  return path;
}

/** Names of the dated copies in a folder, the oldest first. */
export function copyNames(folder: string): string[] {
  const path = join(folder, COPIES);
  return existsSync(path)
    ? readdirSync(path)
        .filter((name) => NAME.test(name))
        .sort()
    : [];
}

/**
 * Puts a copy in the place of a folder's database, which goes among the copies first. No server may use the folder.
 * @returns where the database of before lies; null where there was none.
 * @throws StorageError where the copy is no sound database, or the folder is in use.
 */
export async function restore(folder: string, copy: string, nowMs: number): Promise<string | null> {
  if (!existsSync(copy) || !statSync(copy).isFile()) {
    throw new StorageError(
      'gone',
      copy,
      `There is no file ${copy}.`,
      'Name a copy, such as one of "copies".',
    );
  }
  checkSound(copy);
  prepareFolder(folder);
  const lock = lockFolder(folder);
  try {
    const path = databasePath(folder);
    const before = existsSync(path) ? await setAside(folder, nowMs) : null;
    for (const beside of ['', '-wal', '-shm']) rmSync(path + beside, { force: true });
    const source = new SQLite(copy, { readonly: true });
    try {
      await source.backup(path);
    } finally {
      source.close();
    }
    return before;
  } finally {
    lock.release();
  }
}

/** The database of now among the copies; one too damaged to be copied is moved as it is. */
async function setAside(folder: string, nowMs: number): Promise<string> {
  try {
    return await backUp(folder, nowMs);
  } catch {
    const path = join(folder, COPIES, `damaged-${copyName(nowMs)}`);
    mkdirSync(join(folder, COPIES), { recursive: true });
    renameSync(databasePath(folder), path);
    return path;
  }
}

function checkSound(path: string): void {
  try {
    const db = new SQLite(path, { readonly: true });
    try {
      checkPages(db);
      db.prepare('select count(*) from documents').get();
    } finally {
      db.close();
    }
  } catch {
    throw new StorageError(
      'damaged',
      path,
      `${path} is no sound copy of a database of this program.`,
      'Choose another copy; the dated ones lie in the folder "copies".',
    );
  }
}

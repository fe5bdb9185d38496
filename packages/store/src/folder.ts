import { accessSync, constants, existsSync, mkdirSync, statSync } from 'node:fs';
import { join, resolve } from 'node:path';
import SQLite, { type Database } from 'better-sqlite3';
import envPaths from 'env-paths';

/** What is wrong with the data folder or its database, in words for whoever started the program. */
export class StorageError extends Error {
  constructor(
    readonly code:
      'in-use' | 'not-a-folder' | 'read-only' | 'damaged' | 'foreign' | 'newer' | 'full' | 'gone',
    /** File or folder that it is about. */
    readonly path: string,
    what: string,
    /** What helps. */
    readonly remedy: string,
  ) {
    super(`${what} ${remedy}`);
    this.name = 'StorageError';
  }
}

/** The database's file in its folder. */
export const DATABASE_FILE = 'lean-clasp.sqlite';
/** Held by the one server that uses a folder; let go by the system when it ends, however it ends. */
const LOCK_FILE = 'lean-clasp.lock';

/** Where data lies: the folder named, else that of the environment, else this system's usual place. */
export const dataFolder = (
  named: string | undefined,
  env: Readonly<Record<string, string | undefined>>,
): string => resolve(named ?? env.LEAN_CLASP_DATA ?? envPaths('lean-clasp', { suffix: '' }).data);

export const databasePath = (folder: string): string => join(folder, DATABASE_FILE);

const remedies = {
  folder: 'Name a folder that you may write to with --data, or give yourself the right to it.',
  restore:
    'Put a copy in its place with "lean-clasp restore"; the copies lie in the folder "copies" beside it.',
};

/** Makes the folder if it is not there. @throws StorageError where it cannot be, or not be written to. */
export function prepareFolder(folder: string): void {
  try {
    mkdirSync(folder, { recursive: true });
    if (!statSync(folder).isDirectory()) throw new Error('no folder');
  } catch (error) {
    throw isDenied(error)
      ? new StorageError('read-only', folder, `${folder} may not be made.`, remedies.folder)
      : new StorageError('not-a-folder', folder, `${folder} is no folder.`, 'Name a folder with --data.');
  }
  try {
    accessSync(folder, constants.R_OK | constants.W_OK);
    if (existsSync(databasePath(folder))) accessSync(databasePath(folder), constants.R_OK | constants.W_OK);
  } catch {
    throw new StorageError('read-only', folder, `${folder} may not be written to.`, remedies.folder);
  }
}

const isDenied = (error: unknown): boolean => ['EACCES', 'EPERM', 'EROFS'].includes(codeOf(error));

/** A folder that nobody else uses until it is let go. */
export interface FolderLock {
  readonly release: () => void;
}

/** Takes a folder for this process. @throws StorageError `in-use` where another has it. */
export function lockFolder(folder: string): FolderLock {
  const path = join(folder, LOCK_FILE);
  const lock = new SQLite(path, { timeout: 0 });
  try {
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock.close();
    if (!codeOf(error).startsWith('SQLITE_BUSY')) throw inWords(error, path);
    throw new StorageError(
      'in-use',
      folder,
      `Another server already uses ${folder}.`,
      'Stop it, or name another folder with --data.',
    );
  }
  return { release: () => lock.close() };
}

/** @throws an error with SQLite's own code where the pages of a database do not hang together. */
export function checkPages(db: Database): void {
  const [soundness] = db.pragma('quick_check(1)') as { quick_check: string }[];
  if (soundness?.quick_check !== 'ok') {
    throw Object.assign(new Error(soundness?.quick_check), { code: 'SQLITE_CORRUPT' });
  }
}

/** What SQLite or the system says, in words; errors of other kinds as they are. */
export function inWords(error: unknown, path: string): unknown {
  const code = codeOf(error);
  if (code === 'SQLITE_NOTADB' || code.startsWith('SQLITE_CORRUPT')) {
    return new StorageError(
      'damaged',
      path,
      `${path} is damaged, or no database of this program. It is left as it is.`,
      remedies.restore,
    );
  }
  if (code.startsWith('SQLITE_READONLY') || code === 'SQLITE_CANTOPEN' || isDenied(error)) {
    return new StorageError('read-only', path, `${path} may not be written to.`, remedies.folder);
  }
  if (code === 'SQLITE_FULL' || code === 'ENOSPC') {
    return new StorageError(
      'full',
      path,
      `There is no room left on the disk of ${path}. Nothing was changed.`,
      'Make room; what was typed meanwhile is kept in the browser and goes in by itself.',
    );
  }
  if (code.startsWith('SQLITE_IOERR')) return gone(path);
  return error;
}

/** The database's file is no longer where it was. */
export const gone = (path: string): StorageError =>
  new StorageError(
    'gone',
    path,
    `${path} is no longer there, or cannot be read.`,
    'Put the folder back where it was and start again; what is typed meanwhile is kept in the browser.',
  );

const codeOf = (error: unknown): string =>
  typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';

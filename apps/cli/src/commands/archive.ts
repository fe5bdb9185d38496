import { randomUUID } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import {
  gatherArchive,
  openWholeShop,
  packArchive,
  takeIn,
  unpackArchive,
  type WholeShop,
} from '@lean-clasp/archive';
import { dataFolder, lockFolder, prepareFolder } from '@lean-clasp/store';
import { createValidator, type Validator } from '@lean-clasp/validation';
import type { Command } from '../command';
import { usageError } from '../options';
import { EXIT } from '../terminal';

/** Opens everything of a data folder for as long as it is worked with. */
async function withShop<T>(
  folder: string,
  validator: Validator,
  work: (whole: WholeShop) => Promise<T>,
): Promise<T> {
  const { whole, close } = await openWholeShop(folder, validator);
  try {
    return await work(whole);
  } finally {
    await close();
  }
}

/** Everything as one file, also while a server uses it. */
export const EXPORT: Command = {
  usage: 'export --to FILE.zip [--data DIR]',
  about: 'everything of a shop as one zip file: JSON, tables, pictures and a page that lists them',
  run: async ({ values }, terminal) => {
    const { to } = values;
    if (to === undefined) throw usageError('to', 'Say where the archive goes.', 'the path of a zip file');
    const folder = dataFolder(values.data, process.env);
    const archive = await withShop(folder, createValidator(), gatherArchive);
    writeFileSync(to, await packArchive(archive, Date.now()));
    terminal.out(resolve(to));
    return EXIT.ok;
  },
};

/** An archive taken in; no server may use the folder meanwhile. */
export const IMPORT: Command = {
  usage: 'import FILE.zip [--data DIR] [--replace] [--look]',
  about:
    'takes an archive in: adds what is not there, or puts it in place of what is; --look only says what would come of it',
  run: async ({ values, positionals }, terminal) => {
    const file = positionals[1];
    if (file === undefined) throw usageError('file', 'Say which archive.', 'the path of a zip file');
    const validator = createValidator();
    const { archive, faults } = await unpackArchive(readArchive(file), validator);
    const folder = dataFolder(values.data, process.env);
    prepareFolder(folder);
    const lock = lockFolder(folder);
    try {
      const mode = values.replace === true ? 'replace' : 'merge';
      const only = values.look === true;
      const outcome = await withShop(folder, validator, (whole) =>
        takeIn(archive, whole, { mode, only, makeId: () => randomUUID() }),
      );
      terminal.out(JSON.stringify({ ...outcome, faults: [...faults, ...outcome.faults] }));
    } finally {
      lock.release();
    }
    return EXIT.ok;
  },
};

function readArchive(path: string): Uint8Array {
  try {
    return readFileSync(path);
  } catch {
    throw usageError('file', `The file ${path} cannot be read.`, 'a zip file that Lean Clasp saved');
  }
}

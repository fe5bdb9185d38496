import { resolve } from 'node:path';
import { backUp, dataFolder, openDatabase, passphraseStore, restore, ROLES } from '@lean-clasp/store';
import type { Command } from '../command';
import { usageError } from '../options';
import { EXIT } from '../terminal';

/** A copy of everything, also while a server uses it. */
export const BACKUP: Command = {
  usage: 'backup [--data DIR] [--to FILE]',
  about: 'copies the database, also while a server uses it',
  run: async ({ values }, terminal) => {
    terminal.out(await backUp(dataFolder(values.data, process.env), Date.now(), values.to));
    return EXIT.ok;
  },
};

/** A copy put back. */
export const RESTORE: Command = {
  usage: 'restore FILE [--data DIR]',
  about: 'puts a copy in its place; the server must be stopped',
  run: async ({ values, positionals }, terminal) => {
    const copy = positionals[1];
    if (copy === undefined) throw usageError('file', 'Say which copy.', 'the path of a copy');
    const before = await restore(dataFolder(values.data, process.env), resolve(copy), Date.now());
    terminal.out(before === null ? 'Restored.' : `Restored; what was there before lies at ${before}`);
    return EXIT.ok;
  },
};

/** Sets or takes away what lets others in from the network; a server that runs goes by it at once. */
export const PASSPHRASE: Command = {
  usage: 'passphrase owner|bench [--data DIR] [--remove]',
  about: 'reads one line: who knows it gets in from the network',
  run: async ({ values, positionals }, terminal) => {
    const role = ROLES.find((each) => each === positionals[1]);
    if (role === undefined) throw usageError('role', 'Say whose passphrase.', ROLES.join(' or '));
    const db = await openDatabase(dataFolder(values.data, process.env));
    try {
      const phrases = passphraseStore(db, Date.now);
      if (values.remove === true) await phrases.remove(role);
      else await phrases.set(role, (await terminal.readInput()).split('\n')[0] ?? '');
      terminal.out(values.remove === true ? 'Taken away.' : 'Set.');
      return EXIT.ok;
    } finally {
      await db.destroy();
    }
  },
};

import { InputError } from '@lean-clasp/core/basics';
import { StorageError } from '@lean-clasp/store';
import { errorBody } from '@lean-clasp/validation';
import type { Command } from './command';
import { EXPORT, IMPORT } from './commands/archive';
import { BACKUP, PASSPHRASE, RESTORE } from './commands/data';
import { SHEET, TEMPLATES } from './commands/paper';
import { CALC, CHECK, LIST, PLAN } from './commands/planning';
import { SENSOR } from './commands/sensor';
import { SERVE } from './commands/serve';
import { readOptions, usageError } from './options';
import { EXIT, processTerminal, type Terminal } from './terminal';

/** Every command by its name, in the order in which help lists them. */
const COMMANDS: Readonly<Record<string, Command>> = {
  plan: PLAN,
  check: CHECK,
  sheet: SHEET,
  templates: TEMPLATES,
  calc: CALC,
  list: LIST,
  export: EXPORT,
  import: IMPORT,
  backup: BACKUP,
  restore: RESTORE,
  serve: SERVE,
  passphrase: PASSPHRASE,
  sensor: SENSOR,
};

const usage = (): string =>
  Object.values(COMMANDS)
    .map(({ usage: how, about }) => `lean-clasp ${how}\n    ${about}`)
    .join('\n');

/** Runs the command line and returns its exit code. */
export async function main(args: readonly string[], terminal: Terminal = processTerminal): Promise<number> {
  try {
    return await dispatch(args, terminal);
  } catch (error) {
    if (error instanceof StorageError) {
      terminal.err(error.message);
      return EXIT.storage;
    }
    if (!(error instanceof InputError)) throw error;
    terminal.err(JSON.stringify(errorBody(error)));
    return EXIT.badInput;
  }
}

async function dispatch(args: readonly string[], terminal: Terminal): Promise<number> {
  const asked = readOptions(args);
  const [name] = asked.positionals;
  if (asked.values.help === true || name === undefined) {
    terminal.out(usage());
    return EXIT.ok;
  }
  const command = COMMANDS[name];
  if (command === undefined) {
    throw usageError('command', `There is no command "${name}".`, Object.keys(COMMANDS).join(', '));
  }
  return command.run(asked, terminal);
}

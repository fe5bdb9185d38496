import { readFileSync } from 'node:fs';
import { text } from 'node:stream/consumers';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { listAdhesives } from '@lean-clasp/core/adhesives';
import { InputError } from '@lean-clasp/core/basics';
import { listClampKinds } from '@lean-clasp/core/clamps';
import { listSpecies } from '@lean-clasp/core/materials';
import { listSpreadMethods } from '@lean-clasp/core/spread';
import {
  backUp,
  dataFolder,
  openDatabase,
  passphraseStore,
  restore,
  ROLES,
  StorageError,
} from '@lean-clasp/store';
import { createCalculator, errorBody, planReply } from '@lean-clasp/validation';
import { formatFor, saidPlan } from '@lean-clasp/words';
import { SENSOR_PORT, startSensor } from './sensor';

const USAGE = `lean-clasp plan [--in FILE]            a build, or a kind with its answers, in; its settled plan out
lean-clasp calc NAME [--in FILE]   one JSON object in, one JSON object out
lean-clasp calc --list             calculations with their JSON Schemas
lean-clasp list species|adhesives|clamps|methods
lean-clasp backup [--data DIR] [--to FILE]   copies the database, also while a server uses it
lean-clasp restore FILE [--data DIR]   puts a copy in its place; the server must be stopped
lean-clasp passphrase owner|bench [--data DIR] [--remove]   reads one line: who knows it gets in from the network
lean-clasp sensor [--port N] [--seed N]   a stand-in for a thermo-hygrometer, until it is stopped
`;

/** Exit codes of the command. */
const EXIT = Object.freeze({ ok: 0, badInput: 2, storage: 3 });

const CATALOGUES: Readonly<Record<string, () => readonly unknown[]>> = {
  species: listSpecies,
  adhesives: listAdhesives,
  clamps: listClampKinds,
  methods: listSpreadMethods,
};

/** Where the command reads and writes, passed in so that tests need no process. */
export interface Terminal {
  readonly readInput: () => Promise<string>;
  readonly out: (line: string) => void;
  readonly err: (line: string) => void;
}

const processTerminal: Terminal = {
  readInput: () => text(process.stdin),
  out: (line) => process.stdout.write(`${line}\n`),
  err: (line) => process.stderr.write(`${line}\n`),
};

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
  const { values, positionals } = parsed(args);
  const [command, name] = positionals;
  if (values.help === true || command === undefined) {
    terminal.out(USAGE.trimEnd());
    return EXIT.ok;
  }
  if (command === 'list') return listCatalogue(name, terminal);
  if (command === 'sensor') return runSensor(values, terminal);
  if (command === 'plan') {
    const source = values.in === undefined ? await terminal.readInput() : readFile(values.in);
    const reply = planReply(parseJson(source));
    terminal.out(JSON.stringify(saidPlan(reply, formatFor('metric'))));
    return EXIT.ok;
  }
  if (command === 'backup') {
    terminal.out(await backUp(dataFolder(values.data, process.env), Date.now(), values.to));
    return EXIT.ok;
  }
  if (command === 'restore') return runRestore(name, values.data, terminal);
  if (command === 'passphrase') return runPassphrase(name, values, terminal);
  if (command !== 'calc') {
    throw usageError(
      'command',
      `There is no command "${command}".`,
      'plan, calc, list, backup, restore, passphrase or sensor',
    );
  }
  const calculator = createCalculator();
  if (values.list === true) {
    terminal.out(JSON.stringify(calculator.list(), null, 2));
    return EXIT.ok;
  }
  if (name === undefined) {
    throw usageError('name', 'Say which calculation.', 'a name from lean-clasp calc --list');
  }
  const source = values.in === undefined ? await terminal.readInput() : readFile(values.in);
  terminal.out(JSON.stringify(calculator.run(name, parseJson(source))));
  return EXIT.ok;
}

async function runRestore(
  copy: string | undefined,
  data: string | undefined,
  terminal: Terminal,
): Promise<number> {
  if (copy === undefined) throw usageError('file', 'Say which copy.', 'the path of a copy');
  const before = await restore(dataFolder(data, process.env), resolve(copy), Date.now());
  terminal.out(before === null ? 'Restored.' : `Restored; what was there before lies at ${before}`);
  return EXIT.ok;
}

/** Sets or takes away what lets others in from the network; a server that runs goes by it at once. */
async function runPassphrase(
  name: string | undefined,
  { data, remove }: { readonly data?: string | undefined; readonly remove?: boolean | undefined },
  terminal: Terminal,
): Promise<number> {
  const role = ROLES.find((each) => each === name);
  if (role === undefined) throw usageError('role', 'Say whose passphrase.', ROLES.join(' or '));
  const db = await openDatabase(dataFolder(data, process.env));
  try {
    const phrases = passphraseStore(db, Date.now);
    if (remove === true) await phrases.remove(role);
    else await phrases.set(role, (await terminal.readInput()).split('\n')[0] ?? '');
    terminal.out(remove === true ? 'Taken away.' : 'Set.');
    return EXIT.ok;
  } finally {
    await db.destroy();
  }
}

/** Runs the sensor until the process is told to stop. */
async function runSensor(
  { port, seed }: { readonly port?: string | undefined; readonly seed?: string | undefined },
  terminal: Terminal,
): Promise<number> {
  const sensor = await startSensor({
    port: wholeNumber(port ?? String(SENSOR_PORT), 'port', 65535),
    seed: wholeNumber(seed ?? '1', 'seed', 1e6),
    now: () => new Date(),
  });
  terminal.out(`A made-up shop's air answers at ${sensor.url}`);
  await new Promise<void>((done) => {
    process.once('SIGINT', done);
    process.once('SIGTERM', done);
  });
  await sensor.stop();
  return EXIT.ok;
}

function wholeNumber(text: string, field: string, most: number): number {
  const value = Number(text);
  if (!Number.isInteger(value) || value < 0 || value > most) {
    throw usageError(field, `${field} is ${text}; it must be a whole number.`, `0 to ${most}`);
  }
  return value;
}

function parsed(args: readonly string[]) {
  try {
    return parseArgs({
      args: [...args],
      allowPositionals: true,
      options: {
        in: { type: 'string' },
        list: { type: 'boolean' },
        port: { type: 'string' },
        seed: { type: 'string' },
        data: { type: 'string' },
        to: { type: 'string' },
        remove: { type: 'boolean' },
        help: { type: 'boolean', short: 'h' },
      },
    });
  } catch (error) {
    throw usageError(
      'options',
      error instanceof Error ? error.message : 'Unknown option.',
      '--in FILE, --list, --port N, --seed N, --data DIR, --to FILE, --remove, --help',
    );
  }
}

function listCatalogue(name: string | undefined, terminal: Terminal): number {
  const catalogue = CATALOGUES[name ?? ''];
  if (catalogue === undefined) {
    throw usageError(
      'catalogue',
      `There is no catalogue "${name ?? ''}".`,
      Object.keys(CATALOGUES).join(', '),
    );
  }
  terminal.out(JSON.stringify(catalogue(), null, 2));
  return EXIT.ok;
}

function readFile(path: string): string {
  try {
    return readFileSync(path, 'utf8');
  } catch {
    throw usageError('in', `The file ${path} cannot be read.`, 'a readable file with one JSON object');
  }
}

function parseJson(source: string): unknown {
  try {
    return JSON.parse(source) as unknown;
  } catch {
    throw usageError('', 'The input is not JSON.', 'one JSON object');
  }
}

function usageError(field: string, message: string, allowed: string): InputError {
  return new InputError('inconsistent', field, message, allowed);
}

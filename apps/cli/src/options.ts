import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { InputError } from '@lean-clasp/core/basics';
import type { Terminal } from './terminal';

/** Every option of every command. */
const OPTIONS = {
  in: { type: 'string' },
  to: { type: 'string' },
  data: { type: 'string' },
  paper: { type: 'string' },
  units: { type: 'string' },
  format: { type: 'string' },
  session: { type: 'string' },
  port: { type: 'string' },
  host: { type: 'string' },
  name: { type: 'string' },
  sensor: { type: 'string' },
  seed: { type: 'string' },
  list: { type: 'boolean' },
  json: { type: 'boolean' },
  https: { type: 'boolean' },
  demo: { type: 'boolean' },
  remove: { type: 'boolean' },
  replace: { type: 'boolean' },
  look: { type: 'boolean' },
  help: { type: 'boolean', short: 'h' },
} as const;

/** What stands on the command line. */
export interface Asked {
  readonly values: {
    readonly [Name in keyof typeof OPTIONS]?:
      ((typeof OPTIONS)[Name]['type'] extends 'string' ? string : boolean) | undefined;
  };
  readonly positionals: readonly string[];
}

/** @throws InputError for an option that there is not. */
export function readOptions(args: readonly string[]): Asked {
  try {
    return parseArgs({ args: [...args], allowPositionals: true, options: OPTIONS });
  } catch (error) {
    throw usageError(
      'options',
      error instanceof Error ? error.message : 'Unknown option.',
      Object.keys(OPTIONS)
        .map((name) => `--${name}`)
        .join(', '),
    );
  }
}

/** One JSON object, from a file or from what is typed in. */
export async function readJson({ values }: Asked, terminal: Terminal): Promise<unknown> {
  const source = values.in === undefined ? await terminal.readInput() : readFile(values.in);
  try {
    return JSON.parse(source) as unknown;
  } catch {
    throw usageError('', 'The input is not JSON.', 'one JSON object');
  }
}

function readFile(path: string): string {
  try {
    return readFileSync(path, 'utf8');
  } catch {
    throw usageError('in', `The file ${path} cannot be read.`, 'a readable file with one JSON object');
  }
}

/** A whole number that was asked for by an option. */
export function wholeNumber(text: string, field: string, most: number): number {
  const value = Number(text);
  if (!Number.isInteger(value) || value < 0 || value > most) {
    throw usageError(field, `${field} is ${text}; it must be a whole number.`, `0 to ${most}`);
  }
  return value;
}

/** One of a few words that was asked for by an option. */
export function oneOf<Word extends string>(
  text: string | undefined,
  field: string,
  words: readonly [Word, ...Word[]],
): Word {
  if (text === undefined) return words[0];
  const found = words.find((word) => word === text);
  if (found === undefined) throw usageError(field, `${field} is "${text}".`, words.join(' or '));
  return found;
}

/** What is wrong with how the command was called. */
export const usageError = (field: string, message: string, allowed: string): InputError =>
  new InputError('inconsistent', field, message, allowed);

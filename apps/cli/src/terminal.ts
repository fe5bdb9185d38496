import { text } from 'node:stream/consumers';

/** Exit codes of the command. */
export const EXIT = Object.freeze({ ok: 0, fails: 1, badInput: 2, storage: 3 });

/** Where the command reads and writes, passed in so that tests need no process. */
export interface Terminal {
  readonly readInput: () => Promise<string>;
  readonly out: (line: string) => void;
  readonly err: (line: string) => void;
}

export const processTerminal: Terminal = {
  readInput: () => text(process.stdin),
  out: (line) => process.stdout.write(`${line}\n`),
  err: (line) => process.stderr.write(`${line}\n`),
};

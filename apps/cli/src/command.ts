import type { Asked } from './options';
import type { Terminal } from './terminal';

/** One command: how it is called, what it does in a line, and what it does. */
export interface Command {
  readonly usage: string;
  readonly about: string;
  /** @returns the exit code. */
  readonly run: (asked: Asked, terminal: Terminal) => Promise<number>;
}

import { mkdirSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { fullSizeItems, isPrintable } from '@lean-clasp/core/full-size';
import type { PaperAsk } from '@lean-clasp/paper';
import { askedPlan } from '@lean-clasp/validation';
import { fullSizeName } from '@lean-clasp/words';
import type { Command } from '../command';
import { type Asked, oneOf, readJson, usageError, wholeNumber } from '../options';
import { EXIT } from '../terminal';

const MOST_SESSIONS = 200;
const FORMATS = ['pdf', 'svg', 'dxf', 'stl', '3mf'] as const satisfies readonly PaperAsk['format'][];

// What writes files is read in only where one is written: every other command starts the sooner.

/** How a file of a plan is wanted. */
const wishesOf = ({
  values,
}: Asked): Pick<PaperAsk, 'paper' | 'units' | 'session' | 'link' | 'today' | 'closesInMin'> => ({
  paper: oneOf(values.paper, 'paper', ['a4', 'letter']),
  units: oneOf(values.units, 'units', ['metric', 'imperial']),
  session: values.session === undefined ? null : wholeNumber(values.session, 'session', MOST_SESSIONS) - 1,
  link: null,
  today: new Date().toISOString().slice(0, 10),
  closesInMin: null,
});

/** The sheet for the wall above the bench. */
export const SHEET: Command = {
  usage: 'sheet --to FILE.pdf [--in FILE] [--paper a4|letter] [--units metric|imperial] [--session N]',
  about: 'the glue-up sheet of a build',
  run: async (asked, terminal) => {
    const { to } = asked.values;
    if (to === undefined) throw usageError('to', 'Say where the sheet goes.', 'the path of a PDF file');
    const plan = askedPlan(await readJson(asked, terminal));
    const { paperOf } = await import('@lean-clasp/paper');
    const { bytes } = await paperOf(plan, { what: 'sheet', format: 'pdf', ...wishesOf(asked) });
    save(to, bytes);
    terminal.out(resolve(to));
    return EXIT.ok;
  },
};

/** Templates at full size. */
export const TEMPLATES: Command = {
  usage:
    'templates [--to DIR] [--in FILE] [--format pdf|svg|dxf|stl|3mf] [--paper a4|letter] [--units metric|imperial]',
  about: 'what a build needs at full size: listed, or written into a folder',
  run: async (asked, terminal) => {
    const plan = askedPlan(await readJson(asked, terminal));
    const format = oneOf(asked.values.format, 'format', FORMATS);
    const { to } = asked.values;
    const { paperOf } = await import('@lean-clasp/paper');
    if (to !== undefined) mkdirSync(to, { recursive: true });
    for (const item of fullSizeItems(plan)) {
      if (to === undefined) {
        terminal.out(`${item.id}: ${fullSizeName(item)}`);
        continue;
      }
      // What is no block cannot be printed.
      if ((format === 'stl' || format === '3mf') && !isPrintable(item)) continue;
      const path = join(to, `${item.id}.${format}`);
      const file = await paperOf(plan, { what: 'full-size', item: item.id, format, ...wishesOf(asked) });
      save(path, file.bytes);
      terminal.out(resolve(path));
    }
    return EXIT.ok;
  },
};

function save(path: string, bytes: Uint8Array): void {
  try {
    writeFileSync(path, bytes);
  } catch {
    throw usageError('to', `${path} cannot be written.`, 'a path in a folder that can be written to');
  }
}

import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Command } from '../command';
import { usageError, wholeNumber } from '../options';
import { EXIT } from '../terminal';

const SERVER = join(dirname(fileURLToPath(import.meta.url)), '../../../server/dist/main.js');

/** Options that the server takes as they are. */
const TEXTS = ['data', 'port', 'host', 'name', 'sensor'] as const;
const SWITCHES = ['https', 'demo'] as const;

/** Serves the web app and its data until the process is told to stop. */
export const SERVE: Command = {
  usage: 'serve [--data DIR] [--port N] [--host H] [--name NAME] [--https] [--demo] [--sensor ADDRESS]',
  about: 'the web app for a browser, and for the shop’s network where --host says so, until it is stopped',
  run: async ({ values }, terminal) => {
    if (!existsSync(SERVER)) {
      throw usageError('command', 'The web app is not built yet.', 'npm run build, then the same again');
    }
    if (values.port !== undefined) wholeNumber(values.port, 'port', 65535);
    const args = [
      ...TEXTS.flatMap((name) => (values[name] === undefined ? [] : [`--${name}`, values[name]])),
      ...SWITCHES.flatMap((name) => (values[name] === true ? [`--${name}`] : [])),
    ];
    const server = spawn(process.execPath, [SERVER, ...args], { stdio: ['ignore', 'pipe', 'pipe'] });
    server.stdout.on('data', (said: Buffer) => terminal.out(said.toString().trimEnd()));
    server.stderr.on('data', (said: Buffer) => terminal.err(said.toString().trimEnd()));
    const stop = () => void server.kill('SIGTERM');
    process.once('SIGINT', stop);
    process.once('SIGTERM', stop);
    const code = await new Promise<number | null>((done) => server.once('exit', done));
    return code === 0 ? EXIT.ok : EXIT.storage;
  },
};

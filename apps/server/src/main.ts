import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { InputError } from '@lean-clasp/core/basics';
import pino from 'pino';
import { version } from '../package.json';
import { readOptions } from './config/options';
import { type RunningServer, startServer } from './server';
import type { WorkerProgram } from './work/pool';

const here = dirname(fileURLToPath(import.meta.url));

/** The bundled worker beside the bundled server; from source, its source. */
const workerProgram = (): WorkerProgram =>
  import.meta.url.endsWith('.ts')
    ? { file: join(here, 'work/worker.ts'), execArgv: ['--import', 'tsx'] }
    : { file: join(here, 'worker.js') };

/** Where others find it, and what they need. */
const networkLines = ({ addresses, open }: Pick<RunningServer, 'addresses' | 'open'>): string =>
  [
    `On the network: ${addresses.join('  ')}`,
    open
      ? 'Others come in with a passphrase.'
      : 'Nobody else comes in until a passphrase is set, at this machine under Shop or with "lean-clasp passphrase".',
  ].join('\n');

async function main(): Promise<void> {
  const logger = pino({ level: process.env.LEAN_CLASP_LOG ?? 'warn' });
  const options = readOptions(process.argv.slice(2), process.env);
  const running = await startServer(options, {
    logger,
    now: () => Date.now(),
    // Both src/ and dist/ sit beside each other, two folders above the web app.
    webRoot: join(here, '../../web/dist'),
    version,
    worker: workerProgram(),
  });
  process.stdout.write(`Lean Clasp answers at ${running.url}\nData in ${options.dataDir}\n`);
  if (running.addresses.length > 0) process.stdout.write(`${networkLines(running)}\n`);
  const stop = () => {
    running.stop().then(
      () => process.exit(0),
      (error: unknown) => {
        logger.error({ err: error }, 'stop failed');
        process.exit(1);
      },
    );
  };
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
}

main().catch((error: unknown) => {
  const message = error instanceof Error ? error.message : String(error);
  const allowed = error instanceof InputError ? ` Allowed: ${error.allowed}.` : '';
  process.stderr.write(`Lean Clasp could not start: ${message}${allowed}\n`);
  process.exit(1);
});

import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pino from 'pino';
import type { WorkerProgram } from '../src/work/pool';
import { type RunningServer, startServer } from '../src/server';

/** Workers run from source, as in development. */
export const WORKER: WorkerProgram = {
  file: join(__dirname, '../src/work/worker.ts'),
  execArgv: ['--import', 'tsx'],
};

/** A real server on a free port with a folder of its own. */
export interface TestServer extends RunningServer {
  readonly dataDir: string;
  readonly discard: () => Promise<void>;
}

/** Starts the server as production does, on demo data unless told otherwise. */
export async function startTestServer(
  options: { demo?: boolean; dataDir?: string; https?: boolean; host?: string } = {},
): Promise<TestServer> {
  const dataDir = options.dataDir ?? mkdtempSync(join(tmpdir(), 'lean-clasp-http-'));
  const running = await startServer(
    {
      dataDir,
      port: 0,
      portNamed: true,
      host: options.host ?? '127.0.0.1',
      names: [],
      https: options.https ?? false,
      demo: options.demo ?? true,
      sensor: null,
    },
    { logger: pino({ level: 'silent' }), now: () => 1_780_000_000_000, version: 'test', worker: WORKER },
  );
  return {
    ...running,
    dataDir,
    discard: async () => {
      await running.stop();
      rmSync(dataDir, { recursive: true, force: true });
    },
  };
}

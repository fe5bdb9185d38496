import { spawn } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { SERVER_ENTRY } from './build.mjs';

const ANSWER = /answers at (http:\S+)/;

/** A throwaway folder for data. */
export const makeDataFolder = () => mkdtempSync(join(tmpdir(), 'lean-clasp-data-'));

/** A throwaway folder with the same in it as another, which no server may have open. */
export function copyOf(folder) {
  const copy = makeDataFolder();
  cpSync(folder, copy, { recursive: true });
  return copy;
}

/**
 * Starts the built server on any free port.
 * @param {{ data: string, demo?: boolean, port?: number, sensor?: string }} options
 * @returns {Promise<{ url: string, pid: number, readyMs: number, stop: () => Promise<void>, kill: () => Promise<void> }>}
 */
export async function startServer({ data, demo = false, port = 0, sensor }) {
  const startedAt = performance.now();
  const args = [
    SERVER_ENTRY,
    '--data',
    data,
    '--port',
    String(port),
    ...(demo ? ['--demo'] : []),
    ...(sensor === undefined ? [] : ['--sensor', sensor]),
  ];
  const child = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'inherit'] });
  const exited = new Promise((done) => child.once('exit', done));
  const url = await new Promise((done, fail) => {
    let said = '';
    child.stdout.on('data', (chunk) => {
      said += chunk;
      const found = ANSWER.exec(said);
      if (found !== null) done(found[1]);
    });
    child.once('exit', (code) => fail(new Error(`the server ended with ${code} before it answered`)));
  });
  return {
    url,
    pid: child.pid,
    readyMs: performance.now() - startedAt,
    stop: async () => {
      child.kill('SIGTERM');
      await exited;
    },
    kill: async () => {
      child.kill('SIGKILL');
      await exited;
    },
  };
}

/** Removes a throwaway folder. */
export const removeFolder = (folder) => rmSync(folder, { recursive: true, force: true });

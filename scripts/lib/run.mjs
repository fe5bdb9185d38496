import { spawn, spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The repository's root. */
export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..', '..');

/** Path of a tool installed with the project. */
export const tool = (name) => join(ROOT, 'node_modules', '.bin', name);

/**
 * Runs a command to its end with its output on show; true when it ended well.
 * @param {string} command
 * @param {readonly string[]} args
 * @param {NodeJS.ProcessEnv} [env] added to the environment
 */
export function run(command, args, env = {}) {
  const { status, error } = spawnSync(command, args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  if (error !== undefined) process.stderr.write(`${command}: ${error.message}\n`);
  return status === 0;
}

/**
 * Runs a command without holding this script up; its output comes in one piece when it has ended.
 * @param {string} command
 * @param {readonly string[]} args
 * @returns {Promise<{ good: boolean, said: string }>}
 */
export function runApart(command, args) {
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += chunk));
    child.on('error', (error) => done({ good: false, said: `${said}${error.message}\n` }));
    child.on('close', (code) => done({ good: code === 0, said }));
  });
}

/** True when a command answers to `--version`. */
export function exists(command) {
  return spawnSync(command, ['--version'], { stdio: 'ignore' }).status === 0;
}

/** Says what is wrong and ends the script. */
export function giveUp(message) {
  process.stderr.write(`\n${message}\n`);
  process.exit(1);
}

/** Starts a command beside this script that ends with it. */
export function runBeside(command, args) {
  const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit' });
  child.on('error', (error) => process.stderr.write(`${command}: ${error.message}\n`));
  process.on('exit', () => child.kill());
}

/** Starts a long-running command that shares this terminal, and ends with it. */
export function runForever(command, args, env = {}) {
  const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  child.on('exit', (code) => process.exit(code ?? 1));
}

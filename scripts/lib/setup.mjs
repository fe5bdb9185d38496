import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { BROWSERS, findBrowser } from './chromium.mjs';
import { exists, giveUp, ROOT, run } from './run.mjs';

/** Written after a complete install; holds the hash of the lock file it was made from. */
const STAMP = join(ROOT, 'node_modules', '.lean-clasp-install');
/** Header folder of a Node.js that was installed by the system's package manager. */
const SYSTEM_NODE_HEADERS = '/usr/include/node/node.h';
const LEAST_NODE = [20, 12];
/** What the SQLite binding is compiled with. */
const COMPILER_TOOLS = { python3: 'python3', make: 'make', 'g++': 'g++' };

const isRoot = () => process.getuid?.() === 0;

/** Installs npm packages when they are missing or the lock file has changed since. */
export function ensurePackages() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major < LEAST_NODE[0] || (major === LEAST_NODE[0] && minor < LEAST_NODE[1])) {
    giveUp(
      `Lean Clasp needs Node.js ${LEAST_NODE.join('.')} or later (below 23); this is ${process.versions.node}.`,
    );
  }
  const wanted = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === wanted) return;
  const missing = Object.keys(COMPILER_TOOLS).filter((name) => !exists(name));
  if (missing.length > 0)
    ensureDebian(
      missing.map((name) => COMPILER_TOOLS[name]),
      'to compile the SQLite binding',
    );
  process.stdout.write('Installing packages (three to four minutes the first time) …\n');
  const cached = exists('ccache') ? { CC: 'ccache gcc', CXX: 'ccache g++' } : {};
  const headers = existsSync(SYSTEM_NODE_HEADERS) ? { npm_config_nodedir: '/usr' } : {};
  if (!run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { ...cached, ...headers })) {
    giveUp('npm ci failed; its own message above says why. Nothing else was started.');
  }
  writeFileSync(STAMP, wanted);
}

/** Path of a Chromium to test with, installed from Debian when there is none; the plain one where it can be had. */
export function ensureChromium() {
  const [plain, whole] = Object.keys(BROWSERS);
  const mayInstall = process.env.CHROMIUM_PATH === undefined && isRoot() && exists('apt-get');
  if (mayInstall && !existsSync(BROWSERS[plain])) tryDebian([plain]);
  if (findBrowser() === undefined) ensureDebian([whole], 'to drive the interface in tests');
  return findBrowser() ?? giveUp(`No Chromium at ${BROWSERS[whole]}. Set CHROMIUM_PATH to one.`);
}

/** Poppler, by which the tests read PDF files that we wrote. */
export function ensurePoppler() {
  if (!exists('pdftotext')) ensureDebian(['poppler-utils'], 'to read PDF files in tests');
}

function ensureDebian(packages, why) {
  const byHand = `apt-get update && apt-get install -y --no-install-recommends ${packages.join(' ')}`;
  if (!isRoot() || !exists('apt-get')) {
    giveUp(`Missing ${why}: ${packages.join(', ')}. As root run:\n  ${byHand}`);
  }
  process.stdout.write(`Installing ${packages.join(', ')} ${why} …\n`);
  if (!tryDebian(packages)) giveUp(`Could not install ${packages.join(', ')}. By hand:\n  ${byHand}`);
}

/** Installs packages of Debian; true when that went well. */
function tryDebian(packages) {
  const apt = (...args) =>
    run('apt-get', ['-qq', '-o', 'DPkg::Lock::Timeout=500', ...args], { DEBIAN_FRONTEND: 'noninteractive' });
  return apt('update') && apt('install', '-y', '--no-install-recommends', ...packages);
}

import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { run, runApart, tool } from './lib/run.mjs';
import { ensureChromium, ensurePackages, ensurePoppler } from './lib/setup.mjs';

// npm run check: everything. npm run check:fast: all but the build and the browser.
// Closes with "N passed, N failed": unit, HTTP and browser tests plus one for each static check.

const fast = process.argv.includes('--fast');
const reports = mkdtempSync(join(tmpdir(), 'lean-clasp-check-'));
const tally = { passed: 0, failed: 0 };
/** What failed and how, said again at the end: the last lines are what people read. */
const faults = [];

function count(name, passed, failed) {
  tally.passed += passed;
  tally.failed += failed;
  process.stdout.write(`${failed === 0 ? 'ok  ' : 'FAIL'} ${name}: ${passed} passed, ${failed} failed\n`);
}

function single(name, command, args, env = {}) {
  process.stdout.write(`\n— ${name}\n`);
  const good = run(command, args, env);
  count(name, good ? 1 : 0, good ? 0 : 1);
  return good;
}

/** Runs commands, so many side by side; what each says is shown when it has ended. */
async function inTurn(lanes, commands) {
  const waiting = [...commands];
  const lane = async () => {
    for (let next = waiting.shift(); next !== undefined; next = waiting.shift()) {
      const [name, command, args] = next;
      const { good, said } = await runApart(command, args);
      process.stdout.write(`\n— ${name}\n${said}`);
      count(name, good ? 1 : 0, good ? 0 : 1);
    }
  };
  await Promise.all(Array.from({ length: lanes }, lane));
}

function readReport(report, read) {
  try {
    return read(JSON.parse(readFileSync(report, 'utf8')));
  } catch {
    return { passed: 0, failed: 1 };
  }
}

/** A runner that leaves a JSON report; a runner that died before reporting counts as one failure. */
function runner(name, command, args, { report, read, env = {} }) {
  process.stdout.write(`\n— ${name}\n`);
  const good = run(command, args, env);
  const { passed, failed, faults: found = [] } = readReport(report, read);
  faults.push(...found);
  count(name, passed, good ? failed : Math.max(1, failed));
}

const FAULT_LINES = 14;
const cut = (title, message) =>
  [title, ...stripVTControlCharacters(String(message)).split('\n').slice(0, FAULT_LINES)].join('\n');

const jestFaults = (results) =>
  results.flatMap(({ name, message, assertionResults }) => {
    const failed = assertionResults.filter(({ status }) => status === 'failed');
    if (failed.length === 0) return message === '' ? [] : [cut(name, message)];
    return failed.map(({ fullName, failureMessages }) => cut(fullName, failureMessages.join('\n')));
  });

const SCREEN_LINES = 40;
/** What stood on the page when a browser test failed, as a screen reader has it. */
function onScreen(attachments) {
  const told = attachments.find(({ name }) => name === 'error-context');
  if (told === undefined) return '';
  const text = told.path === undefined ? atob(told.body ?? '') : readFileSync(told.path, 'utf8');
  const [, snapshot = ''] = /```yaml\n([\s\S]*?)```/.exec(text) ?? [];
  return snapshot.split('\n').slice(0, SCREEN_LINES).join('\n');
}

const browserFaults = (suites) =>
  suites.flatMap(({ suites: inner = [], specs = [] }) => [
    ...browserFaults(inner),
    ...specs.flatMap(({ title, tests }) =>
      tests
        .flatMap(({ results }) => results)
        .filter(({ errors }) => errors.length > 0)
        .map(({ errors, duration, attachments }) =>
          [
            cut(
              `${title} (after ${Math.round(duration / 1000)} s)`,
              errors.map(({ message }) => message).join('\n'),
            ),
            onScreen(attachments),
          ].join('\n'),
        ),
    ),
  ]);

ensurePackages();
// Before anything slow: whoever has to install something should hear of it at once.
const chromium = fast ? '' : ensureChromium();
ensurePoppler();
// Each keeps one processor and a half busy: two at a time, the longest first.
await inTurn(2, [
  ['types', tool('tsc'), ['-p', 'tsconfig.json']],
  ['lint', 'npm', ['run', '--silent', 'lint']],
  ['formatting', tool('prettier'), ['--check', '--log-level', 'warn', '.']],
  ['unused code and packages', 'npm', ['run', '--silent', 'unused']],
  ['dependency direction', 'npm', ['run', '--silent', 'deps']],
  ['compiled kernels', process.execPath, ['scripts/kernel.mjs', '--check']],
]);

const jestReport = join(reports, 'jest.json');
runner('unit and HTTP tests', tool('jest'), ['--json', '--outputFile', jestReport, '--silent'], {
  report: jestReport,
  read: ({ numPassedTests, numFailedTests, numFailedTestSuites, testResults }) => ({
    passed: numPassedTests,
    failed: Math.max(numFailedTests, numFailedTestSuites),
    faults: jestFaults(testResults),
  }),
});

if (!fast && single('build', process.execPath, ['scripts/build.mjs'])) {
  const browserReport = join(reports, 'browser.json');
  runner('browser tests', tool('playwright'), ['test', '--reporter=line,json'], {
    report: browserReport,
    read: ({ stats: { expected, unexpected, flaky }, suites }) => ({
      passed: expected,
      failed: unexpected + flaky,
      faults: browserFaults(suites),
    }),
    env: { CHROMIUM_PATH: chromium, PLAYWRIGHT_JSON_OUTPUT_FILE: browserReport },
  });
}

for (const fault of faults) process.stdout.write(`\n✗ ${fault}\n`);
process.stdout.write(`\n${tally.passed} passed, ${tally.failed} failed\n`);
process.exit(tally.failed === 0 ? 0 : 1);

import { spawn } from 'node:child_process';
import { expect, test } from '@playwright/test';

// Short ones of what `npm run soak` does for as long as one likes; figures of the long ones stand in docs/operations.md.

interface Outcome {
  readonly faults: number;
  readonly [figure: string]: unknown;
}

async function soak(...args: readonly string[]): Promise<Outcome> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'soak/main.ts', ...args]);
  let said = '';
  child.stdout.on('data', (chunk: Buffer) => (said += chunk.toString()));
  child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
  await new Promise((done) => child.once('exit', done));
  const json = /^\{[\s\S]*?^\}/m.exec(said)?.[0];
  if (json === undefined) throw new Error(said);
  expect(said.slice(said.indexOf(json) + json.length).trim()).toBe('');
  return JSON.parse(json) as Outcome;
}

// Processes of their own, on a machine that may be busy.
test.setTimeout(300_000);

test('killed while it is written to, the server has all that it acknowledged, once', async () => {
  const outcome = await soak('kills', '4', '16');
  expect(outcome).toMatchObject({ kills: 4, sound: true, faults: 0 });
  expect(outcome['editsTaken']).toBeGreaterThan(0);
});

test('four devices that come and go end with the same, nothing lost, nothing twice', async () => {
  const outcome = await soak('devices', '3', '16', '4');
  expect(outcome).toMatchObject({ days: 3, screens: 4, faults: 0 });
  expect(outcome['edits']).toBeGreaterThan(20);
});

test('two devices edit for days without the server', async () => {
  expect(await soak('offline', '2', '16')).toMatchObject({ screens: 2, faults: 0 });
});

test('no importer is crashed, held up or left without a word by a file that is spoilt', async () => {
  const outcome = await soak('files', '40', '16');
  expect(outcome).toMatchObject({ faults: 0 });
  expect(Object.keys(outcome['read'] as object)).toHaveLength(9);
});

test('every calculation answers or refuses what its schema allows', async () => {
  const outcome = await soak('calculations', '3', '16');
  expect(outcome).toMatchObject({ faults: 0 });
  expect(Number(outcome['asked'])).toBeGreaterThan(80);
});

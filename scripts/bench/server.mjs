import { spawnSync } from 'node:child_process';
import { startBareServer } from '../lib/bare-server.mjs';
import { makeDataFolder, removeFolder, startServer } from '../lib/server.mjs';
import { LOADS, median, ms, times } from './figures.mjs';

/** Edits sent one after another in one go, and how often the two servers take turns. */
const SENT = 100;
const TURNS = 4;

/** Spawn to first answer, on data that is already there; baseline: Node starting and ending. */
export async function measureServerStart({ report }) {
  const folder = makeDataFolder();
  await (await startServer({ data: folder, demo: true })).stop();
  const starts = [];
  for (let i = 0; i < LOADS; i += 1) {
    const again = await startServer({ data: folder, demo: true });
    starts.push(again.readyMs);
    await again.stop();
  }
  removeFolder(folder);
  const bare = Array.from({ length: LOADS }, () => {
    const startedAt = performance.now();
    spawnSync(process.execPath, ['-e', '0']);
    return performance.now() - startedAt;
  });
  report(
    'server start',
    ms(median(starts)),
    '',
    `node -e 0: ${ms(median(bare))}`,
    times(median(starts), median(bare)),
  );
}

/** Edits that the server keeps in a second, one after another; baseline: the least that keeps them as safely. */
export async function measureKept({ server, report }) {
  const build = await (await fetch(`${server.url}/api/builds/stage-floor`)).json();
  const folder = makeDataFolder();
  const bare = await startBareServer({ folder, body: build.body });
  let [revision, name] = [build.revision, build.body.name];
  const send = async (url) => {
    const next = `Floor ${revision}`;
    const response = await fetch(url, {
      method: 'PATCH',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        id: `bench-${revision}`,
        baseRevision: revision,
        kind: 'edit',
        label: 'Name',
        group: 'bench',
        patch: [{ op: 'replace', path: '/name', value: next }],
        inverse: [{ op: 'replace', path: '/name', value: name }],
      }),
    });
    if (!response.ok) throw new Error(await response.text());
    await response.json();
    return next;
  };
  const rates = { ours: [], bare: [] };
  for (let turn = 0; turn <= TURNS; turn += 1) {
    let from = performance.now();
    for (let i = 0; i < SENT; i += 1) {
      name = await send(`${server.url}/api/builds/stage-floor`);
      revision += 1;
    }
    const ours = SENT / ((performance.now() - from) / 1000);
    from = performance.now();
    for (let i = 0; i < SENT; i += 1) await send(`${bare.url}/one`);
    // The first turn warms both.
    if (turn === 0) continue;
    rates.ours.push(ours);
    rates.bare.push(SENT / ((performance.now() - from) / 1000));
  }
  await bare.stop();
  removeFolder(folder);
  const share = median(rates.ours) / median(rates.bare);
  report(
    'edits kept in a second',
    median(rates.ours).toFixed(0),
    'at least 60 % of the baseline',
    `a bare server: ${median(rates.bare).toFixed(0)}`,
    `${(100 * share).toFixed(0)} %`,
  );
}

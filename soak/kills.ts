import { setTimeout as later } from 'node:timers/promises';
import { openDatabase } from '@lean-clasp/store';
import { makeDataFolder, removeFolder, startServer } from '../scripts/lib/server.mjs';
import { type Random, seeded } from './random';

/** What came of killing a server while it was written to. */
export interface KillsOutcome {
  readonly kills: number;
  readonly editsTaken: number;
  readonly eventsTaken: number;
  /** What the server said that it has, and has not; or has twice. */
  readonly lost: readonly string[];
  readonly doubled: readonly string[];
  /** Documents whose edits do not count up one by one. */
  readonly gaps: readonly string[];
  readonly sound: boolean;
}

/** Shortest and longest time between an answer and the kill, ms. */
const LIVES_MS = { least: 20, most: 1500 };
const BUILDS = ['stage-floor', 'boarding-platform', 'hatch-casing'] as const;
const RUNS = ['demo-run-1', 'demo-run-2'] as const;

interface Acknowledged {
  readonly edits: Set<string>;
  readonly events: Set<string>;
}

/** Renames a build again and again until nobody answers. */
async function editing(
  url: string,
  build: string,
  acknowledged: Acknowledged,
  idOf: () => string,
): Promise<void> {
  const path = `${url}/api/builds/${build}`;
  let { revision, body } = (await ask(path)) as { revision: number; body: { name: string } };
  for (;;) {
    const id = idOf();
    const name = `${build} ${id}`;
    await ask(path, 'PATCH', {
      id,
      baseRevision: revision,
      kind: 'edit',
      label: 'Name',
      group: id,
      patch: [{ op: 'replace', path: '/name', value: name }],
      inverse: [{ op: 'replace', path: '/name', value: body.name }],
    });
    acknowledged.edits.add(id);
    revision += 1;
    body = { name };
  }
}

/** Notes in a run until nobody answers. */
async function noting(
  url: string,
  run: string,
  acknowledged: Acknowledged,
  idOf: () => string,
): Promise<void> {
  const { startedAtMs } = (await ask(`${url}/api/runs/${run}`)) as { startedAtMs: number };
  for (;;) {
    const [device = '', seq = ''] = idOf().split('-');
    const event = {
      id: `${device}-${seq}`,
      device,
      seq: Number(seq),
      atMs: startedAtMs + Number(seq),
      hand: 0,
    };
    await ask(`${url}/api/runs/${run}/events`, 'POST', { events: [{ ...event, kind: 'note' }] });
    acknowledged.events.add(event.id);
  }
}

async function ask(path: string, method = 'GET', body?: unknown): Promise<unknown> {
  const response = await fetch(path, {
    method,
    ...(body === undefined
      ? {}
      : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
  });
  if (!response.ok) throw new Error(`${method} ${path}: ${response.status} ${await response.text()}`);
  return response.json();
}

/** A server that is gone is what was asked for; anything else that goes wrong is not. */
const untilGone = (work: Promise<void>): Promise<void> =>
  work.catch((error: unknown) => {
    if (!(error instanceof TypeError)) throw error;
  });

/**
 * Kills a built server while edits and runs are written to it, starts it again on the same data, and so on; in the end looks whether
 * all it had acknowledged is there, once.
 */
export async function kills({
  times,
  seed,
}: {
  readonly times: number;
  readonly seed: number;
}): Promise<KillsOutcome> {
  const random = seeded(seed);
  const data = makeDataFolder();
  const acknowledged: Acknowledged = { edits: new Set(), events: new Set() };
  let count = 0;
  const idOf = () => `k${seed}-${(count += 1)}`;
  try {
    for (let i = 0; i < times; i += 1) await oneLife(data, i === 0, random, acknowledged, idOf);
    return { kills: times, ...(await lookedThrough(data, acknowledged)) };
  } finally {
    removeFolder(data);
  }
}

async function oneLife(
  data: string,
  first: boolean,
  random: Random,
  acknowledged: Acknowledged,
  idOf: () => string,
): Promise<void> {
  const { url, kill } = await startServer({ data, demo: first });
  const writers = [
    ...BUILDS.map((build) => untilGone(editing(url, build, acknowledged, idOf))),
    ...RUNS.map((run) => untilGone(noting(url, run, acknowledged, idOf))),
  ];
  const all = Promise.all(writers);
  try {
    await Promise.race([all, later(LIVES_MS.least + random.whole(LIVES_MS.most - LIVES_MS.least))]);
  } finally {
    await kill();
  }
  await all;
}

async function lookedThrough(data: string, acknowledged: Acknowledged): Promise<Omit<KillsOutcome, 'kills'>> {
  // Opening it looks through every page.
  const db = await openDatabase(data).catch(() => null);
  if (db === null) {
    return { editsTaken: 0, eventsTaken: 0, lost: ['everything'], doubled: [], gaps: [], sound: false };
  }
  const edits = await db
    .selectFrom('document_edits')
    .select(['document_id', 'edit_id', 'revision'])
    .execute();
  const events = await db.selectFrom('run_events').select(['device', 'seq']).execute();
  const documents = await db.selectFrom('documents').select(['id', 'revision']).execute();
  await db.destroy();
  const there = [
    ...edits.map(({ edit_id }) => edit_id ?? ''),
    ...events.map(({ device, seq }) => `${device}-${seq}`),
  ];
  const counted = new Map<string, number>();
  for (const id of there) counted.set(id, (counted.get(id) ?? 0) + 1);
  const ids = [...acknowledged.edits, ...acknowledged.events];
  return {
    editsTaken: acknowledged.edits.size,
    eventsTaken: acknowledged.events.size,
    lost: ids.filter((id) => !counted.has(id)),
    doubled: ids.filter((id) => (counted.get(id) ?? 0) > 1),
    gaps: documents
      .filter(({ id, revision }) => {
        const own = edits.filter(({ document_id }) => document_id === id).map((each) => each.revision);
        return (
          own.length !== revision || new Set(own).size !== own.length || Math.max(0, ...own) !== revision
        );
      })
      .map(({ id }) => id),
    sound: true,
  };
}

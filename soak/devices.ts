import { fork } from 'node:child_process';
import { setTimeout as later } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import { isDeepStrictEqual } from 'node:util';
import { makeDataFolder, removeFolder, startServer, type StartedServer } from '../scripts/lib/server.mjs';
import type { DeviceCall, DeviceCommands, DeviceEdit } from './device';
import { type Random, seeded } from './random';

/** What came of a shop whose devices come and go. */
export interface DevicesOutcome {
  readonly days: number;
  readonly screens: number;
  readonly edits: number;
  readonly events: number;
  readonly runs: number;
  readonly conflicts: number;
  /** Edits given up by whoever was asked, and those that were said to name what is gone. */
  readonly givenUp: number;
  readonly toldUnfit: number;
  /** Edits that a page was closed on within its keystroke. */
  readonly cutOff: number;
  /** Edits and events that nobody gave up and the server does not have, or has twice; devices that differ from it in the end. */
  readonly faults: readonly string[];
}

const BUILD = 'stage-floor';
/** Shares of a day's chances: away from the server, closed at once, a line that loses answers, the server killed; and of keeping one's own where both changed the same. */
const CHANCE = { away: 0.45, closed: 0.2, losing: 0.15, killed: 0.15, follows: 0.3, begins: 0.12, mine: 0.8 };
/** Boards of the build; each device has a field of one of them, so that twenty share only the name and the crew. */
const BOARDS = 5;
const FIELDS = ['widthMm', 'lengthMm', 'ringRadiusMm', 'thicknessMm'] as const;
const EDITS_A_DAY = 8;
const STEPS_A_DAY = 5;
/** What was typed is kept within this, ms. */
const KEPT_WITHIN_MS = 60;
/** A page finds what earlier ones left within this, ms. */
const BROUGHT_BACK_WITHIN_MS = 1500;
const SETTLES_WITHIN_MS = 60_000;

type Device = {
  readonly [Name in keyof DeviceCommands]: (
    ...args: Parameters<DeviceCommands[Name]>
  ) => Promise<Awaited<ReturnType<DeviceCommands[Name]>>>;
} & { readonly end: () => Promise<boolean> };

function startDevice(url: string): Device {
  const child = fork(fileURLToPath(new URL('./device.ts', import.meta.url)), [url], {
    execArgv: ['--import', 'tsx'],
    serialization: 'advanced',
  });
  const waiting = new Map<number, { done: (answer: unknown) => void; fail: (error: Error) => void }>();
  let calls = 0;
  child.on('message', ({ call, answer, error }: { call: number; answer?: unknown; error?: string }) => {
    const asked = waiting.get(call);
    waiting.delete(call);
    if (error === undefined) asked?.done(answer);
    else asked?.fail(new Error(error));
  });
  child.on('error', (error) => waiting.forEach(({ fail }) => fail(error)));
  const call = (name: DeviceCall['name'], args: readonly unknown[]) =>
    new Promise((done, fail) => {
      calls += 1;
      waiting.set(calls, { done, fail });
      child.send({ call: calls, name, args } satisfies DeviceCall);
    });
  return new Proxy({} as Device, {
    get: (_, name: string) =>
      name === 'end'
        ? () => Promise.resolve(child.kill('SIGKILL'))
        : name === 'then'
          ? undefined
          : (...args: readonly unknown[]) => call(name as DeviceCall['name'], args),
  });
}

interface Ledger {
  /** Edits that were made, by id. */
  readonly made: Set<string>;
  readonly givenUp: Set<string>;
  /** Edits that a page was closed on before it could keep them. */
  readonly cut: Set<string>;
  /** Events that were noted, by run. */
  readonly noted: Map<string, number>;
  conflicts: number;
  unfit: number;
}

/**
 * Lets devices edit one build and run it for days, on and off the line, closed without warning, with a server that is killed now and
 * then; in the end all of them come together.
 */
export async function devices({
  days,
  seed,
  screens,
  alwaysAway = false,
}: {
  readonly days: number;
  readonly seed: number;
  readonly screens: number;
  /** Nobody reaches the server before the last day is over. */
  readonly alwaysAway?: boolean;
}): Promise<DevicesOutcome> {
  const random = seeded(seed);
  const data = makeDataFolder();
  let server = await startServer({ data, demo: true });
  const { url } = server;
  const all = Array.from({ length: screens }, () => startDevice(url));
  const ledger: Ledger = {
    made: new Set(),
    givenUp: new Set(),
    cut: new Set(),
    noted: new Map(),
    conflicts: 0,
    unfit: 0,
  };
  try {
    await Promise.all(all.map((device) => device.open(BUILD)));
    for (let day = 0; day < days; day += 1) {
      const dies = random.chance(CHANCE.killed);
      const plans = all.map((_, i) => {
        const drawn = dayOf(random, i, day);
        return alwaysAway ? { ...drawn, away: true } : drawn;
      });
      const lived = Promise.all(all.map((device, i) => live(device, plans[i] as Day, ledger, random)));
      if (dies) server = await killed(server, data);
      await lived;
    }
    await together(all, ledger, random);
    return {
      days,
      screens,
      edits: ledger.made.size,
      events: [...ledger.noted.values()].reduce((sum, each) => sum + each, 0),
      runs: ledger.noted.size,
      conflicts: ledger.conflicts,
      givenUp: ledger.givenUp.size,
      toldUnfit: ledger.unfit,
      cutOff: ledger.cut.size,
      faults: await compared(url, all, ledger),
    };
  } finally {
    await Promise.all(all.map((device) => device.end()));
    await server.stop();
    removeFolder(data);
  }
}

async function killed(server: StartedServer, data: string): Promise<StartedServer> {
  await server.kill();
  return startServer({ data, port: Number(new URL(server.url).port) });
}

/** What one device does on one day, drawn before anything happens so that a seed always draws the same. */
interface Day {
  readonly away: boolean;
  readonly losing: boolean;
  readonly closed: boolean;
  readonly edits: readonly DeviceEdit[];
  readonly begins: boolean;
  readonly follows: boolean;
  readonly steps: number;
}

function dayOf(random: Random, device: number, day: number): Day {
  return {
    away: random.chance(CHANCE.away),
    losing: random.chance(CHANCE.losing),
    closed: random.chance(CHANCE.closed),
    edits: Array.from({ length: random.whole(EDITS_A_DAY) }, (_, i) => editOf(random, device, `${day}.${i}`)),
    begins: random.chance(CHANCE.begins),
    follows: random.chance(CHANCE.follows),
    steps: random.whole(STEPS_A_DAY),
  };
}

function editOf(random: Random, device: number, name: string): DeviceEdit {
  const kind = random.whole(60);
  if (kind === 0) return { kind: 'name', name: `Floor ${device}.${name}` };
  if (kind === 1) return { kind: 'crew', crew: 1 + random.whole(3) };
  if (kind < 8) return { kind: 'undo' };
  return {
    kind: 'board',
    board: device % BOARDS,
    field: FIELDS[Math.floor(device / BOARDS) % FIELDS.length] ?? 'widthMm',
    valueMm: 60 + random.whole(60),
  };
}

async function live(device: Device, day: Day, ledger: Ledger, random: Random): Promise<void> {
  await device.line({ up: !day.away, losesAnswers: day.losing });
  await decided(device, ledger, random);
  for (const edit of day.edits) (await device.edit(BUILD, edit)).forEach((id) => ledger.made.add(id));
  if (day.begins) ledger.noted.set(await device.begin(BUILD), 0);
  const runs = [...ledger.noted.keys()];
  const run = runs[runs.length - 1];
  if (run !== undefined && (day.begins || day.follows)) {
    await device.follow(run);
    for (let step = 0; step < day.steps; step += 1) {
      if (await device.note(run, step)) ledger.noted.set(run, (ledger.noted.get(run) ?? 0) + 1);
    }
  }
  if (!day.closed) return;
  await later(KEPT_WITHIN_MS);
  (await device.reload()).forEach((id) => ledger.cut.add(id));
  await device.open(BUILD);
}

/** Whoever is asked decides, one way or the other. */
async function decided(device: Device, ledger: Ledger, random: Random): Promise<void> {
  const before = await device.look(BUILD);
  if (before === null) {
    await device.open(BUILD);
    return;
  }
  if (before.sync !== 'conflict') return;
  ledger.conflicts += 1;
  ledger.unfit += before.unfit;
  const mine = random.chance(CHANCE.mine);
  // Without an answer it stays undecided.
  const done = await device.decide(BUILD, mine).then(
    () => true,
    () => false,
  );
  if (done && !mine) before.pending.forEach((id) => ledger.givenUp.add(id));
}

/** Everybody is on the line until nobody has anything left to send, and once more after their pages were loaded anew. */
async function together(all: readonly Device[], ledger: Ledger, random: Random): Promise<void> {
  const loadAll = async () => {
    for (const device of all) {
      await device.reload();
      await device.open(BUILD);
      for (const run of ledger.noted.keys()) await device.follow(run);
    }
    await later(BROUGHT_BACK_WITHIN_MS);
  };
  for (let time = 0; time < 2; time += 1) {
    await settled(all, ledger, random);
    await loadAll();
  }
}

async function settled(all: readonly Device[], ledger: Ledger, random: Random): Promise<void> {
  const until = performance.now() + SETTLES_WITHIN_MS;
  const waits = async (device: Device): Promise<boolean> => {
    await device.line({ up: true, losesAnswers: false });
    await decided(device, ledger, random);
    const { sync, pending } = (await device.look(BUILD)) ?? { sync: 'offline', pending: [] };
    const runs = await Promise.all([...ledger.noted.keys()].map((run) => device.heard(run)));
    return sync !== 'saved' || pending.length > 0 || runs.some(({ waiting }) => waiting > 0);
  };
  while ((await Promise.all(all.map(waits))).includes(true) && performance.now() < until) await later(200);
}

async function compared(url: string, all: readonly Device[], ledger: Ledger): Promise<string[]> {
  const get = async (path: string) => (await fetch(`${url}/api/${path}`)).json() as Promise<unknown>;
  const { body } = (await get(`builds/${BUILD}`)) as { body: unknown };
  const log = (await get(`builds/${BUILD}/edits`)) as { id: string | null; revision: number }[];
  const faults: string[] = [];
  const ids = log.flatMap(({ id }) => (id === null ? [] : [id]));
  if (new Set(ids).size !== ids.length) faults.push('an edit is there twice');
  log.forEach(({ revision }, i) => {
    if (revision !== i + 1) faults.push(`revision ${revision} stands at ${i + 1}`);
  });
  const there = new Set(ids);
  const missing = [...ledger.made].filter(
    (id) => !there.has(id) && !ledger.givenUp.has(id) && !ledger.cut.has(id),
  );
  if (missing.length > ledger.unfit)
    faults.push(`${missing.length} edits are lost, ${ledger.unfit} were told`);
  const looked = await Promise.all(all.map((device) => device.look(BUILD)));
  looked.forEach((each, i) => {
    if (!isDeepStrictEqual(each?.body, body)) faults.push(`device ${i} shows another build (${each?.sync})`);
  });
  for (const [run, noted] of ledger.noted) {
    const { events = [] } = (await get(`runs/${run}`)) as { events?: { id: string }[] };
    const stored = events.map(({ id }) => id).sort();
    if (new Set(stored).size !== noted || stored.length !== noted) {
      faults.push(`run ${run}: ${stored.length} events for ${noted} noted`);
    }
    for (const [i, device] of all.entries()) {
      if (!isDeepStrictEqual((await device.heard(run)).ids, stored))
        faults.push(`device ${i} shows another run ${run}`);
    }
  }
  return faults;
}

import { readFileSync } from 'node:fs';
import { makeDataFolder, removeFolder, startServer, type StartedServer } from '../scripts/lib/server.mjs';
import { calculations } from './calculations';
import { devices } from './devices';
import { files } from './files';
import { hostile } from './hostile';
import { kills } from './kills';
import { scale } from './scale';

// npm run soak -- hostile|files|kills|calculations|devices|offline|scale [COUNT] [SEED] [SCREENS], against the built server, for as long as one likes.

/** Faults told one by one. */
const TOLD = 20;
const MEMORY_EVERY_MS = 2000;

interface Soak {
  readonly count: number;
  readonly run: (
    count: number,
    seed: number,
    screens: number,
  ) => Promise<{ readonly faults: readonly unknown[] } & object>;
}

const SOAKS: Readonly<Record<string, Soak>> = {
  hostile: {
    count: 10_000,
    run: (count, seed) => onServer(({ url }) => hostile(url, { count, seed, atOnce: 4 })),
  },
  files: { count: 10_000, run: (each, seed) => files({ each, seed }) },
  calculations: { count: 100, run: (each, seed) => onServer(({ url }) => calculations(url, { each, seed })) },
  kills: {
    count: 50,
    run: async (times, seed) => {
      const { lost, doubled, gaps, ...outcome } = await kills({ times, seed });
      return { ...outcome, faults: [...lost, ...doubled, ...gaps] };
    },
  },
  devices: { count: 14, run: (days, seed, screens) => devices({ days, seed, screens }) },
  scale: { count: 10_000, run: (runs) => scale(runs) },
  offline: { count: 7, run: (days, seed) => devices({ days, seed, screens: 2, alwaysAway: true }) },
};

/** Runs something on a server of its own and adds what memory it took, MB. */
async function onServer<T extends object>(run: (server: StartedServer) => Promise<T>) {
  const data = makeDataFolder();
  const server = await startServer({ data, demo: true });
  const memoryMb: number[] = [];
  const watch = setInterval(() => memoryMb.push(memoryOf(server.pid)), MEMORY_EVERY_MS);
  try {
    const outcome = await run(server);
    const quarter = Math.ceil(memoryMb.length / 4);
    return {
      ...outcome,
      memory: {
        firstQuarterMb: Math.max(0, ...memoryMb.slice(0, quarter)),
        lastQuarterMb: Math.max(0, ...memoryMb.slice(-quarter)),
      },
    };
  } finally {
    clearInterval(watch);
    await server.stop();
    removeFolder(data);
  }
}

/** Resident memory of a process, MB. */
const memoryOf = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

async function main([what = 'hostile', count, seed = '1', screens = '20']: readonly string[]): Promise<void> {
  const soak = SOAKS[what];
  if (soak === undefined) throw new Error(`There is no "${what}": ${Object.keys(SOAKS).join(', ')}.`);
  const startedAt = performance.now();
  const { faults, ...outcome } = await soak.run(Number(count ?? soak.count), Number(seed), Number(screens));
  const minutes = (performance.now() - startedAt) / 60_000;
  process.stdout.write(`${JSON.stringify({ ...outcome, minutes, faults: faults.length }, null, 2)}\n`);
  for (const fault of faults.slice(0, TOLD))
    process.stdout.write(`${JSON.stringify(fault).slice(0, 1000)}\n`);
  process.exitCode = faults.length === 0 ? 0 : 1;
}

void main(process.argv.slice(2));

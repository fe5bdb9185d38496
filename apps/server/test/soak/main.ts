import { makeDataFolder, removeFolder, startServer } from '../../../../scripts/lib/server.mjs';
import { hostile } from './hostile';

// npm run soak -- [COUNT] [SEED]: seeded nonsense against the built server, for as long as one likes.
const USUAL = { count: '10000', seed: '1' };
/** Faults told one by one. */
const TOLD = 20;

async function main([count = USUAL.count, seed = USUAL.seed]: readonly string[]): Promise<void> {
  const data = makeDataFolder();
  const server = await startServer({ data, demo: true });
  try {
    const { faults, ...outcome } = await hostile(server.url, {
      count: Number(count),
      seed: Number(seed),
      atOnce: 4,
    });
    process.stdout.write(`${JSON.stringify({ ...outcome, faults: faults.length }, null, 2)}\n`);
    for (const { attempt, status, said } of faults.slice(0, TOLD)) {
      process.stdout.write(`${status} ${attempt.method} ${attempt.path}: ${said}\n`);
    }
    process.exitCode = faults.length === 0 ? 0 : 1;
  } finally {
    await server.stop();
    removeFolder(data);
  }
}

void main(process.argv.slice(2));

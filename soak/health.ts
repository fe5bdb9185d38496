import { setTimeout as later } from 'node:timers/promises';

/** How long a question after the server's health took meanwhile, ms. */
export interface Health {
  readonly p50Ms: number;
  readonly p99Ms: number;
  readonly mostMs: number;
}

/** Between two questions, ms. */
const EVERY_MS = 20;

/** Asks after a server's health again and again until it is told to stop. */
export function watchHealth(url: string): { readonly stop: () => Promise<Health> } {
  const tookMs: number[] = [];
  let over = false;
  const watch = (async () => {
    while (!over) {
      const from = performance.now();
      const response = await fetch(`${url}/api/health`);
      await response.json();
      tookMs.push(performance.now() - from);
      await later(EVERY_MS);
    }
  })();
  return {
    stop: async () => {
      over = true;
      await watch;
      tookMs.sort((a, b) => a - b);
      return { p50Ms: share(tookMs, 0.5), p99Ms: share(tookMs, 0.99), mostMs: share(tookMs, 1) };
    },
  };
}

const share = (sorted: readonly number[], of: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(of * sorted.length))] ?? 0;

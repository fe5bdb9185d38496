import type { ShopDocument } from '@lean-clasp/core/formats';
import type { RunSummary } from '@lean-clasp/core/runs';
import { releaseOf } from '../bench/release';

/** Clamps of one lot that sit on work now. */
export interface InUse {
  readonly count: number;
  /** When the last of them may come off; null while it is not known, such as during a glue-up. */
  readonly untilMs: number | null;
  readonly builds: readonly string[];
}

/** What is tied up now, by lot of the rack: runs under way, and those whose clamps may not come off yet. */
export function inUse(runs: readonly RunSummary[], nowMs: number): ReadonlyMap<string, InUse> {
  const tied = new Map<string, InUse>();
  for (const run of runs) {
    const { clampsOffMs } = releaseOf(run);
    const holds =
      run.state === 'running' || (run.state === 'clamped' && clampsOffMs !== null && clampsOffMs > nowMs);
    if (!holds) continue;
    for (const { rackId, count } of run.promise.lots ?? []) {
      const before = tied.get(rackId);
      const untilMs = run.state === 'running' ? null : clampsOffMs;
      tied.set(rackId, {
        count: (before?.count ?? 0) + count,
        untilMs:
          before === undefined
            ? untilMs
            : before.untilMs === null || untilMs === null
              ? null
              : Math.max(before.untilMs, untilMs),
        builds: [...(before?.builds ?? []), run.buildName],
      });
    }
  }
  return tied;
}

/** The shop with only what is free now on its rack. */
export function freeNow(shop: ShopDocument, tied: ReadonlyMap<string, InUse>): ShopDocument {
  return {
    ...shop,
    rack: shop.rack.map((lot) => ({
      ...lot,
      count: Math.max(0, lot.count - (tied.get(lot.id)?.count ?? 0)),
    })),
  };
}

import type { AirSample } from '@lean-clasp/core/air';
import type { Database } from './database';

/** Sane readings of the shop's air over the months, whichever sensor took them. */
export interface AirLog {
  /** The last that a sensor took; null where it was never read. */
  readonly last: (address: string) => Promise<AirSample | null>;
  /** Keeps readings; the same again changes nothing. Those too old to matter go. */
  readonly keep: (address: string, samples: readonly AirSample[]) => Promise<void>;
  /** All that are kept, of any sensor, oldest first. */
  readonly all: () => Promise<AirSample[]>;
}

/** Readings older than this no longer tell of any wood. */
const KEPT_MS = 400 * 86_400_000;

/** The readings in the database. */
export function airLog(db: Database): AirLog {
  return {
    last: async (address) => {
      const row = await db
        .selectFrom('air_samples')
        .selectAll()
        .where('address', '=', address)
        .orderBy('taken_at_ms', 'desc')
        .limit(1)
        .executeTakeFirst();
      return row === undefined ? null : sampleOf(row);
    },
    keep: async (address, samples) => {
      if (samples.length === 0) return;
      const newestMs = Math.max(...samples.map(({ takenAtMs }) => takenAtMs));
      await db
        .deleteFrom('air_samples')
        .where('taken_at_ms', '<', newestMs - KEPT_MS)
        .execute();
      await db
        .replaceInto('air_samples')
        .values(
          samples.map(({ takenAtMs, tempC, rhPct }) => ({
            address,
            temp_c: tempC,
            rh_pct: rhPct,
            taken_at_ms: takenAtMs,
          })),
        )
        .execute();
    },
    all: async () => {
      const rows = await db.selectFrom('air_samples').selectAll().orderBy('taken_at_ms').execute();
      return rows.map(sampleOf);
    },
  };
}

const sampleOf = (row: {
  readonly temp_c: number;
  readonly rh_pct: number;
  readonly taken_at_ms: number;
}): AirSample => ({ tempC: row.temp_c, rhPct: row.rh_pct, takenAtMs: row.taken_at_ms });

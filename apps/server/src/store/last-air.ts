import type { AirReport } from '@lean-clasp/core/air';
import type { Database } from './database';

/** Keeps the last sane reading of the sensor over a restart. */
export interface LastAir {
  /** Null where this sensor was never read. */
  readonly find: (address: string) => Promise<Pick<AirReport, 'air' | 'takenAtMs'> | null>;
  readonly keep: (address: string, report: AirReport) => Promise<void>;
}

/** Readings by the address of their sensor; only the sensor read last is kept. */
export function lastAir(db: Database): LastAir {
  return {
    find: async (address) => {
      const row = await db
        .selectFrom('last_air')
        .selectAll()
        .where('address', '=', address)
        .executeTakeFirst();
      return row === undefined
        ? null
        : { air: { tempC: row.temp_c, rhPct: row.rh_pct }, takenAtMs: row.taken_at_ms };
    },
    keep: async (address, { air, takenAtMs }) => {
      if (air === null || takenAtMs === null) return;
      await db.deleteFrom('last_air').where('address', '!=', address).execute();
      await db
        .replaceInto('last_air')
        .values({ address, temp_c: air.tempC, rh_pct: air.rhPct, taken_at_ms: takenAtMs })
        .execute();
    },
  };
}

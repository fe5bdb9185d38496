import type { RunDocument } from '@lean-clasp/core/formats';
import type { Database } from './database';

/** Glue-ups as they were run. */
export interface RunStore {
  readonly list: () => Promise<RunDocument[]>;
  readonly find: (id: string) => Promise<RunDocument | undefined>;
  /** Writes a run whole, so that a bench that was offline can send it again and again. */
  readonly put: (run: RunDocument) => Promise<void>;
}

/** Opens the log of runs. */
export function runStore(db: Database, now: () => number): RunStore {
  const parse = (row: { body: string }) => JSON.parse(row.body) as RunDocument;
  return {
    list: async () =>
      (await db.selectFrom('runs').select('body').orderBy('started_at_ms', 'desc').execute()).map(parse),
    find: async (id) => {
      const row = await db.selectFrom('runs').select('body').where('id', '=', id).executeTakeFirst();
      return row === undefined ? undefined : parse(row);
    },
    put: async (run) => {
      const row = {
        build_id: run.buildId,
        body: JSON.stringify(run),
        started_at_ms: run.startedAtMs,
        updated_at_ms: now(),
      };
      await db
        .insertInto('runs')
        .values({ id: run.id, ...row })
        .onConflict((conflict) => conflict.column('id').doUpdateSet(row))
        .execute();
    },
  };
}

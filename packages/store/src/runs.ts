import { InputError } from '@lean-clasp/core/basics';
import type { RunDocument, RunEvent, RunHead } from '@lean-clasp/core/formats';
import { evidenceOf, type RunEvidence, type Trends } from '@lean-clasp/core/learning';
import { alike, merged, type RunSummary, summaryOf } from '@lean-clasp/core/runs';
import { sql } from 'kysely';
import { cursorOf, cut } from './cursor';
import type { Database } from './database';
import type { Tables } from './tables';
import { trendsOf } from './trends';

/** Some of the runs, the newest start first, and where to go on reading. */
export interface RunPage {
  readonly runs: readonly RunSummary[];
  /** Null on the last page. */
  readonly next: string | null;
}

/** Which page of runs. */
export interface RunPageAsked {
  readonly limit: number;
  /** Cursor of the page before. */
  readonly after?: string | undefined;
  readonly buildId?: string | undefined;
  readonly state?: RunSummary['state'] | undefined;
  /** Part of what its build is called, or of its note. */
  readonly text?: string | undefined;
  readonly template?: string | undefined;
  readonly adhesive?: string | undefined;
  /** Only those of which something was said to have gone wrong. */
  readonly wrong?: boolean | undefined;
}

/** What came of events that a page sent. */
export type AddOutcome =
  | { readonly kind: 'added'; readonly fresh: readonly RunEvent[]; readonly run: RunDocument }
  | { readonly kind: 'missing' };

/** Glue-ups as they were run. What happened is only ever added to; nothing of it is rewritten. */
export interface RunStore {
  readonly page: (asked: RunPageAsked) => Promise<RunPage>;
  readonly find: (id: string) => Promise<RunDocument | undefined>;
  readonly knows: (id: string) => Promise<boolean>;
  /** What the newest runs that teach anything have to teach. */
  readonly evidence: (limit: number) => Promise<readonly RunEvidence[]>;
  readonly trends: () => Promise<Trends>;
  /** Begins a run, or finds it begun. @throws InputError where it was begun otherwise. */
  readonly begin: (head: RunHead) => Promise<void>;
  /** Which of some builds have been glued up, or are being. */
  readonly glued: (buildIds: readonly string[]) => Promise<ReadonlySet<string>>;
  /** @throws InputError where an event that is known is told otherwise. */
  readonly add: (id: string, events: readonly RunEvent[]) => Promise<AddOutcome>;
}

/** An event as its table keeps it. */
export const eventRow = (runId: string, event: RunEvent): Tables['run_events'] => ({
  run_id: runId,
  device: event.device,
  seq: event.seq,
  at_ms: event.atMs,
  body: JSON.stringify(event),
});

/** What a run has to teach, as its table keeps it. */
function evidenceText(run: RunDocument): string {
  const evidence = evidenceOf(run);
  return evidence === null ? '' : JSON.stringify(evidence);
}

/** Opens the log of runs. */
export function runStore(db: Database, now: () => number): RunStore {
  type From = Pick<Database, 'selectFrom'>;
  const found = async (from: From, id: string): Promise<RunDocument | undefined> => {
    const row = await from.selectFrom('runs').select('body').where('id', '=', id).executeTakeFirst();
    if (row === undefined) return undefined;
    const events = await from
      .selectFrom('run_events')
      .select('body')
      .where('run_id', '=', id)
      .orderBy('at_ms')
      .orderBy('device')
      .orderBy('seq')
      .execute();
    return {
      ...(JSON.parse(row.body) as RunHead),
      events: events.map(({ body }) => JSON.parse(body) as RunEvent),
    };
  };
  return {
    page: async ({ limit, after, buildId, state, text, template, adhesive, wrong }) => {
      let query = db
        .selectFrom('runs')
        .innerJoin('run_figures', 'run_figures.run_id', 'runs.id')
        .select(['runs.id', 'runs.summary', 'runs.started_at_ms'])
        .select(sql<number | null>`nullif(runs.evidence, '') ->> '$.fuseUsed'`.as('fuse_used'))
        .where('runs.summary', '!=', '')
        .orderBy('runs.started_at_ms', 'desc')
        .orderBy('runs.id', 'desc')
        .limit(limit + 1);
      if (buildId !== undefined) query = query.where('build_id', '=', buildId);
      if (state !== undefined) query = query.where('runs.state', '=', state);
      if (text !== undefined && text !== '') {
        const like = `%${text.replace(/[\\%_]/g, (each) => `\\${each}`)}%`;
        // Found among the figures first: looked for run by run it took seventeen times as long over ten thousand.
        const matching = db
          .selectFrom('run_figures')
          .select('run_id')
          .where(sql<boolean>`(build_name like ${like} escape '\\' or note like ${like} escape '\\')`);
        query = query.where('runs.id', 'in', matching);
      }
      if (template !== undefined) query = query.where('template', '=', template);
      if (adhesive !== undefined) query = query.where('adhesive', '=', adhesive);
      if (wrong === true) query = query.where('cause', 'is not', null);
      if (after !== undefined) {
        const [atMs, id] = cursorOf(after);
        query = query.where((where) =>
          where.or([
            where('runs.started_at_ms', '<', atMs),
            where.and([where('runs.started_at_ms', '=', atMs), where('runs.id', '<', id)]),
          ]),
        );
      }
      const { shown, next } = cut(await query.execute(), limit, (row) => [row.started_at_ms, row.id]);
      return {
        runs: shown.map(({ summary, fuse_used: fuseUsed }) => ({
          ...(JSON.parse(summary) as RunSummary),
          fuseUsed,
        })),
        next,
      };
    },

    evidence: async (limit) => {
      const rows = await db
        .selectFrom('runs')
        .select('evidence')
        .where('evidence', '!=', '')
        .orderBy('started_at_ms', 'desc')
        .orderBy('id', 'desc')
        .limit(limit)
        .execute();
      return rows.map(({ evidence }) => JSON.parse(evidence) as RunEvidence);
    },

    trends: () => trendsOf(db),

    find: (id) => found(db, id),

    knows: async (id) =>
      (await db.selectFrom('runs').select('id').where('id', '=', id).executeTakeFirst()) !== undefined,

    glued: async (buildIds) => {
      const rows = await db
        .selectFrom('runs')
        .select('build_id')
        .distinct()
        .where('build_id', 'in', [...buildIds])
        .where('state', 'in', ['running', 'clamped'])
        .execute();
      return new Set(rows.map(({ build_id: id }) => id));
    },

    begin: (head) =>
      db.transaction().execute(async (trx) => {
        const before = await trx
          .selectFrom('runs')
          .select('body')
          .where('id', '=', head.id)
          .executeTakeFirst();
        if (before !== undefined) {
          if (alike(JSON.parse(before.body), head)) return;
          throw new InputError(
            'inconsistent',
            'id',
            'This run was begun with another plan and promise; those are frozen when it begins.',
            'the run as it was begun, or an id of its own',
          );
        }
        const summary = summaryOf({ ...head, events: [] });
        await trx
          .insertInto('runs')
          .values({
            id: head.id,
            build_id: head.buildId,
            body: JSON.stringify(head),
            summary: JSON.stringify(summary),
            evidence: '',
            state: summary.state,
            started_at_ms: head.startedAtMs,
            updated_at_ms: now(),
          })
          .execute();
      }),

    add: (id, events) =>
      db.transaction().execute(async (trx): Promise<AddOutcome> => {
        const before = await found(trx, id);
        if (before === undefined) return { kind: 'missing' };
        const all = merged(before.events, events);
        const fresh = all.slice(before.events.length);
        const run = { ...before, events: all };
        if (fresh.length === 0) return { kind: 'added', fresh, run };
        await trx
          .insertInto('run_events')
          .values(fresh.map((event) => eventRow(id, event)))
          .execute();
        const summary = summaryOf(run);
        await trx
          .updateTable('runs')
          .set({
            summary: JSON.stringify(summary),
            evidence: evidenceText(run),
            state: summary.state,
            updated_at_ms: now(),
          })
          .where('id', '=', id)
          .execute();
        return { kind: 'added', fresh, run };
      }),
  };
}

import { type Kysely, sql } from 'kysely';

/** What the log is added up and narrowed by, taken out of a run's summary and evidence; `row` names the run's row. */
const figuresOf = (row: string) => `
  insert into run_figures (run_id, started_at_ms, month, state, build_name, note, template, adhesive, glue_g, glued_m2,
    glue_taken_g, bottle, bottle_opened_on, cause, coupon_pct, method, used, square_mm, flat_mm, likely, kept)
  select ${row}.id, ${row}.started_at_ms, strftime('%Y-%m', ${row}.started_at_ms / 1000, 'unixepoch'), ${row}.state,
    summary ->> '$.buildName', summary ->> '$.record.note', summary ->> '$.promise.job.template',
    summary ->> '$.promise.adhesive', summary ->> '$.promise.job.glueG', summary ->> '$.promise.job.gluedM2',
    summary ->> '$.record.glueG', summary ->> '$.promise.bottle.id', summary ->> '$.promise.bottle.openedOn',
    summary ->> '$.cause.cause', summary ->> '$.couponPct', taught ->> 'method', taught ->> 'used',
    taught ->> 'squareMm', taught ->> 'flatMm', taught ->> 'likely', taught ->> 'kept'
  from (select nullif(${row}.summary, '') as summary, nullif(${row}.evidence, '') as taught)`;
const worksOf = (row: string) => `
  insert into run_works (run_id, month, work, method, taken_min, built_in_min)
  select ${row}.id, strftime('%Y-%m', ${row}.started_at_ms / 1000, 'unixepoch'), work.value ->> 'work',
    case work.value ->> 'work' when 'spread' then ${row}.evidence ->> 'method' else '' end,
    work.value ->> 'takenMin', work.value ->> 'builtInMin'
  from json_each(nullif(${row}.evidence, ''), '$.works') as work`;
const lessonsOf = (row: string) => `
  insert into run_lessons (run_id, lesson)
  select ${row}.id, said.value ->> 'lesson'
  from json_each(nullif(${row}.summary, ''), '$.promise.lessons') as said`;

const TABLES = ['run_figures', 'run_works', 'run_lessons'] as const;
const TRIGGERS = ['run_written', 'run_changed'] as const;
const FILLS = [figuresOf, worksOf, lessonsOf];

/**
 * Keeps the figures of runs in columns of their own, brought up by the database itself whenever a run is written: adding up ten
 * thousand runs out of their JSON took three seconds. Called again by a later migration, it keeps what has been added since.
 */
export async function keepRunFigures(db: Kysely<unknown>): Promise<void> {
  const run = (text: string) => sql.raw(text).execute(db);
  for (const trigger of TRIGGERS) await run(`drop trigger if exists ${trigger}`);
  for (const table of TABLES) await run(`drop table if exists ${table}`);
  await run(`create table run_figures (run_id text primary key, started_at_ms integer not null, month text not null,
    state text not null, build_name text, note text, template text, adhesive text, glue_g real, glued_m2 real,
    glue_taken_g real, bottle text, bottle_opened_on text, cause text, coupon_pct real, method text, used real,
    square_mm real, flat_mm real, likely real, kept integer) without rowid`);
  await run(`create table run_works (run_id text not null, month text not null, work text not null, method text not null,
    taken_min real not null, built_in_min real not null)`);
  await run('create table run_lessons (run_id text not null, lesson text not null)');
  for (const table of ['run_works', 'run_lessons'])
    await run(`create index ${table}_run on ${table} (run_id)`);
  const fill = FILLS.map((statement) => `${statement('new')};`).join('');
  const empty = TABLES.map((table) => `delete from ${table} where run_id = new.id;`).join('');
  await run(`create trigger ${TRIGGERS[0]} after insert on runs begin ${fill} end`);
  await run(`create trigger ${TRIGGERS[1]} after update of summary, evidence, state, started_at_ms on runs
    begin ${empty} ${fill} end`);
  // Runs of before are written once more, over themselves.
  await run('update runs set state = state');
}

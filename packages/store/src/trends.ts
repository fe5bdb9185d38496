import type { Calibration, Trends } from '@lean-clasp/core/learning';
import { sql } from 'kysely';
import type { Database } from './database';

const month = sql<string>`strftime('%Y-%m', started_at_ms / 1000, 'unixepoch')`;

/** Runs with what they have to teach; neither column is ever read where it is empty, which is no JSON. */
const taught = sql`(select id, started_at_ms, nullif(evidence, '') as taught from runs where evidence != '') as taught_runs`;
const read = sql`(select started_at_ms, state, nullif(summary, '') as summary from runs) as read_runs`;

/** Adds up the log in the database, so that it is as quick for ten thousand glue-ups as for ten. */
export async function trendsOf(db: Database): Promise<Trends> {
  const rows = async <Row>(query: ReturnType<typeof sql<Row>>): Promise<readonly Row[]> =>
    (await query.execute(db)).rows;
  const [pace, used, reached, glue, causes, coupons, lessons, bins, brier] = await Promise.all([
    rows(sql<Trends['pace'][number]>`
      select ${month} as month, work.value ->> 'work' as work,
        case work.value ->> 'work' when 'spread' then taught ->> 'method' else '' end as method,
        count(distinct taught_runs.id) as runs, sum(work.value ->> 'takenMin') / sum(work.value ->> 'builtInMin') as factor
      from ${taught}, json_each(taught, '$.works') as work
      group by 1, 2, 3 order by 1`),
    rows(sql<Trends['used'][number]>`
      select ${month} as month, count(*) as runs, avg(taught ->> 'used') as share
      from ${taught} where taught ->> 'used' is not null group by 1 order by 1`),
    rows(sql<Trends['reached'][number]>`
      select ${month} as month, taught ->> 'template' as template, count(*) as runs,
        avg(taught ->> 'squareMm') as squareMm, avg(taught ->> 'flatMm') as flatMm
      from ${taught} where coalesce(taught ->> 'squareMm', taught ->> 'flatMm') is not null
      group by 1, 2 order by 1`),
    rows(sql<Trends['glue'][number]>`
      select ${month} as month, count(*) as runs,
        sum(summary ->> '$.promise.job.glueG') / sum(summary ->> '$.promise.job.gluedM2') as gPerM2
      from ${read} where summary ->> '$.promise.job.gluedM2' > 0 and state = 'clamped' group by 1 order by 1`),
    rows(sql<Trends['causes'][number]>`
      select summary ->> '$.cause.cause' as cause, count(*) as runs
      from ${read} where summary ->> '$.cause.cause' is not null group by 1 order by 2 desc, 1`),
    rows(sql<Trends['coupons'][number]>`
      select ${month} as month, summary ->> '$.promise.adhesive' as adhesive, count(*) as runs,
        avg(summary ->> '$.couponPct') as pct
      from ${read} where summary ->> '$.couponPct' is not null group by 1, 2 order by 1`),
    rows(sql<Trends['lessons'][number]>`
      select said.value ->> 'lesson' as lesson, count(*) as runs,
        count(summary ->> '$.cause.cause') as wrong
      from ${read}, json_each(summary, '$.promise.lessons') as said where state = 'clamped' group by 1 order by 1`),
    rows(sql<Calibration['bins'][number]>`
      select count(*) as runs, avg(taught ->> 'likely') as promised, avg(taught ->> 'kept') as kept
      from ${taught} where taught ->> 'likely' is not null and taught ->> 'kept' is not null
      group by min(9, cast(10 * (taught ->> 'likely') as integer)) order by 2`),
    rows(sql<Pick<Calibration, 'brier' | 'brierOfMean'>>`
      with told as (select taught ->> 'likely' as promised, taught ->> 'kept' as kept from ${taught}
        where taught ->> 'likely' is not null and taught ->> 'kept' is not null)
      select avg((promised - kept) * (promised - kept)) as brier,
        (select avg(kept) * (1 - avg(kept)) from told) as brierOfMean from told`),
  ]);
  return {
    pace,
    used,
    reached,
    glue,
    causes,
    coupons,
    lessons,
    calibration: { bins, brier: brier[0]?.brier ?? null, brierOfMean: brier[0]?.brierOfMean ?? null },
  };
}

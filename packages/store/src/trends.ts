import type { Calibration, Trends } from '@lean-clasp/core/learning';
import { sql } from 'kysely';
import type { Database } from './database';

/** Adds up the log in the database, so that it is as quick for ten thousand glue-ups as for ten. */
export async function trendsOf(db: Database): Promise<Trends> {
  const rows = async <Row>(query: ReturnType<typeof sql<Row>>): Promise<readonly Row[]> =>
    (await query.execute(db)).rows;
  const [pace, used, reached, glue, causes, coupons, lessons, bins, brier] = await Promise.all([
    rows(sql<Trends['pace'][number]>`
      select month, work, '' as method, count(distinct run_id) as runs, sum(taken_min) / sum(built_in_min) as factor
      from run_works group by 1, 2
      union all
      select month, work, method, count(distinct run_id), sum(taken_min) / sum(built_in_min)
      from run_works where method != '' group by 1, 2, 3 order by 1`),
    rows(sql<Trends['used'][number]>`
      select month, count(*) as runs, avg(used) as share
      from run_figures where used is not null group by 1 order by 1`),
    rows(sql<Trends['reached'][number]>`
      select month, template, count(*) as runs, avg(square_mm) as squareMm, avg(flat_mm) as flatMm
      from run_figures where coalesce(square_mm, flat_mm) is not null group by 1, 2 order by 1`),
    rows(sql<Trends['glue'][number]>`
      select month, count(*) as runs, sum(glue_g) / sum(glued_m2) as gPerM2,
        sum(glue_taken_g) / sum(glued_m2) filter (where glue_taken_g is not null) as takenGPerM2
      from run_figures where glued_m2 > 0 and state = 'clamped' group by 1 order by 1`),
    rows(sql<Trends['causes'][number]>`
      select cause, count(*) as runs from run_figures where cause is not null group by 1 order by 2 desc, 1`),
    rows(sql<Trends['coupons'][number]>`
      select month, adhesive, bottle, bottle_opened_on as openedOn, count(*) as runs, avg(coupon_pct) as pct
      from run_figures where coupon_pct is not null group by 1, 2, 3, 4 order by 1, 2, 4, 3`),
    rows(sql<Trends['lessons'][number]>`
      select lesson, count(*) as runs, count(cause) as wrong
      from run_lessons join run_figures using (run_id) where state = 'clamped' group by 1 order by 1`),
    rows(sql<Calibration['bins'][number]>`
      select count(*) as runs, avg(likely) as promised, avg(kept) as kept
      from run_figures where likely is not null and kept is not null
      group by min(9, cast(10 * likely as integer)) order by 2`),
    rows(sql<Pick<Calibration, 'brier' | 'brierOfMean'>>`
      with told as (select likely as promised, kept from run_figures where likely is not null and kept is not null)
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

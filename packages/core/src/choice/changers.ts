import { type Adhesive, SENSITISERS } from '../adhesives';
import type { GlueJob } from './job';
import { rankAdhesives } from './rank';

/** A change of one circumstance that puts another glue first. */
export interface OrderChange {
  readonly code: ChangeCode;
  readonly adhesive: Adhesive;
}

/** Circumstances that are tried. */
export type ChangeCode =
  | 'ten-colder'
  | 'one-more-person'
  | 'outdoors'
  | 'half-millimetre-gap'
  | 'lasting-load'
  | 'to-come-apart'
  | 'painted'
  | 'one-hour-of-clamps'
  | 'no-sensitisers';

/** One more pair of hands takes this share of the time [judgement]. */
const TWO_HANDS_SHARE = 0.6;

const CHANGES: Readonly<Record<ChangeCode, (job: GlueJob) => GlueJob>> = {
  'ten-colder': (job) => ({ ...job, tempC: Math.max(-10, job.tempC - 10) }),
  'one-more-person': (job) => ({
    ...job,
    openNeedMin: job.openNeedMin * TWO_HANDS_SHARE,
    closedNeedMin: job.closedNeedMin * TWO_HANDS_SHARE,
  }),
  outdoors: (job) => ({ ...job, service: 'exterior' }),
  'half-millimetre-gap': (job) => ({ ...job, gapMm: Math.max(job.gapMm, 0.5) }),
  'lasting-load': (job) => ({ ...job, lastingLoad: true }),
  'to-come-apart': (job) => ({ ...job, repairable: true }),
  painted: (job) => ({ ...job, finish: 'paint' }),
  'one-hour-of-clamps': (job) => ({ ...job, clampsOffWithinMin: 60 }),
  'no-sensitisers': (job) => ({ ...job, avoid: SENSITISERS }),
};

/**
 * Changes of one circumstance that would put another glue first, each really ranked.
 * @param ofPlan what plans add to the job, taken to stay as it is.
 */
export function whatWouldChange(
  job: GlueJob,
  families?: readonly Adhesive[],
  ofPlan?: Parameters<typeof rankAdhesives>[2],
): OrderChange[] {
  const usable = (changed: GlueJob) =>
    rankAdhesives(changed, families, ofPlan).glues.find((glue) => glue.refusals.length === 0);
  const now = usable(job)?.adhesive.id;
  return (Object.keys(CHANGES) as ChangeCode[]).flatMap((code) => {
    const first = usable(CHANGES[code](job));
    return first === undefined || first.adhesive.id === now ? [] : [{ code, adhesive: first.adhesive }];
  });
}

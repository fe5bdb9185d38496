import type { RunDocument } from '@lean-clasp/core/formats';
import type { RunStore } from '@lean-clasp/store';
import { Router } from 'express';
import { httpError, onlyMethods } from '../http/errors';
import type { FeedKey } from './feed-key';
import { runCalendar } from './run-calendar';

/** The latest runs are looked through for what is to come. */
const LATEST = 200;
const DAY_MS = 86_400_000;
/** What was due stays in the feed for so long, for those who look back. */
const LOOK_BACK_MS = 30 * DAY_MS;

/** Whatever is to come of all runs, for calendars that ask by themselves. */
export function feedRoute(runs: Pick<RunStore, 'page' | 'find'>, feed: FeedKey, now: () => number): Router {
  const router = Router();
  router.get('/calendar/:key.ics', async (request, response) => {
    if (!(await feed.fits(request.params.key))) {
      throw httpError(404, 'not-found', 'There is no such calendar.', 'the address that is shown under Shop');
    }
    const { runs: latest } = await runs.page({ limit: LATEST, state: 'clamped' });
    const whole = await Promise.all(latest.map(({ id }) => runs.find(id)));
    const known = whole.filter((run): run is RunDocument => run !== undefined);
    response.type('text/calendar').send(runCalendar(known, now(), now() - LOOK_BACK_MS));
  });
  router.all('/calendar/:key.ics', onlyMethods('GET'));
  return router;
}

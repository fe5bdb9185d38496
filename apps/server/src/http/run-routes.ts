import { InputError, within } from '@lean-clasp/core/basics';
import { RunDocumentSchema, type RunEvent, RunEventSchema, type RunHead } from '@lean-clasp/core/formats';
import { logTable } from '@lean-clasp/archive';
import type { RunSummary } from '@lean-clasp/core/runs';
import type { Validator } from '@lean-clasp/validation';
import { Type } from '@sinclair/typebox';
import { type Request, Router } from 'express';
import type { RunPage, RunStore } from '@lean-clasp/store';
import { httpError, onlyMethods } from './errors';
import { pageAsked, textOf } from './paging';
import { runCalendar } from '../calendar/run-calendar';
import type { ShelfKeeper } from '../shelf/shelf-keeper';
import type { RunStream } from './run-stream';

/** What happened since it was last told. */
export const EventsSchema = Type.Object(
  { events: Type.Array(RunEventSchema, { maxItems: 5000 }) },
  { additionalProperties: false },
);

/** Glue-ups that are learned from at most: those of the last years, not of the hands one had before. */
const MOST_TAUGHT = 400;
/** Runs of a page while the whole log is read. */
const LOG_PAGE = 200;
/** How a run may stand. */
export const RUN_STATES = ['running', 'clamped', 'abandoned'] as const;
/** With these a run is over. */
const ENDS: readonly RunEvent['kind'][] = ['finish', 'abandon'];
/** A device whose clock runs ahead of this one by more than this is set wrong, ms. */
const AHEAD_MS = 86_400_000;

/** What the run routes need. */
interface RunRoutesDeps {
  readonly runs: RunStore;
  readonly stream: RunStream;
  readonly validator: Validator;
  /** Whether there is such a build, in the bin or out of it. */
  readonly knowsBuild: (id: string) => Promise<boolean>;
  readonly now: () => number;
  readonly keepShelf: ShelfKeeper;
}

/** Runs: pages of summaries, one whole, begun once, added to, followed. */
export function runRoutes({ runs, stream, validator, knowsBuild, now, keepShelf }: RunRoutesDeps): Router {
  const router = Router();
  const missing = () => httpError(404, 'not-found', 'There is no such run.', 'the id of a run');

  router.get('/', async (request, response) => {
    const { build, state, template, adhesive, wrong } = request.query;
    response.json(
      await runs.page({
        ...pageAsked(request.query),
        buildId: textOf(build),
        state: RUN_STATES.find((each) => each === state),
        template: textOf(template),
        adhesive: textOf(adhesive),
        wrong: textOf(wrong) === 'true',
      }),
    );
  });

  // The whole log for a spreadsheet, a page at a time out of the database.
  router.get('/log.csv', async (_request, response) => {
    const all: RunSummary[] = [];
    let after: string | undefined;
    do {
      const page: RunPage = await runs.page({ limit: LOG_PAGE, after });
      all.push(...page.runs);
      after = page.next ?? undefined;
    } while (after !== undefined);
    response.attachment('log.csv').type('text/csv').send(logTable(all));
  });

  // What the log comes to, and what it has to teach; before the ids, of which none is called so.
  router.get('/trends', async (_request, response) => {
    response.json(await runs.trends());
  });

  router.get('/evidence', async (_request, response) => {
    response.json({ evidence: await runs.evidence(MOST_TAUGHT) });
  });

  router.get('/:id', async (request, response) => {
    const run = await runs.find(request.params.id);
    if (run === undefined) throw missing();
    response.json(run);
  });

  // Begins a run with what has happened so far. Sent again, it changes nothing; sent late, it adds what is new.
  router.put('/:id', async (request, response) => {
    const { events, ...head } = validator.check(RunDocumentSchema, request.body);
    checkHead(head, request);
    within(head.startedAtMs, 'startedAtMs', { min: 0, max: now() + AHEAD_MS, unit: 'ms' });
    checkEvents(events, head.startedAtMs, now());
    if (!(await knowsBuild(head.buildId)) && (await runs.find(head.id)) === undefined) {
      throw new InputError('unknown-id', 'buildId', 'There is no such build.', 'the id of a build');
    }
    await runs.begin(head);
    response.json(await added(head.id, events));
  });

  router.post('/:id/events', async (request, response) => {
    const { events } = validator.check(EventsSchema, request.body);
    checkEvents(events, 0, now());
    response.json(await added(request.params.id, events));
  });

  router.get('/:id/calendar.ics', async (request, response) => {
    const run = await runs.find(request.params.id);
    if (run === undefined) throw missing();
    response.type('text/calendar').send(runCalendar([run], now()));
  });

  router.get('/:id/stream', async (request, response) => {
    if ((await runs.find(request.params.id)) === undefined) throw missing();
    stream.follow(request.params.id, response);
  });

  router.all('/', onlyMethods('GET'));
  router.all(['/log.csv', '/trends', '/evidence'], onlyMethods('GET'));
  router.all('/:id', onlyMethods('GET', 'PUT'));
  router.all('/:id/events', onlyMethods('POST'));
  router.all('/:id/calendar.ics', onlyMethods('GET'));
  router.all('/:id/stream', onlyMethods('GET'));

  async function added(id: string, events: readonly RunEvent[]) {
    const outcome = await runs.add(id, events);
    if (outcome.kind === 'missing') throw missing();
    stream.tell(id, outcome.fresh);
    // Whoever tells the end tells it again until it is answered.
    if (events.some(({ kind }) => ENDS.includes(kind))) await keepShelf(outcome.run);
    return outcome.run;
  }

  return router;
}

function checkHead({ id }: RunHead, request: Request<{ id: string }>): void {
  if (id === request.params.id) return;
  throw new InputError(
    'inconsistent',
    'id',
    'The run in the body has another id than the address.',
    request.params.id,
  );
}

/** Numbers as their page counts them, none before the run began or from tomorrow on. */
function checkEvents(events: readonly RunEvent[], fromMs: number, nowMs: number): void {
  events.forEach(({ id, device, seq, atMs }, i) => {
    if (id !== `${device}-${seq}`) {
      throw new InputError(
        'inconsistent',
        `events.${i}.id`,
        'The id of an event is its device and its number.',
        `${device}-${seq}`,
      );
    }
    within(atMs, `events.${i}.atMs`, { min: fromMs, max: nowMs + AHEAD_MS, unit: 'ms' });
  });
}

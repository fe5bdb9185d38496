import { EventsSchema, RUN_STATES } from '../../http/run-routes';
import { file, having, jsonBy, jsonOf, type Operation } from '../operation';
import { CURSOR, OBJECT, PAGED, TEXT } from './words';

const CALENDAR = file('text/calendar');

/** Glue-ups and what they are made of. */
export const runs: readonly Operation[] = [
  {
    method: 'get',
    path: '/calendar/{key}.ics',
    about: 'What is to come of all glue-ups, to subscribe to; /network tells the address.',
    who: 'anyone',
    answer: CALENDAR,
  },
  {
    method: 'get',
    path: '/runs',
    about: 'Glue-ups in short, the latest first, a page at a time.',
    who: 'bench',
    query: {
      ...PAGED,
      build: { about: 'id of their build', schema: TEXT },
      state: { about: 'how they stand', schema: { enum: [...RUN_STATES] } },
      template: { about: 'kind of their build', schema: TEXT },
      adhesive: { about: 'their glue', schema: TEXT },
      wrong: { about: 'only those in which something went wrong', schema: { enum: ['true', 'false'] } },
    },
    answer: jsonBy(
      having({ runs: { type: 'array', items: having({ id: TEXT, buildId: TEXT }) }, next: CURSOR }),
    ),
  },
  {
    method: 'get',
    path: '/runs/log.csv',
    about: 'The whole log as a table.',
    who: 'bench',
    answer: file('text/csv'),
  },
  {
    method: 'get',
    path: '/runs/trends',
    about: 'What the log comes to: pace, margins, failures, how often promises held.',
    who: 'bench',
    answer: jsonBy(OBJECT),
  },
  {
    method: 'get',
    path: '/runs/evidence',
    about: 'What the latest glue-ups have to teach, measured against what was planned.',
    who: 'bench',
    answer: jsonBy(having({ evidence: { type: 'array' } })),
  },
  { method: 'get', path: '/runs/{id}', about: 'A glue-up, whole.', who: 'bench', answer: jsonOf('Run') },
  {
    method: 'put',
    path: '/runs/{id}',
    about: 'Begins a glue-up; sent again it adds what is new and changes nothing else.',
    who: 'bench',
    body: jsonOf('Run'),
    answer: jsonOf('Run'),
  },
  {
    method: 'post',
    path: '/runs/{id}/events',
    about: 'Adds what happened, each event once, however often it is sent.',
    who: 'bench',
    body: jsonBy(EventsSchema),
    answer: jsonOf('Run'),
  },
  {
    method: 'get',
    path: '/runs/{id}/calendar.ics',
    about: 'What is to come of a glue-up, as a calendar (RFC 5545).',
    who: 'bench',
    answer: CALENDAR,
  },
  {
    method: 'get',
    path: '/runs/{id}/stream',
    about: 'What other screens note, as it happens (server-sent events).',
    who: 'bench',
    answer: file('text/event-stream'),
  },
  {
    method: 'get',
    path: '/runs/{run}/pictures/{id}',
    about: 'A photograph.',
    who: 'bench',
    answer: file('image/jpeg'),
  },
  {
    method: 'put',
    path: '/runs/{run}/pictures/{id}',
    about: 'Keeps a photograph; what is kept never changes.',
    who: 'bench',
    body: file('image/jpeg'),
    answer: null,
  },
];

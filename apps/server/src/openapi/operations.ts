import { LessonsFileSchema } from '@lean-clasp/core/formats';
import { PaperAskSchema } from '@lean-clasp/paper';
import { type CalculationListing, PlanInputSchema } from '@lean-clasp/validation';
import { PassphraseSchema } from '../access/access-routes';
import { NewBuildSchema } from '../http/build-routes';
import { EditSchema } from '../http/document-routes';
import { EventsSchema, RUN_STATES } from '../http/run-routes';
import { type Content, file, having, jsonBy, jsonOf, type Operation, type QueryWord } from './operation';

const TEXT = { type: 'string' };
const NUMBER = { type: 'number' };
const OBJECT = { type: 'object' };
const CURSOR = { type: ['string', 'null'] };

const PAGED: Readonly<Record<string, QueryWord>> = {
  limit: { about: 'how many at most', schema: { type: 'string', pattern: '^\\d+$' } },
  after: { about: 'where the page before ended', schema: TEXT },
  text: { about: 'words that its name or project must have', schema: TEXT },
};

const SESSION = jsonBy(
  having({ role: { enum: ['owner', 'bench', null] }, here: { type: 'boolean' }, open: { type: 'boolean' } }),
);

const access: readonly Operation[] = [
  {
    method: 'get',
    path: '/health',
    about: 'Whether the server is there, which version, and its clock.',
    who: 'anyone',
    answer: jsonBy(having({ status: TEXT, version: TEXT, nowMs: NUMBER })),
  },
  {
    method: 'get',
    path: '/openapi.json',
    about: 'This document.',
    who: 'anyone',
    answer: jsonBy(having({ openapi: TEXT, info: OBJECT, paths: OBJECT })),
  },
  { method: 'get', path: '/session', about: 'Who asks.', who: 'anyone', answer: SESSION },
  {
    method: 'post',
    path: '/session',
    about: 'Comes in with a passphrase.',
    who: 'anyone',
    body: jsonBy(PassphraseSchema),
    answer: SESSION,
  },
  { method: 'delete', path: '/session', about: 'Goes out again.', who: 'anyone', answer: null },
  {
    method: 'get',
    path: '/certificate',
    about: 'The certificate that devices are to trust; there is none without HTTPS.',
    who: 'anyone',
    answer: file('application/x-x509-ca-cert'),
  },
  {
    method: 'get',
    path: '/network',
    about: 'Where else the server is found, and whether passphrases are set.',
    who: 'bench',
    answer: jsonBy(
      having({ addresses: { type: 'array', items: TEXT }, passphrases: { type: 'array' }, calendar: TEXT }),
    ),
  },
  {
    method: 'put',
    path: '/network/passphrases/{role}',
    about: 'Sets the passphrase of a role.',
    who: 'this machine',
    body: jsonBy(PassphraseSchema),
    answer: jsonBy({ type: 'array' }),
  },
  {
    method: 'delete',
    path: '/network/passphrases/{role}',
    about: 'Takes the passphrase of a role away; nobody comes in by it any more.',
    who: 'this machine',
    answer: jsonBy({ type: 'array' }),
  },
];

const lines = { type: 'array', items: having({ id: TEXT, revision: NUMBER, name: TEXT }) };

const builds: readonly Operation[] = [
  {
    method: 'get',
    path: '/builds',
    about: 'Builds, the latest first, a page at a time.',
    who: 'bench',
    query: PAGED,
    answer: jsonBy(having({ builds: lines, next: CURSOR })),
  },
  {
    method: 'post',
    path: '/builds',
    about: 'A new build of a kind.',
    who: 'owner',
    body: jsonBy(NewBuildSchema),
    answer: jsonOf('StoredBuild'),
    status: 201,
  },
  {
    method: 'post',
    path: '/builds/read',
    about: 'A build as it was saved elsewhere, of this version or an earlier one, as one more.',
    who: 'owner',
    body: jsonBy(having({ format: TEXT, version: NUMBER })),
    answer: jsonOf('StoredBuild'),
    status: 201,
  },
  ...documents('build', '/builds', 'StoredBuild'),
  { method: 'delete', path: '/builds/{id}', about: 'Puts a build into the bin.', who: 'owner', answer: null },
  {
    method: 'get',
    path: '/bin',
    about: 'Builds in the bin.',
    who: 'bench',
    query: PAGED,
    answer: jsonBy(having({ documents: lines, next: CURSOR })),
  },
  {
    method: 'post',
    path: '/bin/{id}/restore',
    about: 'Takes a build out of the bin.',
    who: 'owner',
    answer: null,
  },
  ...documents('shop', '/shops', 'StoredShop'),
  {
    method: 'post',
    path: '/lessons/check',
    about: 'Whether a file of lessons is one; nothing is kept.',
    who: 'bench',
    body: jsonBy(LessonsFileSchema),
    answer: jsonBy(LessonsFileSchema),
  },
];

/** What every document can do. */
function documents(what: string, path: string, stored: string): readonly Operation[] {
  return [
    { method: 'get', path: `${path}/{id}`, about: `A ${what}.`, who: 'bench', answer: jsonOf(stored) },
    {
      method: 'patch',
      path: `${path}/{id}`,
      about: `Changes a ${what} by a JSON patch (RFC 6902) upon a revision; 409 where that is not the latest.`,
      who: 'owner',
      body: jsonBy(EditSchema),
      answer: jsonOf(stored),
    },
    {
      method: 'get',
      path: `${path}/{id}/edits`,
      about: `What was changed in a ${what}, with how to take it back.`,
      who: 'bench',
      query: { after: { about: 'only what came after this revision', schema: TEXT } },
      answer: jsonBy({
        type: 'array',
        items: having({ revision: NUMBER, label: TEXT, patch: { type: 'array' } }),
      }),
    },
  ];
}

const CALENDAR = file('text/calendar');

const runs: readonly Operation[] = [
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

const shop: readonly Operation[] = [
  {
    method: 'get',
    path: '/shop-list',
    about:
      'What to buy, to borrow and to make for builds, as a PDF; left out: those that wait to be glued up.',
    who: 'bench',
    query: {
      build: { about: 'id of a build; may stand several times', schema: TEXT },
      paper: { about: 'what it is printed on', schema: { enum: ['a4', 'letter'] } },
      units: { about: 'in which lengths are told', schema: { enum: ['metric', 'imperial'] } },
    },
    answer: file('application/pdf'),
  },
  { method: 'get', path: '/air', about: 'What the sensor says now.', who: 'bench', answer: jsonBy(OBJECT) },
  {
    method: 'get',
    path: '/air/series',
    about: 'The air of the last days, and what wood has come to in it.',
    who: 'bench',
    query: { days: { about: 'how far back', schema: { type: 'string', pattern: '^\\d+$' } } },
    answer: jsonBy(OBJECT),
  },
  {
    method: 'get',
    path: '/archive',
    about: 'Everything of the shop as one zip file.',
    who: 'owner',
    answer: file('application/zip'),
  },
  {
    method: 'post',
    path: '/archive',
    about: 'Reads everything in again.',
    who: 'owner',
    query: {
      mode: { about: 'beside what is there, or in its place', schema: { enum: ['merge', 'replace'] } },
      only: { about: '"look" changes nothing and tells what would come of it', schema: { enum: ['look'] } },
    },
    body: file('application/zip'),
    answer: jsonBy(having({ builds: OBJECT, runs: OBJECT, shop: TEXT, faults: { type: 'array' } })),
  },
];

const sums = (calculations: readonly CalculationListing[]): readonly Operation[] => [
  {
    method: 'get',
    path: '/calc',
    about: 'Every sum with what goes in and what comes out.',
    who: 'bench',
    answer: jsonBy({
      type: 'array',
      items: having({ name: TEXT, doc: TEXT, input: OBJECT, output: OBJECT }),
    }),
  },
  ...calculations.map(({ name, doc, input, output }): Operation => ({
    method: 'post',
    path: `/calc/${name}`,
    about: doc,
    who: 'bench',
    body: jsonBy(input as object),
    answer: jsonBy(output as object),
  })),
  {
    method: 'post',
    path: '/plan',
    about: 'A whole plan: sessions, clamps, clock, verdicts and what would help, in numbers and words.',
    who: 'bench',
    body: jsonBy(PlanInputSchema),
    answer: jsonBy(having({ sessions: { type: 'array' }, verdicts: OBJECT, fixes: { type: 'array' } })),
  },
  {
    method: 'post',
    path: '/paper',
    about: 'A glue-up sheet, a template at full size or a drawing, as a file.',
    who: 'bench',
    body: jsonBy(having({ ask: PaperAskSchema, plan: PlanInputSchema })),
    answer: file('*/*') satisfies Content,
  },
  {
    method: 'get',
    path: '/catalogue',
    about: 'Woods, glues, clamps and ways of spreading with their figures.',
    who: 'bench',
    answer: jsonBy(
      having(
        Object.fromEntries(
          ['species', 'adhesives', 'clamps', 'methods'].map((each) => [each, { type: 'array' }]),
        ),
      ),
    ),
  },
  {
    method: 'get',
    path: '/schemas',
    about: 'JSON Schemas of the documents that are saved and read.',
    who: 'bench',
    answer: jsonBy(having({ build: OBJECT, shop: OBJECT, run: OBJECT, lessons: OBJECT })),
  },
];

/** Everything that may be asked of the server. */
export const operations = (calculations: readonly CalculationListing[]): readonly Operation[] => [
  ...access,
  ...builds,
  ...runs,
  ...shop,
  ...sums(calculations),
];

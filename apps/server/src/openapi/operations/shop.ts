import { file, having, jsonBy, type Operation } from '../operation';
import { OBJECT, TEXT } from './words';

/** The shop as a whole: what it holds, asks for and gives away. */
export const shop: readonly Operation[] = [
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

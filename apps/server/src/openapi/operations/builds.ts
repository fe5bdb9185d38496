import { LessonsFileSchema } from '@lean-clasp/core/formats';
import { NewBuildSchema } from '../../http/build-routes';
import { EditSchema } from '../../http/document-routes';
import { having, jsonBy, jsonOf, type Operation } from '../operation';
import { CURSOR, NUMBER, PAGED, TEXT } from './words';

const lines = { type: 'array', items: having({ id: TEXT, revision: NUMBER, name: TEXT }) };

/** Builds, lists and what every document can do. */
export const builds: readonly Operation[] = [
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

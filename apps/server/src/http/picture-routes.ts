import { InputError } from '@lean-clasp/core/basics';
import type { PictureStore, RunStore } from '@lean-clasp/store';
import express, { type RequestHandler, Router } from 'express';
import { requireSignedIn } from '../access/visitor';
import { httpError, onlyMethods } from './errors';

/** Largest picture; the page makes them smaller than this before it sends them. */
const PICTURE_LIMIT = '2mb';
const PLAIN_ID = /^[A-Za-z0-9_-]{1,64}$/;
const YEAR_S = 31_536_000;

/** Pictures of runs: put once, never changed. */
export function pictureRoutes(runs: Pick<RunStore, 'knows'>, pictures: PictureStore): Router {
  const router = Router();
  const known: RequestHandler<{ run: string; id: string }> = async (
    { params: { run, id } },
    _response,
    next,
  ) => {
    if (!PLAIN_ID.test(id)) {
      throw new InputError('inconsistent', 'id', 'That is no id.', 'letters, digits, dashes, at most 64');
    }
    if (!PLAIN_ID.test(run) || !(await runs.knows(run))) {
      throw httpError(404, 'not-found', 'There is no such run.', 'the id of a run');
    }
    next();
  };
  router
    .route('/:run/pictures/:id')
    .all(requireSignedIn, known)
    .get((request, response) => {
      const path = pictures.find(request.params.run, request.params.id);
      if (path === undefined) throw httpError(404, 'not-found', 'There is no such picture.', 'the id of one');
      response.set('Cache-Control', `private, max-age=${YEAR_S}, immutable`);
      response.type('jpeg').sendFile(path);
    })
    .put(express.raw({ limit: PICTURE_LIMIT, type: 'image/jpeg' }), async (request, response) => {
      if (!Buffer.isBuffer(request.body)) {
        throw httpError(415, 'not-a-picture', 'That is no picture.', 'a body of the type image/jpeg');
      }
      await pictures.add(request.params.run, request.params.id, request.body);
      response.status(204).end();
    })
    .all(onlyMethods('GET', 'PUT'));
  return router;
}

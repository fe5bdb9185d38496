import { Router } from 'express';
import type { BuildDocument } from '@lean-clasp/core/formats';
import type { DocumentStore } from '@lean-clasp/store';
import { httpError } from './errors';
import { pageAsked } from './paging';

/** Builds that were removed: listed, and taken out again. */
export function binRoutes(builds: DocumentStore<BuildDocument>): Router {
  const router = Router();

  router.get('/', async (request, response) => {
    response.json(await builds.page({ ...pageAsked(request.query), binned: true }));
  });

  router.post('/:id/restore', async (request, response) => {
    if (!(await builds.restore(request.params.id))) {
      throw httpError(404, 'not-found', 'There is no such build in the bin.', 'the id of a build in the bin');
    }
    response.status(204).end();
  });

  return router;
}

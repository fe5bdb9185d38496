import { RunDocumentSchema } from '@lean-clasp/core/formats';
import type { Validator } from '@lean-clasp/validation';
import { Router } from 'express';
import type { RunStore } from '../store';
import { httpError } from './errors';

/** Runs: list, read, and an idempotent PUT that a bench repeats until it gets through. */
export function runRoutes(runs: RunStore, validator: Validator): Router {
  const router = Router();

  router.get('/', async (_request, response) => {
    response.json(await runs.list());
  });

  router.get('/:id', async (request, response) => {
    const run = await runs.find(request.params.id);
    if (run === undefined) throw httpError(404, 'not-found', 'There is no such run.', 'the id of a run');
    response.json(run);
  });

  router.put('/:id', async (request, response) => {
    const run = validator.check(RunDocumentSchema, request.body);
    if (run.id !== request.params.id) {
      throw httpError(
        422,
        'inconsistent',
        'The run in the body has another id than the address.',
        request.params.id,
        'id',
      );
    }
    await runs.put(run);
    response.json(run);
  });

  return router;
}

import { listAdhesives } from '@lean-clasp/core/adhesives';
import { listClampKinds } from '@lean-clasp/core/clamps';
import { listSpecies } from '@lean-clasp/core/materials';
import { listSpreadMethods } from '@lean-clasp/core/spread';
import type { Calculator } from '@lean-clasp/validation';
import { type Response, Router } from 'express';
import { onlyMethods } from './errors';
import type { Task } from '../work/task';
import type { WorkPool } from '../work/pool';

/** Named calculations, whole plans, and the catalogues whose coefficients they use. */
export function calcRoutes(calculator: Calculator, pool: WorkPool): Router {
  const router = Router();
  const answer = async (task: Task, response: Response) => {
    const gone = new AbortController();
    response.on('close', () => gone.abort());
    const json = await pool.run(task, gone.signal);
    response.type('json').send(json);
  };

  router.get('/calc', (_request, response) => {
    response.json(calculator.list());
  });

  router.post('/calc/:name', async (request, response) => {
    await answer({ kind: 'calc', name: request.params.name, input: request.body as unknown }, response);
  });

  router.post('/plan', async (request, response) => {
    await answer({ kind: 'plan', input: request.body as unknown }, response);
  });

  router.get('/catalogue', (_request, response) => {
    response.json({
      species: listSpecies(),
      adhesives: listAdhesives(),
      clamps: listClampKinds(),
      methods: listSpreadMethods(),
    });
  });

  router.all('/calc', onlyMethods('GET'));
  router.all('/calc/:name', onlyMethods('POST'));
  router.all('/plan', onlyMethods('POST'));
  router.all('/catalogue', onlyMethods('GET'));

  return router;
}

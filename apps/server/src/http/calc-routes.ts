import { listAdhesives } from '@lean-clasp/core/adhesives';
import { listClampKinds } from '@lean-clasp/core/clamps';
import {
  BuildDocumentSchema,
  LessonsFileSchema,
  RunDocumentSchema,
  ShopDocumentSchema,
} from '@lean-clasp/core/formats';
import { listSpecies } from '@lean-clasp/core/materials';
import { listSpreadMethods } from '@lean-clasp/core/spread';
import type { Calculator } from '@lean-clasp/validation';
import { type Response, Router } from 'express';
import { onlyMethods } from './errors';
import type { Task } from '../work/task';
import type { WorkPool } from '../work/pool';

/** Tells a worker when whoever asked has left. */
export function whenGone(response: Response): AbortSignal {
  const gone = new AbortController();
  response.on('close', () => gone.abort());
  return gone.signal;
}

/** What is asked and the plan that it is asked of; each is checked by whoever makes the file. */
const bodyOf = (body: unknown): { readonly ask?: unknown; readonly plan?: unknown } =>
  typeof body === 'object' && body !== null ? body : {};

/** Named calculations, whole plans, files of plans, the catalogues whose coefficients they use, and the schemas of documents. */
export function calcRoutes(calculator: Calculator, pool: WorkPool): Router {
  const router = Router();
  const answer = async (task: Task, response: Response) => {
    const json = await pool.run(task, whenGone(response));
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

  router.post('/paper', async (request, response) => {
    const { ask, plan } = bodyOf(request.body);
    const file = await pool.file({ kind: 'paper', ask, input: plan }, whenGone(response));
    response.type(file.type).send(Buffer.from(file.bytes));
  });

  router.get('/catalogue', (_request, response) => {
    response.json({
      species: listSpecies(),
      adhesives: listAdhesives(),
      clamps: listClampKinds(),
      methods: listSpreadMethods(),
    });
  });

  router.get('/schemas', (_request, response) => {
    response.json({
      build: BuildDocumentSchema,
      shop: ShopDocumentSchema,
      run: RunDocumentSchema,
      lessons: LessonsFileSchema,
    });
  });

  router.all('/calc', onlyMethods('GET'));
  router.all('/calc/:name', onlyMethods('POST'));
  router.all('/plan', onlyMethods('POST'));
  router.all('/paper', onlyMethods('POST'));
  router.all('/catalogue', onlyMethods('GET'));
  router.all('/schemas', onlyMethods('GET'));

  return router;
}

import { listAdhesives } from '@lean-clasp/core/adhesives';
import { listClampKinds } from '@lean-clasp/core/clamps';
import { listSpecies } from '@lean-clasp/core/materials';
import { listSpreadMethods } from '@lean-clasp/core/spread';
import { type Calculator, planReply, type Validator } from '@lean-clasp/validation';
import { formatFor, saidPlan } from '@lean-clasp/words';
import { Router } from 'express';

/** Named calculations, whole plans, and the catalogues whose coefficients they use. */
export function calcRoutes(calculator: Calculator, validator: Validator): Router {
  const router = Router();

  router.get('/calc', (_request, response) => {
    response.json(calculator.list());
  });

  router.post('/calc/:name', (request, response) => {
    response.json(calculator.run(request.params.name, request.body));
  });

  router.post('/plan', (request, response) => {
    response.json(saidPlan(planReply(request.body, validator), formatFor('metric')));
  });

  router.get('/catalogue', (_request, response) => {
    response.json({
      species: listSpecies(),
      adhesives: listAdhesives(),
      clamps: listClampKinds(),
      methods: listSpreadMethods(),
    });
  });

  return router;
}

import { listAdhesives, listClampKinds, listSpecies, listSpreadMethods } from '@lean-clasp/core';
import type { Calculator } from '@lean-clasp/validation';
import { Router } from 'express';

/** Named calculations, and the catalogues whose coefficients they use. */
export function calcRoutes(calculator: Calculator): Router {
  const router = Router();

  router.get('/calc', (_request, response) => {
    response.json(calculator.list());
  });

  router.post('/calc/:name', (request, response) => {
    response.json(calculator.run(request.params.name, request.body));
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

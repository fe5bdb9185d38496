import type { CalculationListing } from '@lean-clasp/validation';
import { Router } from 'express';
import { onlyMethods } from '../http/errors';

/** What may be asked of the server, for programs and for those who write them. */
export function openApiRoute(version: string, calculations: () => readonly CalculationListing[]): Router {
  const router = Router();
  let written: string | undefined;
  router.get('/openapi.json', async (_request, response) => {
    // It knows what files are asked by, and so what writes them: read in when somebody asks, not at every start.
    const { openApiDocument } = await import('./document');
    written ??= JSON.stringify(openApiDocument(version, calculations()));
    response.type('json').send(written);
  });
  router.all('/openapi.json', onlyMethods('GET'));
  return router;
}

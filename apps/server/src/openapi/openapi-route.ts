import type { CalculationListing } from '@lean-clasp/validation';
import { Router } from 'express';
import { onlyMethods } from '../http/errors';
import { openApiDocument } from './document';

/** What may be asked of the server, for programs and for those who write them. */
export function openApiRoute(version: string, calculations: () => readonly CalculationListing[]): Router {
  const router = Router();
  let written: string | undefined;
  router.get('/openapi.json', (_request, response) => {
    written ??= JSON.stringify(openApiDocument(version, calculations()));
    response.type('json').send(written);
  });
  router.all('/openapi.json', onlyMethods('GET'));
  return router;
}

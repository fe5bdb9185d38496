import { existsSync } from 'node:fs';
import { gone } from '@lean-clasp/store';
import type { RequestHandler } from 'express';

/**
 * Refuses changes once the database's file has been taken away: they would be written into something that nobody finds again.
 * Pages keep them and try until it is back.
 */
export const whileThere =
  (path: string): RequestHandler =>
  (request, _response, next) => {
    if (request.method !== 'GET' && !existsSync(path)) throw gone(path);
    next();
  };

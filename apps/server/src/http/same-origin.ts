import type { RequestHandler } from 'express';
import { httpError } from './errors';

/**
 * Refuses changes asked for by pages of other sites. Browsers name the page's origin on every such request;
 * scripts and the command line send none and are let through.
 */
export const requireOwnOrigin: RequestHandler = (request, _response, next) => {
  const { origin, host } = request.headers;
  const reads = request.method === 'GET' || request.method === 'HEAD';
  // Browsers say so themselves where a page of another site asks; nothing there has any business with this.
  const elsewhere = request.headers['sec-fetch-site'] === 'cross-site';
  if (!elsewhere && (reads || origin === undefined || hostOf(origin) === host)) {
    next();
    return;
  }
  throw httpError(
    403,
    'other-origin',
    'Another site may not ask or change anything here.',
    'requests from this app itself',
  );
};

function hostOf(origin: string): string | undefined {
  return URL.canParse(origin) ? new URL(origin).host : undefined;
}

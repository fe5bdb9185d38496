import type { Logger } from 'pino';
import { InputError } from '@lean-clasp/core/basics';
import { inWords, StorageError } from '@lean-clasp/store';
import { type ErrorBody, errorBody } from '@lean-clasp/validation';
import type { ErrorRequestHandler, RequestHandler } from 'express';

/** An answer other than success, with the one error shape and room for a payload. */
export class HttpError extends Error {
  constructor(
    readonly status: number,
    readonly body: ErrorBody & Readonly<Record<string, unknown>>,
  ) {
    super(body.error.message);
  }
}

/** Shorthand for an HttpError without payload. */
export function httpError(
  status: number,
  code: string,
  message: string,
  allowed: string,
  field = '',
): HttpError {
  return new HttpError(status, { error: { code, field, message, allowed } });
}

/** Answers paths that nobody else did. */
export const notFound: RequestHandler = () => {
  throw httpError(
    404,
    'not-found',
    'There is nothing at this address.',
    'GET /api/health lists what runs here',
  );
};

/** Body parser complaints, by the type that the parser sets on its errors. */
const PARSER_ANSWERS: Readonly<Record<string, () => HttpError>> = {
  'entity.parse.failed': () => httpError(400, 'not-json', 'The body is not JSON.', 'one JSON object'),
  'entity.too.large': () =>
    httpError(413, 'too-large', 'The body is larger than this server takes.', 'at most 1 MB'),
  'charset.unsupported': () => httpError(400, 'not-json', 'The body is not UTF-8.', 'JSON in UTF-8'),
  'encoding.unsupported': () =>
    httpError(415, 'encoding', 'The body is packed in an unknown way.', 'plain or gzip'),
};

/** What the router and the parsers say of requests that are not sound, by their status. */
const REQUEST_ANSWERS: Readonly<Record<number, () => HttpError>> = {
  400: () =>
    httpError(400, 'bad-request', 'The request is damaged.', 'an address and a body as one sends them'),
  408: () => httpError(408, 'too-slow', 'The request took too long to arrive.', 'the same again'),
  413: () => httpError(413, 'too-large', 'The request is larger than this server takes.', 'at most 1 MB'),
  415: () => httpError(415, 'encoding', 'The body is packed in an unknown way.', 'plain or gzip'),
};

/** Answers methods that an address does not know. */
export const onlyMethods =
  (...methods: readonly string[]): RequestHandler =>
  (request, response) => {
    response.set('Allow', methods.join(', '));
    throw httpError(405, 'method', `${request.method} is not for this address.`, methods.join(', '));
  };

function asHttpError(error: unknown): HttpError | undefined {
  if (error instanceof HttpError) return error;
  if (error instanceof InputError) return new HttpError(422, { ...errorBody(error) });
  const stored = inWords(error, 'the database');
  if (stored instanceof StorageError) {
    return httpError(
      stored.code === 'full' ? 507 : 503,
      `storage-${stored.code}`,
      stored.message,
      stored.remedy,
    );
  }
  const type = fieldOf(error, 'type');
  return PARSER_ANSWERS[String(type)]?.() ?? REQUEST_ANSWERS[Number(fieldOf(error, 'status'))]?.();
}

const fieldOf = (error: unknown, name: string): unknown =>
  typeof error === 'object' && error !== null ? (error as Record<string, unknown>)[name] : undefined;

/** Turns whatever was thrown into the one error shape. Four parameters, or Express does not see it. */
export const answerErrors =
  (logger: Logger): ErrorRequestHandler =>
  (error: unknown, { method, originalUrl: url }, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const known = asHttpError(error);
    if (known === undefined) logger.error({ err: error, method, url }, 'unexpected failure');
    const answer =
      known ??
      httpError(500, 'server-fault', 'The server could not finish this; nothing was changed.', 'try again');
    response.status(answer.status).json(answer.body);
  };

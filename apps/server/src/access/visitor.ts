import type { PassphraseStore, Role } from '@lean-clasp/store';
import { type Request, type RequestHandler, type Response, Router } from 'express';
import { type HttpError, httpError } from '../http/errors';

/** Who asks. */
export interface Visitor {
  /** Null for somebody from the network who has not said a passphrase. */
  readonly role: Role | null;
  /** At the machine itself. */
  readonly here: boolean;
}

const LOOPBACK = /^(::1|(::ffff:)?127\.\d+\.\d+\.\d+)$/;
/** Set by a server in between, which hides where a request comes from. */
const FORWARDED = ['forwarded', 'x-forwarded-for', 'x-real-ip', 'via'] as const;

/** Whether a request comes from this machine: whoever can use it can read the data folder as well. */
export function isHere(request: Pick<Request, 'socket' | 'headers'>): boolean {
  const { remoteAddress, localAddress } = request.socket;
  if (remoteAddress === undefined || FORWARDED.some((name) => request.headers[name] !== undefined))
    return false;
  return LOOPBACK.test(remoteAddress) || remoteAddress === localAddress;
}

/** Runs handlers for whoever comes over the network, and passes them over for this machine. */
export function fromNetwork(...handlers: readonly RequestHandler[]): RequestHandler {
  const all = Router().use(...handlers);
  return (request, response, next) => (isHere(request) ? next() : all(request, response, next));
}

/** Finds out who asks, for all that comes after. */
export const nameVisitor =
  (passphrases: Pick<PassphraseStore, 'holds'>): RequestHandler =>
  async (request, response, next) => {
    const here = isHere(request);
    const visitor: Visitor = { here, role: here ? 'owner' : await signedIn(request, passphrases) };
    response.locals.visitor = visitor;
    next();
  };

async function signedIn(request: Request, passphrases: Pick<PassphraseStore, 'holds'>): Promise<Role | null> {
  const { role, mark } = (request.session ?? {}) as { readonly role?: Role; readonly mark?: string };
  return role !== undefined && mark !== undefined && (await passphrases.holds(role, mark)) ? role : null;
}

export const visitorOf = (response: Response): Visitor => response.locals.visitor as Visitor;

/** Lets through whom it may; the others get a refusal. */
const letting =
  (may: (visitor: Visitor, request: Request) => boolean, refusal: () => HttpError): RequestHandler =>
  (request, response, next) => {
    if (!may(visitorOf(response), request)) throw refusal();
    next();
  };

/** Refuses whoever has not come in. */
export const requireSignedIn = letting(
  ({ role }) => role !== null,
  () =>
    httpError(401, 'sign-in', 'This shop asks for its passphrase.', 'POST /api/session with the passphrase'),
);

const READING = ['GET', 'HEAD'];

/** Lets the bench read and only the owner change. */
export const ownerChanges = letting(
  ({ role }, { method }) => READING.includes(method) || role === 'owner',
  () =>
    httpError(
      403,
      'role',
      'This device came in for the bench: it runs glue-ups. Plans and the shop are changed by the owner.',
      'reading, and runs',
    ),
);

/** Lets only the owner through, also to read. */
export const requireOwner = letting(
  ({ role }) => role === 'owner',
  () =>
    httpError(
      403,
      'role',
      'This device came in for the bench: what holds everything is for the owner.',
      'reading plans one by one, and runs',
    ),
);

/** Lets through what is done at the machine itself. */
export const onlyHere = letting(
  ({ here }) => here,
  () =>
    httpError(403, 'not-here', 'This is done at the machine that serves the shop.', 'that machine itself'),
);

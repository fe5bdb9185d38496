import { type PassphraseStore, type Role, ROLES } from '@lean-clasp/store';
import type { Validator } from '@lean-clasp/validation';
import { Type } from '@sinclair/typebox';
import { type Request, type Response, Router } from 'express';
import type { FeedKey } from '../calendar/feed-key';
import { httpError, onlyMethods } from '../http/errors';
import { limited } from './limited';
import { onlyHere, requireSignedIn, visitorOf } from './visitor';

/** How the server stands on the network. */
export interface NetworkState {
  /** Addresses under which others reach it; none when it listens on this machine only. */
  readonly addresses: readonly string[];
  /** Whether it speaks HTTPS. */
  readonly secure: boolean;
}

/** What the routes need. */
interface AccessRoutesDeps {
  readonly passphrases: PassphraseStore;
  readonly network: NetworkState;
  /** The server's own certificate, to be trusted by devices; null without HTTPS. */
  readonly certificate: string | null;
  readonly validator: Validator;
  readonly now: () => number;
  /** Ends what is open for those who may no longer see it. */
  readonly hangUp: () => void;
  /** What opens the feed of the calendar. */
  readonly feed: Pick<FeedKey, 'key'>;
}

/** A phrase that is said, or set. */
export const PassphraseSchema = Type.Object(
  { passphrase: Type.String({ maxLength: 1000 }) },
  { additionalProperties: false },
);

/** Wrong phrases from one address before it has to wait, and how long, ms. */
const TRIES = 10;
const TRIES_WITHIN_MS = 15 * 60_000;
const DAY_MS = 86_400_000;

/** Signing in and out, and who may. */
export function accessRoutes(deps: AccessRoutesDeps): Router {
  const { passphrases, network, certificate, validator, now, feed } = deps;
  const router = Router();
  const fewTries = limited('Too many wrong passphrases from this device. Wait a quarter of an hour.', {
    windowMs: TRIES_WITHIN_MS,
    limit: TRIES,
    skipSuccessfulRequests: true,
  });

  /** Who asks, and whether anybody else could come in at all. */
  const session = async (response: Response) => ({
    ...visitorOf(response),
    open: (await passphrases.list()).length > 0,
  });

  router.get('/session', async (request, response) => {
    renew(request, now());
    response.json(await session(response));
  });

  router.post('/session', fewTries, async (request, response) => {
    const { passphrase } = validator.check(PassphraseSchema, request.body);
    const found = await passphrases.whose(passphrase);
    if (found === null) {
      throw httpError(
        401,
        'wrong-passphrase',
        'That is not the passphrase.',
        'the one set at the machine',
        'passphrase',
      );
    }
    request.session = { ...found, day: dayOf(now()) };
    response.json({ ...(await session(response)), role: found.role });
  });

  router.delete('/session', (request, response) => {
    request.session = null;
    response.status(204).end();
  });

  router.get('/certificate', (_request, response) => {
    if (certificate === null)
      throw httpError(404, 'not-found', 'There is no certificate.', 'a server with HTTPS');
    response.type('application/x-x509-ca-cert').attachment('lean-clasp.crt').send(certificate);
  });

  router.get('/network', requireSignedIn, async (_request, response) => {
    response.json({
      ...network,
      passphrases: await passphrases.list(),
      calendar: `/api/calendar/${await feed.key()}.ics`,
    });
  });

  router.use('/network/passphrases', onlyHere);

  router.put('/network/passphrases/:role', async (request, response) => {
    const { passphrase } = validator.check(PassphraseSchema, request.body);
    await passphrases.set(roleOf(request.params.role), passphrase);
    deps.hangUp();
    response.json(await passphrases.list());
  });

  router.delete('/network/passphrases/:role', async (request, response) => {
    await passphrases.remove(roleOf(request.params.role));
    deps.hangUp();
    response.json(await passphrases.list());
  });

  router.all('/session', onlyMethods('GET', 'POST', 'DELETE'));
  router.all('/certificate', onlyMethods('GET'));
  router.all('/network', onlyMethods('GET'));
  router.all('/network/passphrases/:role', onlyMethods('PUT', 'DELETE'));
  return router;
}

/** A session lasts from the last day it was used. */
function renew(request: Request, nowMs: number): void {
  const { session } = request;
  if (session?.populated === true && session.day !== dayOf(nowMs)) session.day = dayOf(nowMs);
}

const dayOf = (ms: number): number => Math.floor(ms / DAY_MS);

function roleOf(text: string): Role {
  const role = ROLES.find((each) => each === text);
  if (role === undefined) throw httpError(404, 'not-found', 'There is no such role.', ROLES.join(' or '));
  return role;
}

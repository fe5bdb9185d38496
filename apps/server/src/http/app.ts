import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { within } from '@lean-clasp/core/basics';
import { type BuildDocument, LessonsFileSchema, type ShopDocument } from '@lean-clasp/core/formats';
import { createCalculator, type Validator } from '@lean-clasp/validation';
import compression from 'compression';
import cookieSession from 'cookie-session';
import express, { type Express } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import sirv from 'sirv';
import type { DocumentStore, PassphraseStore, PictureStore, RunStore } from '@lean-clasp/store';
import { accessRoutes, type NetworkState } from '../access/access-routes';
import { limited } from '../access/limited';
import { fromNetwork, nameVisitor, ownerChanges, requireSignedIn } from '../access/visitor';
import type { AirWatch } from '../air/air-watch';
import { feedKey } from '../calendar/feed-key';
import { feedRoute } from '../calendar/feed-route';
import { openApiRoute } from '../openapi/openapi-route';
import { archiveRoutes } from './archive-routes';
import { binRoutes } from './bin-routes';
import { buildRoutes } from './build-routes';
import { calcRoutes } from './calc-routes';
import { whileThere } from './while-there';
import { documentRoutes } from './document-routes';
import { answerErrors, notFound, onlyMethods } from './errors';
import { pictureRoutes } from './picture-routes';
import { runRoutes } from './run-routes';
import type { RunStream } from './run-stream';
import { shopListRoute } from './shop-list-route';
import { requireOwnHost } from './own-host';
import { requireOwnOrigin } from './same-origin';
import { refuseDeep, refuseUnsound } from './sound-body';
import { shelfKeeper } from '../shelf/shelf-keeper';
import type { WorkPool } from '../work/pool';

/** The shop's document id; there is one shop to a database. */
export const SHOP_ID = 'shop';

/** Everything the HTTP surface needs, passed in. */
export interface AppDeps {
  readonly builds: DocumentStore<BuildDocument>;
  readonly shops: DocumentStore<ShopDocument>;
  readonly runs: RunStore;
  readonly pictures: PictureStore;
  readonly stream: RunStream;
  readonly now: () => number;
  /** Names by which the server may be called. */
  readonly hosts: ReadonlySet<string>;
  readonly air: AirWatch;
  readonly pool: WorkPool;
  /** The database's file, which somebody may take away. */
  readonly database: string;
  readonly validator: Validator;
  readonly passphrases: PassphraseStore;
  /** Signs the sessions of those who came in. */
  readonly secret: string;
  readonly network: NetworkState;
  /** The server's own certificate; null without HTTPS. */
  readonly certificate: string | null;
  readonly makeId: () => string;
  readonly logger: Logger;
  /** Folder of the built web app; left out when only the API is wanted. */
  readonly webRoot?: string | undefined;
  readonly version: string;
}

/** How far back a series of readings may be asked for. */
const SERIES_DAYS = { min: 1, max: 400, unit: 'days' };
const BODY_LIMIT = '1mb';
/** What one address on the network may ask in a minute; a bench that follows a run asks a few. */
const ASKED_A_MINUTE = 3000;
const MINUTE_MS = 60_000;
/** How long somebody who came in stays so without coming back. */
const SESSION_MS = 90 * 86_400_000;
const YEAR_S = 31_536_000;

/** Policy under which the built app runs: own scripts only, no evaluation, workers from here. */
const CONTENT_POLICY = {
  useDefaults: false,
  directives: {
    defaultSrc: ["'self'"],
    scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
    styleSrc: ["'self'", "'unsafe-inline'"],
    imgSrc: ["'self'", 'data:', 'blob:'],
    fontSrc: ["'self'"],
    connectSrc: ["'self'"],
    workerSrc: ["'self'", 'blob:'],
    objectSrc: ["'none'"],
    baseUri: ["'self'"],
    formAction: ["'self'"],
    frameAncestors: ["'none'"],
  },
};

/** Builds the Express application: `/api` and the web app on one port. */
export function createApp(deps: AppDeps): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(
    requireOwnHost(deps.hosts),
    helmet({
      contentSecurityPolicy: CONTENT_POLICY,
      // Plain HTTP on the workshop's own network: no promise of TLS that the next visit could not keep.
      strictTransportSecurity: false,
      crossOriginOpenerPolicy: false,
      originAgentCluster: false,
    }),
  );
  app.use(
    '/api',
    requireOwnOrigin,
    // A page on this machine gains nothing from packing, and its visitor is known without a session.
    fromNetwork(
      compression(),
      cookieSession({
        name: 'lean-clasp',
        keys: [deps.secret],
        maxAge: SESSION_MS,
        httpOnly: true,
        sameSite: 'strict',
        secure: deps.network.secure,
      }),
    ),
    nameVisitor(deps.passphrases),
    fromNetwork(
      limited('This device asks more than a person can.', { windowMs: MINUTE_MS, limit: ASKED_A_MINUTE }),
    ),
    whileThere(deps.database),
  );
  // Pictures and archives are no JSON, and larger.
  app.use('/api/runs', pictureRoutes(deps.runs, deps.pictures));
  app.use('/api/archive', archiveRoutes({ shopId: SHOP_ID, ...deps }, deps));
  app.use(
    '/api',
    express.json({ limit: BODY_LIMIT, strict: false, type: () => true, verify: refuseDeep }),
    refuseUnsound,
    apiRoutes(deps),
  );
  if (deps.webRoot !== undefined && existsSync(deps.webRoot)) serveWeb(app, deps.webRoot);
  app.use(notFound);
  app.use(answerErrors(deps.logger));
  return app;
}

function apiRoutes(deps: AppDeps): express.Router {
  const router = express.Router();
  const { builds, shops, runs, validator, makeId } = deps;
  router.use((_request, response, next) => {
    // Kept by the page itself, asked for again each time, and not sent where nothing has changed.
    response.set('Cache-Control', 'private, no-cache');
    next();
  });
  router.get('/health', (_request, response) => {
    response.json({ status: 'ok', version: deps.version, nowMs: deps.now() });
  });
  const calculator = createCalculator(validator);
  router.use(openApiRoute(deps.version, calculator.list));
  const feed = feedKey(deps.secret, deps.passphrases);
  router.use(feedRoute(runs, feed, deps.now));
  router.use(
    accessRoutes({
      passphrases: deps.passphrases,
      network: deps.network,
      certificate: deps.certificate,
      validator,
      now: deps.now,
      hangUp: deps.stream.hangUp,
      feed,
    }),
  );
  router.use(requireSignedIn);
  router.use(
    '/builds',
    ownerChanges,
    buildRoutes({
      builds,
      gluedBuilds: runs.glued,
      validator,
      makeId,
      shop: async () => {
        const document = await shops.find(SHOP_ID);
        if (document === undefined) throw new Error('the shop document is missing');
        return document.body;
      },
    }),
  );
  router.use('/bin', ownerChanges, binRoutes(builds));
  router.use('/shops', ownerChanges, documentRoutes('shop', shops, validator));
  router.get('/air', async (_request, response) => {
    response.json(await deps.air.report());
  });
  router.get('/air/series', async (request, response) => {
    const { days = '14' } = request.query;
    response.json(await deps.air.series(within(Number(days), 'days', SERIES_DAYS)));
  });
  router.use(
    '/runs',
    runRoutes({
      runs,
      stream: deps.stream,
      validator,
      knowsBuild: builds.knows,
      now: deps.now,
      keepShelf: shelfKeeper(shops, SHOP_ID, deps.logger),
    }),
  );
  // Looked at alone: the page adds them to the shop as an edit like any other, which can be taken back.
  router.post('/lessons/check', (request, response) => {
    response.json(validator.check(LessonsFileSchema, request.body));
  });
  router.all('/lessons/check', onlyMethods('POST'));
  router.use(shopListRoute({ builds, shops, shopId: SHOP_ID, glued: runs.glued, pool: deps.pool }));
  router.use(calcRoutes(calculator, deps.pool));
  router.use(notFound);
  return router;
}

/** The built app: files packed ahead by the build, named by hash and so kept forever; any other address opens it. */
function serveWeb(app: Express, webRoot: string): void {
  app.use(
    sirv(webRoot, {
      brotli: true,
      gzip: true,
      etag: true,
      setHeaders: (response, path) => {
        response.setHeader(
          'Cache-Control',
          path.startsWith('/assets/') ? `public, max-age=${YEAR_S}, immutable` : 'no-cache',
        );
      },
    }),
  );
  app.use('/assets', notFound);
  const page = readFileSync(join(webRoot, 'index.html'), 'utf8');
  app.get('/{*path}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').type('html').send(page);
  });
}

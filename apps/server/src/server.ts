import { randomUUID } from 'node:crypto';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { findAdhesive } from '@lean-clasp/core/adhesives';
import { findClampKind } from '@lean-clasp/core/clamps';
import {
  BUILD_VERSION,
  BuildDocumentSchema,
  ShopDocumentSchema,
  upgradedBuild,
} from '@lean-clasp/core/formats';
import { planBuild } from '@lean-clasp/core/plan';
import { STARTER_SHOP } from '@lean-clasp/core/templates';
import { createValidator } from '@lean-clasp/validation';
import type { Logger } from 'pino';
import type { ServerOptions } from './config/options';
import { airWatch, READ_EVERY_MS } from './air/air-watch';
import { createApp, SHOP_ID } from './http/app';
import { seed } from './seed';
import { airLog, documentStore, openDatabase, runStore, upgradeBuilds } from './store';

/** A server that answers. */
export interface RunningServer {
  readonly url: string;
  readonly stop: () => Promise<void>;
}

/** Ports tried above the default before asking the system for any free one. */
const FALLBACK_PORTS = 10;

/** What the outside world provides. */
export interface ServerWorld {
  readonly logger: Logger;
  readonly now: () => number;
  readonly webRoot?: string | undefined;
  readonly version: string;
}

/** Opens the database, seeds it if empty, and listens. */
export async function startServer(options: ServerOptions, world: ServerWorld): Promise<RunningServer> {
  const db = await openDatabase(options.dataDir);
  const validator = createValidator();
  const shops = documentStore(
    db,
    'shop',
    (body) => {
      const shop = validator.check(ShopDocumentSchema, body);
      shop.rack.forEach((lot, i) => findClampKind(lot.kind, `rack.${i}.kind`));
      shop.bottles.forEach((bottle, i) => findAdhesive(bottle.adhesive, `bottles.${i}.adhesive`));
      return shop;
    },
    world.now,
  );
  const builds = documentStore(
    db,
    'build',
    (body) => {
      const build = validator.check(BuildDocumentSchema, body);
      // Planning once refuses unknown ids and sizes outside a model's range, whoever sent them.
      planBuild(build, STARTER_SHOP);
      return build;
    },
    world.now,
    // One that could not be brought up to date is kept, and shown by the program that wrote it.
    ({ version }) => version === BUILD_VERSION,
  );
  const upgrades = await upgradeBuilds(db, options.dataDir, {
    version: BUILD_VERSION,
    upgrade: (body) => validator.check(BuildDocumentSchema, upgradedBuild(body)),
    now: world.now,
  });
  if (upgrades.upgraded > 0) world.logger.info(upgrades, 'builds were brought up to date');
  for (const left of upgrades.leftBehind) world.logger.error(left, 'a build could not be brought up to date');
  const runs = runStore(db, world.now);
  const log = airLog(db);
  await seed({ builds, shops, runs, log, now: world.now }, options.demo, options.sensor);
  const air = airWatch({
    shop: async () => (await shops.find(SHOP_ID))?.body ?? null,
    validator,
    log,
    now: world.now,
  });
  const app = createApp({
    air,
    builds,
    shops,
    runs,
    validator,
    makeId: () => randomUUID(),
    logger: world.logger,
    webRoot: world.webRoot,
    version: world.version,
  });
  const reading = setInterval(() => {
    air.report().catch((error: unknown) => world.logger.error({ err: error }, 'the sensor was not read'));
  }, READ_EVERY_MS).unref();
  const server = createServer(app);
  await listen(server, options);
  const { port } = server.address() as AddressInfo;
  const shownHost = options.host === '0.0.0.0' || options.host === '::' ? 'localhost' : options.host;
  return {
    url: `http://${shownHost.includes(':') ? `[${shownHost}]` : shownHost}:${port}`,
    stop: async () => {
      clearInterval(reading);
      const closed = new Promise<void>((done) => server.close(() => done()));
      server.closeIdleConnections();
      setTimeout(() => server.closeAllConnections(), GRACE_MS).unref();
      await closed;
      await db.destroy();
    },
  };
}

/** How long open requests may finish on stop. */
const GRACE_MS = 3000;

async function listen(server: Server, { port, portNamed, host }: ServerOptions): Promise<void> {
  const ports = portNamed ? [port] : [...Array.from({ length: FALLBACK_PORTS }, (_, i) => port + i), 0];
  for (const candidate of ports) {
    if (await tryListen(server, candidate, host)) return;
  }
  throw new Error(`port ${port} on ${host} is taken; name another with --port`);
}

function tryListen(server: Server, port: number, host: string): Promise<boolean> {
  return new Promise((done, fail) => {
    const onError = (error: NodeJS.ErrnoException) => {
      server.removeListener('listening', onListening);
      if (error.code === 'EADDRINUSE') done(false);
      else fail(error);
    };
    const onListening = () => {
      server.removeListener('error', onError);
      done(true);
    };
    server.once('error', onError);
    server.once('listening', onListening);
    server.listen(port, host);
  });
}

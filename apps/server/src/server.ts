import { randomUUID } from 'node:crypto';
import { createServer, type Server } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { findAdhesive } from '@lean-clasp/core/adhesives';
import { findClampKind } from '@lean-clasp/core/clamps';
import {
  BUILD_VERSION,
  type BuildDocument,
  BuildDocumentSchema,
  type ShopDocument,
  ShopDocumentSchema,
  RUN_VERSION,
  RunDocumentSchema,
  upgradedBuild,
  upgradedRun,
} from '@lean-clasp/core/formats';
import { checkBuild } from '@lean-clasp/core/plan';
import { STARTER_SHOP } from '@lean-clasp/core/templates';
import { createValidator } from '@lean-clasp/validation';
import type { Logger } from 'pino';
import type { ServerOptions } from './config/options';
import { airWatch, READ_EVERY_MS } from './air/air-watch';
import { createApp, SHOP_ID } from './http/app';
import { ownCertificate } from './access/certificate';
import { networkHosts, ownHosts } from './http/own-host';
import { runStream } from './http/run-stream';
import { seed } from './seed';
import { type WorkerProgram, workPool } from './work/pool';
import {
  airLog,
  copyWhenDue,
  databasePath,
  documentStore,
  lockFolder,
  openDatabase,
  passphraseStore,
  pictureStore,
  prepareFolder,
  runStore,
  upgradeBuilds,
  upgradeRuns,
  type UpgradeOutcome,
} from '@lean-clasp/store';

/** A server that answers. */
export interface RunningServer {
  readonly url: string;
  /** Where others on the network reach it; none when it listens on this machine only. */
  readonly addresses: readonly string[];
  /** Whether anybody from the network could come in. */
  readonly open: boolean;
  readonly stop: () => Promise<void>;
}

/** How often it is looked whether a copy of the database is due, ms. */
const COPY_LOOK_EVERY_MS = 3_600_000;
/** Ports tried above the default before asking the system for any free one. */
const FALLBACK_PORTS = 10;

/** What the outside world provides. */
export interface ServerWorld {
  readonly logger: Logger;
  readonly now: () => number;
  readonly webRoot?: string | undefined;
  readonly version: string;
  readonly worker: WorkerProgram;
}

/** Opens the database, seeds it if empty, and listens. */
export async function startServer(options: ServerOptions, world: ServerWorld): Promise<RunningServer> {
  prepareFolder(options.dataDir);
  const lock = lockFolder(options.dataDir);
  const db = await openDatabase(options.dataDir).catch((error: unknown) => {
    lock.release();
    throw error;
  });
  const validator = createValidator();
  // Woods and methods of the shop's own are known without asking the database, which an edit holds while it is checked.
  let shopNow: ShopDocument = STARTER_SHOP;
  const shops = documentStore<ShopDocument>(db, {
    kind: 'shop',
    check: (body) => {
      const shop = validator.check(ShopDocumentSchema, body);
      shop.rack.forEach((lot, i) => findClampKind(lot.kind, `rack.${i}.kind`));
      shop.bottles.forEach((bottle, i) => findAdhesive(bottle.adhesive, `bottles.${i}.adhesive`));
      return shop;
    },
    now: world.now,
    version: null,
    written: (shop) => {
      shopNow = shop;
    },
  });
  const builds = documentStore<BuildDocument>(db, {
    kind: 'build',
    check: (body) => {
      const build = validator.check(BuildDocumentSchema, body);
      checkBuild(build, shopNow);
      return build;
    },
    now: world.now,
    // One that could not be brought up to date is kept, and shown by the program that wrote it.
    version: BUILD_VERSION,
  });
  shopNow = (await shops.find(SHOP_ID))?.body ?? shopNow;
  const upgrades = await upgradeBuilds(db, options.dataDir, {
    version: BUILD_VERSION,
    upgrade: (body) => validator.check(BuildDocumentSchema, upgradedBuild(body)),
    now: world.now,
  });
  tellUpgrades(world.logger, 'build', upgrades);
  const runUpgrades = await upgradeRuns(db, options.dataDir, {
    version: RUN_VERSION,
    upgrade: (body) => validator.check(RunDocumentSchema, upgradedRun(body)),
  });
  tellUpgrades(world.logger, 'run', runUpgrades);
  const runs = runStore(db, world.now);
  const log = airLog(db);
  await seed({ builds, shops, runs, log, now: world.now }, options.demo, options.sensor);
  const air = airWatch({
    shop: async () => (await shops.find(SHOP_ID))?.body ?? null,
    validator,
    log,
    now: world.now,
  });
  const stream = runStream();
  const pool = workPool(world.worker);
  const hosts = ownHosts(options.host, options.names);
  const certificate = options.https ? await ownCertificate(options.dataDir, hosts, world.now()) : null;
  const passphrases = passphraseStore(db, world.now);
  // Where it listens is known only when it does, and told by then.
  const addresses: string[] = [];
  const app = createApp({
    air,
    passphrases,
    secret: await passphrases.secret(),
    network: { addresses, secure: options.https },
    certificate: certificate?.cert ?? null,
    pool,
    stream,
    now: world.now,
    hosts,
    builds,
    shops,
    runs,
    pictures: pictureStore(options.dataDir),
    validator,
    makeId: () => randomUUID(),
    logger: world.logger,
    database: databasePath(options.dataDir),
    webRoot: world.webRoot,
    version: world.version,
  });
  const reading = setInterval(() => {
    air.report().catch((error: unknown) => world.logger.error({ err: error }, 'the sensor was not read'));
  }, READ_EVERY_MS).unref();
  const copy = () => {
    copyWhenDue(options.dataDir, world.now()).catch((error: unknown) =>
      world.logger.error({ err: error }, 'no copy was made'),
    );
  };
  copy();
  const copying = setInterval(copy, COPY_LOOK_EVERY_MS).unref();
  const server = certificate === null ? createServer(app) : createSecureServer(certificate, app);
  // A connection that is closed while it is asked anew fails for whoever asks: kept for longer than pages and calendars pause.
  server.keepAliveTimeout = KEPT_OPEN_MS;
  server.headersTimeout = KEPT_OPEN_MS + GRACE_MS;
  await listen(server, options).catch(async (error: unknown) => {
    await pool.close();
    await db.destroy();
    lock.release();
    throw error;
  });
  const { port } = server.address() as AddressInfo;
  const scheme = options.https ? 'https' : 'http';
  addresses.push(...networkHosts(options.host, options.names).map((name) => `${scheme}://${name}:${port}`));
  const shownHost = options.host === '0.0.0.0' || options.host === '::' ? 'localhost' : options.host;
  return {
    addresses,
    open: (await passphrases.list()).length > 0,
    url: `${scheme}://${shownHost.includes(':') ? `[${shownHost}]` : shownHost}:${port}`,
    stop: async () => {
      clearInterval(reading);
      clearInterval(copying);
      stream.close();
      const closed = new Promise<void>((done) => server.close(() => done()));
      server.closeIdleConnections();
      setTimeout(() => server.closeAllConnections(), GRACE_MS).unref();
      await closed;
      await pool.close();
      await db.destroy();
      lock.release();
    },
  };
}

function tellUpgrades(logger: Logger, what: string, { upgraded, leftBehind, copy }: UpgradeOutcome): void {
  if (upgraded > 0) logger.info({ upgraded, copy }, `${what}s were brought up to date`);
  for (const left of leftBehind) logger.error(left, `a ${what} could not be brought up to date`);
}

/** Idle connections are kept so long. */
const KEPT_OPEN_MS = 120_000;

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

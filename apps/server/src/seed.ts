import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import { STARTER_SHOP } from '@lean-clasp/core/templates';
import {
  DEMO_SHOP,
  pastAir,
  pastRuns,
  seasonBuilds,
  seasonRuns,
  stageFloor,
  wagonBuilds,
  withSeason,
} from '@lean-clasp/core/demo';
import { SHOP_ID } from './http/app';
import type { AirLog, DocumentStore, RunStore } from '@lean-clasp/store';

/** Id of the demo's panel, stable so that links to it last. */
const STAGE_FLOOR_ID = 'stage-floor';

/** Stores to fill. */
interface SeedDeps {
  readonly builds: DocumentStore<BuildDocument>;
  readonly shops: DocumentStore<ShopDocument>;
  readonly runs: RunStore;
  readonly log: AirLog;
  readonly now: () => number;
}

/**
 * Gives an empty database its shop, and in the demo everything of the Lantern Wagon with a winter of past runs and two weeks of air.
 * @param sensor address of the sensor that a new shop goes by; null for none.
 */
export async function seed(
  { builds, shops, runs, log, now }: SeedDeps,
  demo: boolean,
  sensor: string | null,
): Promise<void> {
  if ((await shops.find(SHOP_ID)) !== undefined) return;
  const shop = {
    ...(demo ? withSeason(DEMO_SHOP) : STARTER_SHOP),
    ...(sensor === null ? {} : { sensor: { address: sensor, follow: true } }),
  };
  await shops.create(SHOP_ID, shop);
  if (!demo) return;
  for (const { id, build } of [...seasonBuilds(), ...wagonBuilds()]) await builds.create(id, build);
  const build = stageFloor(shop);
  await builds.create(STAGE_FLOOR_ID, build);
  for (const run of [...pastRuns(build, STAGE_FLOOR_ID, shop, now()), ...seasonRuns(shop, now())]) {
    const { events, ...head } = run;
    await runs.begin(head);
    await runs.add(run.id, events);
  }
  if (sensor !== null) await log.keep(sensor, pastAir(now()));
}

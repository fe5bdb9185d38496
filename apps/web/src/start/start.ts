import type { BuildDocument } from '@lean-clasp/core/formats';
import { SHOP_ID } from '../shop/shop-id';
import { PART_LOADERS, partAhead } from '../workspace/part-loaders';
import { STEP_LOADERS } from '../workspace/step-loaders';
import { isStepId } from '../workspace/steps-list';
import { askEarly, earlyBody } from './early';
import { beginPlannerWorker } from './planner-worker';
import { BUILD_STEP, SCREENS, screenAt } from './screens';

const toRead = (document: string) => [`/api/${document}`, `/api/${document}/edits`] as const;
const SHOP = toRead(`shops/${SHOP_ID}`);
const BUILDS = '/api/builds';
const NEWEST_RUNS = '/api/runs?limit=200';

/** What screens ask of the server whatever else their address says. */
const ASKED: Readonly<Record<string, readonly string[]>> = {
  '/': [BUILDS, NEWEST_RUNS, ...SHOP],
  '/builds': [BUILDS, ...SHOP],
  '/shop': [NEWEST_RUNS, ...SHOP],
  '/logbook': ['/api/runs'],
  '/logbook/trends': ['/api/runs/trends'],
  '/logbook/learned': ['/api/runs/evidence', ...SHOP],
  '/sums': ['/api/calc'],
};

// Small, and first: what the address calls for is on its way while the app itself is still being read in.
askEarly('/api/session');
const { path, parts } = screenAt(location.pathname);
ASKED[path]?.forEach(askEarly);
if (path === BUILD_STEP) {
  const [, buildId, step] = parts;
  const [[build, buildEdits], [shop, shopEdits]] = [toRead(`builds/${buildId}`), SHOP];
  [build, shop, buildEdits, shopEdits].forEach(askEarly);
  beginPlannerWorker(build, shop);
  if (isStepId(step)) STEP_LOADERS[step]().catch(() => undefined);
  readPartAhead(build, step).catch(() => undefined);
}
// A failure is told by whoever opens the screen or the step, and asks again.
void import('./base').then(() => import('../main'));
SCREENS[path]?.().catch(() => undefined);

async function readPartAhead(build: string, step: string | undefined): Promise<void> {
  const part = partAhead(step, await earlyBody<BuildDocument>(build));
  if (part !== undefined) await PART_LOADERS[part]();
}

import { SHOP_ID } from '../shop/shop-id';
import { preloadStep } from '../workspace/step-loaders';
import { isStepId } from '../workspace/steps-list';
import { askEarly } from './early';
import { beginPlannerWorker } from './planner-worker';
import { BUILD_STEP, SCREENS, screenAt } from './screens';

// Small, and first: what the address calls for is on its way while the app itself is still being read in.
askEarly('/api/session');
const { path, parts } = screenAt(location.pathname);
if (path === BUILD_STEP) {
  const [, buildId, step] = parts;
  beginPlannerWorker();
  for (const document of [`builds/${buildId}`, `shops/${SHOP_ID}`]) {
    askEarly(`/api/${document}`);
    askEarly(`/api/${document}/edits`);
  }
  if (isStepId(step)) preloadStep(step);
}
void import('../main');
// A failure is told by whoever opens the screen, and asks again.
SCREENS[path]?.().catch(() => undefined);

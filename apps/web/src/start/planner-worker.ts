import { earlyBody } from './early';

/** One more worker that plans. */
export const newPlannerWorker = () =>
  new Worker(new URL('../planner/planner.worker.ts', import.meta.url), { type: 'module' });

let begun: Worker | undefined;

/**
 * Begins to read in what plans, while the app is still on its way, and has it plan the documents that were asked for early: by the time
 * the page asks for that plan, it is there.
 */
export function beginPlannerWorker(buildPath: string, shopPath: string): void {
  const worker = newPlannerWorker();
  // Nobody waits for it yet: whoever does gets another.
  worker.addEventListener('error', () => {
    if (begun === worker) begun = undefined;
  });
  begun = worker;
  Promise.all([buildPath, shopPath].map(earlyBody<unknown>)).then(
    ([build, shop]) => worker.postMessage({ ahead: { build, shop } }),
    // What is wrong is told by whoever opens the screen.
    () => undefined,
  );
}

/** A worker that plans: the one begun, for the first who asks. */
export function plannerWorker(): Worker {
  const worker = begun ?? newPlannerWorker();
  begun = undefined;
  return worker;
}

/** One more worker that plans. */
export const newPlannerWorker = () =>
  new Worker(new URL('../planner/planner.worker.ts', import.meta.url), { type: 'module' });

let begun: Worker | undefined;

/** Begins to read in what plans, while the app is still on its way. */
export function beginPlannerWorker(): void {
  const worker = newPlannerWorker();
  // Nobody waits for it yet: whoever does gets another.
  worker.addEventListener('error', () => {
    if (begun === worker) begun = undefined;
  });
  begun = worker;
}

/** A worker that plans: the one begun, for the first who asks. */
export function plannerWorker(): Worker {
  const worker = begun ?? newPlannerWorker();
  begun = undefined;
  return worker;
}

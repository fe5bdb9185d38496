import { type Remote, wrap } from 'comlink';
import type { Planner } from './planner.worker';

/** A worker for the whole page, made when first needed. */
function lazyWorker(): () => Remote<Planner> {
  let remote: Remote<Planner> | undefined;
  return () =>
    (remote ??= wrap<Planner>(
      new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' }),
    ));
}

/** Plans each edit; nothing slow is ever asked of it, so that a verdict never waits. */
export const planner = lazyWorker();
/** Tries many builds at once: fixes and comparisons, which may take a tenth of a second. */
export const adviser = lazyWorker();

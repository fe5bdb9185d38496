import type { BuildDocument, Fixes, Plan, ShopDocument } from '@lean-clasp/core';
import { type Remote, wrap } from 'comlink';
import { createContext, type ReactNode, use, useEffect, useState } from 'react';
import type { Planner } from './planner.worker';

/** The newest plan that the worker has delivered for the build on show. */
export interface PlanState {
  readonly plan: Plan | null;
  /** Null while they are being worked out. */
  readonly fixes: Fixes | null;
  readonly failure: string | null;
}

const PlanContext = createContext<PlanState>({ plan: null, fixes: null, failure: null });

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

/** Fixes are worked out once typing rests for this long; verdicts never wait. */
const FIXES_AFTER_MS = 60;

/** Plans `build` in the worker after every change; an answer that has been overtaken is dropped. */
export function PlanProvider({
  build,
  shop,
  children,
}: {
  readonly build: BuildDocument;
  readonly shop: ShopDocument;
  readonly children: ReactNode;
}) {
  const [state, setState] = useState<PlanState>({ plan: null, fixes: null, failure: null });
  useEffect(() => {
    let overtaken = false;
    const whenCurrent = (change: (state: PlanState) => PlanState) => {
      if (!overtaken) setState(change);
    };
    const fail = (error: unknown) =>
      whenCurrent((before) => ({
        ...before,
        failure: error instanceof Error ? error.message : String(error),
      }));
    void planner()
      .plan(build, shop)
      .then((plan) => whenCurrent(({ fixes }) => ({ plan, fixes, failure: null })), fail);
    const timer = setTimeout(() => {
      void adviser()
        .fixes(build, shop)
        .then((fixes) => whenCurrent((before) => ({ ...before, fixes })), fail);
    }, FIXES_AFTER_MS);
    return () => {
      overtaken = true;
      clearTimeout(timer);
    };
  }, [build, shop]);
  return <PlanContext value={state}>{children}</PlanContext>;
}

/** The newest plan of the build on show. */
export function usePlan(): PlanState {
  return use(PlanContext);
}

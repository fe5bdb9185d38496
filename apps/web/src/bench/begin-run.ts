import { promiseOf } from '@lean-clasp/core/bench';
import type { RunHead, RunPromise } from '@lean-clasp/core/formats';
import type { Plan } from '@lean-clasp/core/plan';
import { nanoid } from '@reduxjs/toolkit';
import type { AppThunk } from '../app/store';
import { whenNow } from '../lessons/when-now';
import type { BenchKit } from './bench-kit';
import { runClock } from './run-clock';
import { runStarted } from './run-sync';

/** Starts the clock: freezes what the plan promises and how it is to be run. Returns the run's id. */
export function beginRun(
  build: { readonly id: string; readonly revision: number | null },
  plan: Plan,
  kit: BenchKit,
  session: number,
  known: Partial<Pick<RunPromise, 'likely' | 'people'>> = {},
): AppThunk<string> {
  return (dispatch) => {
    const head: RunHead = {
      format: 'lean-clasp/run',
      version: 2,
      id: nanoid(),
      buildId: build.id,
      buildName: plan.build.name,
      buildRevision: build.revision,
      session,
      piece: 0,
      startedAtMs: runClock.now(),
      script: kit.script,
      promise: { ...promiseOf(plan, session, whenNow(plan.shop, runClock.now())), ...known },
    };
    dispatch(runStarted(head, kit));
    return head.id;
  };
}

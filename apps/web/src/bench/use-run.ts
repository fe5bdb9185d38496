import type { BuildDocument, RunDocument, ShopDocument } from '@lean-clasp/core/formats';
import { useEffect, useState } from 'react';
import { requestJson } from '../api/request';
import { useAppDispatch, useAppSelector } from '../app/store';
import type { ServerDocument } from '../documents/documents-slice';
import { planner } from '../planner/workers';
import { SHOP_ID } from '../shop/shop-id';
import { type BenchKit, benchKit, kitOfRun } from './bench-kit';
import { takeUpClock } from './use-clock-watch';
import { readRun } from '@lean-clasp/core/runs';
import { followRun, keepFollowed, keptKit, openRun } from './run-sync';

/** A run by id, from this browser or from the server. */
export interface RunState {
  readonly run: RunDocument | undefined;
  readonly failure: string | null;
}

/** Brings a run up and follows it. */
export function useRun(id: string): RunState {
  const dispatch = useAppDispatch();
  const run = useAppSelector((state) => state.runs.byId[id]);
  const [failure, setFailure] = useState<string | null>(null);
  useEffect(() => {
    dispatch(openRun(id)).catch((error: unknown) =>
      setFailure(error instanceof Error ? error.message : String(error)),
    );
    return dispatch(followRun(id));
  }, [dispatch, id]);
  return { run, failure: run === undefined ? failure : null };
}

/**
 * What a run is conducted with. A run begun at another screen is planned again from its build, in the air and with
 * the hands it was promised for.
 */
export function useKit(run: RunDocument | undefined): BenchKit | null {
  const dispatch = useAppDispatch();
  const [kit, setKit] = useState<BenchKit | null>(() => {
    const kept = run === undefined ? null : keptKit(run.id);
    return kept === null || run === undefined ? null : kitOfRun(kept, run);
  });
  useEffect(() => {
    if (run === undefined || kit !== null) return;
    const kept = keptKit(run.id);
    const found = kept === null ? kitFromBuild(run) : Promise.resolve(kept);
    Promise.all([found, takeUpClock(kept !== null)]).then(
      ([ready]) => {
        setKit(kitOfRun(ready, run));
        if (kept === null && readRun(run).state === 'running') dispatch(keepFollowed(run, ready));
      },
      () => undefined,
    );
    // The run changes with every step; once there is a kit, nothing more is asked.
  }, [run, kit, dispatch]);
  return kit;
}

async function kitFromBuild(run: RunDocument): Promise<BenchKit> {
  const [build, shop] = await Promise.all([
    requestJson<ServerDocument>(`/api/builds/${run.buildId}`),
    requestJson<ServerDocument>(`/api/shops/${SHOP_ID}`),
  ]);
  const body = { ...(build.body as BuildDocument), climate: run.promise.climate, crew: run.promise.crew };
  const plan = await planner().plan(body, shop.body as ShopDocument);
  return benchKit(plan, run.session);
}

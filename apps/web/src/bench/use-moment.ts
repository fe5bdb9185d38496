import {
  asPlanned,
  bestWay,
  type Moment,
  type Outlook,
  positionOf,
  type RunPosition,
  type Way,
  waysOn,
} from '@lean-clasp/core/bench';
import type { RunDocument } from '@lean-clasp/core/formats';
import { useMemo } from 'react';
import type { BenchKit } from './bench-kit';

/** The rest is thought through so often while nothing is pressed, ms. */
const ANEW_MS = 5000;

/** Where a run stands, and how the rest comes out from here. */
export interface Standing {
  readonly position: RunPosition;
  readonly moment: Moment;
  readonly outlook: Outlook;
  /** What to do now where going on as planned misses a window; null where it does not, or nothing else would help. */
  readonly way: Way | null;
}

/** Pairs of hands that are there now. */
const peopleAt = (crew: number, events: RunDocument['events']): number =>
  Math.max(
    1,
    events.reduce(
      (people, { kind }) => people + (kind === 'helper-in' ? 1 : kind === 'helper-out' ? -1 : 0),
      crew,
    ),
  );

/** Thinks the rest of a run through, with every event and every few seconds. */
export function useStanding(run: RunDocument, { script, crew }: BenchKit, nowMs: number): Standing {
  const { startedAtMs, events } = run;
  const position = useMemo(() => positionOf(script, startedAtMs, events), [script, startedAtMs, events]);
  const atMs = Math.floor(nowMs / ANEW_MS) * ANEW_MS;
  return useMemo(() => {
    const moment: Moment = {
      script,
      position,
      nowMs: Math.max(atMs, startedAtMs),
      people: peopleAt(crew, events),
    };
    const outlook = asPlanned(moment);
    const late = outlook.spareMin !== null && outlook.spareMin < 0;
    const way = late ? bestWay(waysOn(moment)) : undefined;
    return {
      position,
      moment,
      outlook,
      way: way === undefined || way.what.code === 'way-go-on' ? null : way,
    };
  }, [script, position, atMs, startedAtMs, crew, events]);
}

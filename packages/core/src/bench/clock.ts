import type { RunEvent } from '../formats';
import { inOrder } from '../runs';
import type { BenchScript, Fuse } from './steps';

/** Where a run stands, worked out from its events alone, so that a reload loses nothing. */
export interface RunPosition {
  /** Step on show; equals the number of steps when all are done. */
  readonly step: number;
  /** Instant at which each step was begun last; undefined for steps not yet reached. */
  readonly begunAtMs: readonly (number | undefined)[];
  readonly done: boolean;
}

/** How a fuse stands at an instant. */
export interface FuseReading {
  readonly fuse: Fuse;
  readonly state: 'unlit' | 'open' | 'closed' | 'out';
  /** Minutes left before the nearer of its limits; negative when past. Null unless burning. */
  readonly leftMin: number | null;
  /** Burnt share, 0 to 1. */
  readonly burnt: number;
}

/**
 * Replays the events of a run. The first step begins when the run does; a step is on show while all before it are done, whoever
 * did them.
 */
export function positionOf(
  script: BenchScript,
  startedAtMs: number,
  events: readonly RunEvent[],
): RunPosition {
  const begun: (number | undefined)[] = Array.from({ length: script.steps.length + 1 }, () => undefined);
  begun[0] = startedAtMs;
  const done = new Set<string>();
  let step = 0;
  for (const { kind, operation, atMs } of inOrder(events)) {
    if (operation === undefined) continue;
    if (kind === 'done') done.add(operation);
    if (kind === 'back') done.delete(operation);
    while (done.has(script.steps[step]?.operation ?? '')) {
      step += 1;
      begun[step] = atMs;
    }
    while (step > 0 && !done.has(script.steps[step - 1]?.operation ?? '')) {
      begun[step] = undefined;
      step -= 1;
    }
  }
  return { step, begunAtMs: begun, done: step >= script.steps.length };
}

const MS_PER_MIN = 60_000;

/**
 * Reads one fuse at `nowMs`. An open line is held to its open time, a closed one to its closed assembly time, both
 * to the total time from the first bead; whichever ends first counts.
 */
export function readFuse(fuse: Fuse, position: RunPosition, nowMs: number): FuseReading {
  const litAt = position.begunAtMs[fuse.litByStep];
  if (litAt === undefined) return { fuse, state: 'unlit', leftMin: null, burnt: 0 };
  if (position.step > fuse.outByStep) return { fuse, state: 'out', leftMin: null, burnt: 1 };
  const closedAt = position.begunAtMs[fuse.closedByStep + 1];
  const endsAt = Math.min(
    litAt + fuse.totalMin * MS_PER_MIN,
    closedAt === undefined ? litAt + fuse.openMin * MS_PER_MIN : closedAt + fuse.closedMin * MS_PER_MIN,
  );
  return {
    fuse,
    state: closedAt === undefined ? 'open' : 'closed',
    leftMin: (endsAt - nowMs) / MS_PER_MIN,
    burnt: Math.min(1, Math.max(0, (nowMs - litAt) / (endsAt - litAt))),
  };
}

/** The burning fuse with the least time left; undefined when none burns. */
export function shortestFuse(readings: readonly FuseReading[]): FuseReading | undefined {
  return readings
    .filter((reading) => reading.leftMin !== null)
    .reduce<FuseReading | undefined>(
      (least, reading) =>
        least === undefined || (reading.leftMin ?? 0) < (least.leftMin ?? 0) ? reading : least,
      undefined,
    );
}

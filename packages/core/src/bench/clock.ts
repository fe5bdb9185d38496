import type { RunPosition } from './position';
import type { Fuse } from './script';

/** How a fuse stands at an instant. */
export interface FuseReading {
  readonly fuse: Fuse;
  readonly state: 'unlit' | 'open' | 'closed' | 'out';
  /** Minutes left before the nearer of its limits; negative when past. Null unless burning. */
  readonly leftMin: number | null;
  /** Burnt share, 0 to 1. */
  readonly burnt: number;
}

const MS_PER_MIN = 60_000;

/**
 * Reads one fuse at `nowMs`. An open joint is held to its open time, a closed one to its closed assembly time, both
 * to the total time from the first bead; whichever ends first counts.
 */
export function readFuse(fuse: Fuse, position: RunPosition, nowMs: number): FuseReading {
  const litAt = position.begunAtMs.get(fuse.lit);
  if (litAt === undefined || position.leftOut.has(fuse.joint)) {
    return { fuse, state: 'unlit', leftMin: null, burnt: 0 };
  }
  if (fuse.holds.every((id) => position.done.has(id))) return { fuse, state: 'out', leftMin: null, burnt: 1 };
  const closedAt = position.done.get(fuse.closed);
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

/** When a bead was laid, its joint closed and full pressure reached, on any one clock, min. */
interface Burnt {
  readonly litMin: number;
  readonly closedMin: number;
  readonly outMin: number;
}

/** When a fuse was lit, closed and out in a run, epoch ms; null for one that was not pressed to the end. */
export function burntAt(
  { lit, closed, holds }: Fuse,
  { begunAtMs, done }: Pick<RunPosition, 'begunAtMs' | 'done'>,
): { readonly litMs: number; readonly closedMs: number; readonly outMs: number } | null {
  const [litMs, closedMs] = [begunAtMs.get(lit), done.get(closed)];
  const outMs = Math.max(...holds.map((id) => done.get(id) ?? Infinity));
  if (litMs === undefined || closedMs === undefined || outMs === Infinity) return null;
  return { litMs, closedMs, outMs: Math.max(closedMs, outMs) };
}

/** Least that is left of the windows of a fuse; negative where one was missed. */
export const spareOf = (
  { openMin, closedMin, totalMin }: Pick<Fuse, 'openMin' | 'closedMin' | 'totalMin'>,
  at: Burnt,
): number =>
  Math.min(
    openMin - (at.closedMin - at.litMin),
    closedMin - (at.outMin - at.closedMin),
    totalMin - (at.outMin - at.litMin),
  );

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

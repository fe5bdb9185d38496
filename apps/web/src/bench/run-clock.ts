/** What a device tells the time by. */
interface Clocks {
  /** The wall clock, which may be set. */
  readonly wall: () => number;
  /** Runs evenly whatever happens to the wall clock, but may stand still while the device sleeps. */
  readonly even: () => number;
}

/** A wall clock that was set, or a device that slept: they look alike from inside. */
export interface Jump {
  readonly byMs: number;
}

/** The time that runs go by: no fuse changes because somebody sets a clock. */
export interface RunClock {
  readonly now: () => number;
  /** What the wall clock has done since it was last looked at; null where it ran evenly. */
  readonly jumped: () => Jump | null;
  /** Goes by another clock from now on, such as the server's. */
  readonly set: (nowMs: number) => void;
}

/** Clocks apart by less than this run together, ms. */
export const TOGETHER_MS = 2000;

/** A clock that starts at the wall's time and then runs evenly. */
export function makeRunClock({ wall, even }: Clocks): RunClock {
  let startMs = wall() - even();
  let apartMs = 0;
  const now = () => startMs + even();
  return {
    // Wall clocks tell whole milliseconds that have passed.
    now: () => Math.ceil(now()),
    jumped: () => {
      const byMs = wall() - now() - apartMs;
      if (Math.abs(byMs) < TOGETHER_MS) return null;
      apartMs += byMs;
      return { byMs: Math.round(byMs) };
    },
    set: (nowMs) => {
      startMs = nowMs - even();
      apartMs = wall() - nowMs;
    },
  };
}

/** The clock of this page. */
export const runClock = makeRunClock({ wall: () => Date.now(), even: () => performance.now() });

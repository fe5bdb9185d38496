import { ApiError } from '../api/request';

/** Waits between attempts: the first, and the longest, ms. */
const FIRST_MS = 1000;
const LONGEST_MS = 60_000;

/** Whether asking again may help: the server did not answer, is busy, stumbled, or wants a passphrase first. What is refused or stale stays so. */
export const mayPass = (error: unknown): boolean =>
  !(error instanceof ApiError) || error.status >= 500 || [401, 408, 429].includes(error.status);

const AGAIN = 'lean-clasp-again';

/** What ends a wait early. */
const WAKING = ['online', AGAIN] as const;

/** Tries everything that waits at once. */
export const wakeRetries = (): void => void globalThis.dispatchEvent(new Event(AGAIN));

/** Attempts at one thing, further and further apart until one succeeds. */
export interface Retries {
  /** Tries again after the next wait, or as soon as the browser says that it is connected. */
  readonly later: (attempt: () => void) => void;
  readonly succeeded: () => void;
}

/** Waits that grow by half at random, so that many screens do not all ask at once. */
export function growingRetries(random: () => number = Math.random): Retries {
  let waitMs = FIRST_MS;
  let cancel: (() => void) | null = null;
  return {
    later: (attempt) => {
      cancel?.();
      const go = () => {
        cancel?.();
        attempt();
      };
      const timer = setTimeout(go, waitMs * (0.75 + 0.5 * random()));
      for (const event of WAKING) globalThis.addEventListener(event, go);
      cancel = () => {
        clearTimeout(timer);
        for (const event of WAKING) globalThis.removeEventListener(event, go);
        cancel = null;
      };
      waitMs = Math.min(LONGEST_MS, waitMs * 2);
    },
    succeeded: () => {
      cancel?.();
      waitMs = FIRST_MS;
    },
  };
}
